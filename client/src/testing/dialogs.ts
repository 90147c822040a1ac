// what jsdom has no browser for: a dialog lies over the page, and Escape asks it to close
if (typeof HTMLDialogElement !== 'undefined') {
  HTMLDialogElement.prototype.showModal = function showModal() {
    this.open = true;
  };
  HTMLDialogElement.prototype.close = function close() {
    this.open = false;
  };
  document.addEventListener('keydown', (event) => {
    const top = [...document.querySelectorAll('dialog[open]')].at(-1);
    if (event.key === 'Escape' && !event.defaultPrevented) top?.dispatchEvent(new Event('cancel', { cancelable: true }));
  });
}
