/**
 * Temporal as the browser has it: what "temporal-polyfill" stands for in the build (see metro.config.js). Where a browser has none,
 * index.js has put the polyfill in its place before anything asks.
 */
export const Temporal = new Proxy({}, { get: (_, name) => globalThis.Temporal[name] });
