import { TextDecoder, TextEncoder } from 'node:util';

// What jsdom lacks and the interface asks for when it opens.
globalThis.matchMedia ??= (query) => ({
  matches: false,
  media: query,
  addEventListener: () => undefined,
  removeEventListener: () => undefined,
  addListener: () => undefined,
  removeListener: () => undefined,
});
globalThis.ResizeObserver ??= class {
  observe() {}
  unobserve() {}
  disconnect() {}
};
globalThis.TextEncoder ??= TextEncoder;
globalThis.TextDecoder ??= TextDecoder;
// Node's own would keep the tests from ending.
globalThis.MessageChannel ??= class {
  port1 = { onmessage: null };
  port2 = { postMessage: (data) => setTimeout(() => this.port1.onmessage?.({ data }), 0) };
};
// Fibre is drawn by the browser alone.
if (globalThis.HTMLCanvasElement) {
  const nothing = () => new Proxy({}, { get: () => () => undefined, set: () => true });
  globalThis.HTMLCanvasElement.prototype.getContext = nothing;
  globalThis.HTMLCanvasElement.prototype.toDataURL = () => 'data:,';
  globalThis.Path2D ??= class {};
}
