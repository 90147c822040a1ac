const KEPT = 'kotiva/text-size';

/** In per cent of what the browser is set to. */
export const TEXT_SIZES = [100, 115, 130, 150] as const;
export type TextSize = (typeof TEXT_SIZES)[number];

/** How large text is on this device. */
export function textSize(): TextSize {
  const kept = Number(localStorage.getItem(KEPT));
  return TEXT_SIZES.find((size) => size === kept) ?? 100;
}

export function setTextSize(size: TextSize): void {
  if (size === 100) localStorage.removeItem(KEPT);
  else localStorage.setItem(KEPT, String(size));
  applyTextSize();
}

/** Everything is sized in rem: the root is all there is to change. */
export function applyTextSize(): void {
  const size = textSize();
  document.documentElement.style.fontSize = size === 100 ? '' : `${size}%`;
}
