/** The beginning of a text, on one line, as long as there is room for it. */
export function quoted(text: string, most: number): string {
  const line = text.replace(/\s+/g, ' ').trim();
  return line.length <= most ? line : `${line.slice(0, most).trimEnd()}…`;
}
