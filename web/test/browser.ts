import { TextDecoder, TextEncoder } from 'node:util';
import { webcrypto } from 'node:crypto';

/* What a browser has and jsdom does not, as far as the interface asks for it. */

class Nothing {
  observe(): void {}
  unobserve(): void {}
  disconnect(): void {}
  addEventListener(): void {}
  close(): void {}
}

const locks = {
  query: () => Promise.resolve({ held: [] }),
  request: (_: string, __: unknown, held: () => Promise<never>) => {
    void held();
    return new Promise(() => undefined);
  },
};

const give = (to: object, given: Readonly<Record<string, unknown>>) => {
  for (const [name, value] of Object.entries(given))
    Object.defineProperty(to, name, { value, configurable: true, writable: true });
};

give(globalThis, {
  TextDecoder,
  TextEncoder,
  crypto: webcrypto,
  structuredClone: (value: unknown) => JSON.parse(JSON.stringify(value)) as unknown,
  ResizeObserver: Nothing,
  IntersectionObserver: Nothing,
  EventSource: Nothing,
  matchMedia: () => ({
    matches: false,
    addListener: () => undefined,
    removeListener: () => undefined,
    addEventListener: () => undefined,
    removeEventListener: () => undefined,
  }),
});
give(navigator, { locks });
give(HTMLElement.prototype, {
  showPopover: () => undefined,
  hidePopover: () => undefined,
  scrollIntoView: () => undefined,
  scrollTo: () => undefined,
  checkVisibility: () => true,
});

// jsdom lays no pseudo-elements out and says so at length whenever a package asks for their style.
const styleOf = window.getComputedStyle.bind(window);
window.getComputedStyle = (element) => styleOf(element);
