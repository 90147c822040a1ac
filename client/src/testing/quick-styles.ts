// Asking for an element's style walks every rule of the framework's sheet, for every element a test looks at. What a test needs to know
// of it, whether something is hidden, stands on the element itself.
if (typeof window !== 'undefined') window.getComputedStyle = (element) => (element as HTMLElement).style;
