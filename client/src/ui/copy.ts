/**
 * Puts words on the clipboard. False where the browser doesn't let it: then they are to be selected by hand. Outside of a secure context
 * there is only the older way, which copies what is selected.
 */
export async function copyWords(words: string): Promise<boolean> {
  if (navigator.clipboard)
    return navigator.clipboard.writeText(words).then(
      () => true,
      () => false,
    );
  const field = document.createElement('textarea');
  field.value = words;
  field.readOnly = true;
  field.style.position = 'fixed';
  field.style.opacity = '0';
  // within what is open on top: elsewhere nothing can have the focus
  const home = document.activeElement?.parentElement ?? document.body;
  const before = document.activeElement as HTMLElement | null;
  home.append(field);
  field.select();
  try {
    return document.execCommand('copy');
  } finally {
    field.remove();
    before?.focus();
  }
}
