const BROWSERS: [RegExp, string][] = [
  [/Edg\//, 'Edge'],
  [/Firefox\//, 'Firefox'],
  [/Chrom(e|ium)\//, 'Chromium'],
  [/Safari\//, 'Safari'],
];
const SYSTEMS: [RegExp, string][] = [
  [/Android/, 'Android'],
  [/iPhone|iPad/, 'iOS'],
  [/Windows/, 'Windows'],
  [/Mac OS X/, 'macOS'],
  [/Linux/, 'Linux'],
];

/** A browser in words a person recognises, from its User-Agent header (RFC 9110 10.1.5). */
export function deviceLabel(userAgent: string | undefined): string {
  const find = (known: [RegExp, string][]) => known.find(([pattern]) => pattern.test(userAgent ?? ''))?.[1];
  return [find(BROWSERS), find(SYSTEMS)].filter(Boolean).join(', ') || 'A browser';
}
