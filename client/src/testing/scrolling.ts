/** jsdom lays nothing out, and can’t be told where to scroll to. A test in Node alone has no elements at all. */
if (typeof Element !== 'undefined') {
  Element.prototype.scrollTo = function (this: Element, ...to: [] | [ScrollToOptions?] | [number, number]) {
    if (typeof to[1] === 'number') this.scrollTop = to[1];
  };
}

export {};
