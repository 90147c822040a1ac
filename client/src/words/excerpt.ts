const SIGNS = /^(?:#{1,6}|>|[-*+]|\d{1,9}[.)])(?:\s+|$)(?:\[[ xX]\](?:\s+|$))?/;
const isHead = (line: string): boolean => /^#{1,6}\s/.test(line) || line.endsWith(':');
/** Further down nobody looks for what notes are about. */
const MOST_LETTERS = 2_000;

/** What notes begin to say, on one line and without the signs that format it: what stands under their heads, or else the first of these. */
export function excerpt(notes: string, most = 120): string {
  const lines = notes
    .slice(0, MOST_LETTERS)
    .split('\n')
    .map((line) => line.trim())
    .filter((line) => line.replace(SIGNS, '') !== '');
  const line = lines.find((one) => !isHead(one)) ?? lines[0] ?? '';
  return line
    .replace(SIGNS, '')
    .replace(/\*\*|~~|`/g, '')
    .slice(0, most)
    .trimEnd();
}
