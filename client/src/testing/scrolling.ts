/** jsdom lays nothing out, and can’t be told where to scroll to. */
Element.prototype.scrollTo = function (this: Element, ...to: [] | [ScrollToOptions?] | [number, number]) {
  if (typeof to[1] === 'number') this.scrollTop = to[1];
};

export {};
