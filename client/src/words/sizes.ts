const UNITS = ['byte', 'kilobyte', 'megabyte', 'gigabyte'] as const;

/** Bytes as people say them: "8.4 MB". */
export function sayBytes(bytes: number): string {
  let [size, nth] = [Math.max(0, bytes), 0];
  while (size >= 1000 && nth < UNITS.length - 1) {
    size /= 1024;
    nth += 1;
  }
  const digits = nth >= 2 && size < 10 ? 1 : 0;
  return new Intl.NumberFormat('en', { style: 'unit', unit: UNITS[nth], unitDisplay: nth === 0 ? 'long' : 'short', maximumFractionDigits: digits }).format(
    size,
  );
}
