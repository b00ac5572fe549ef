import { configure } from '@testing-library/react';

// What jsdom does not have and pages ask of a browser; nothing changes its size here, and nobody asks for less motion.
const nothing = (): void => undefined;

globalThis.ResizeObserver = class {
  observe = nothing;
  unobserve = nothing;
  disconnect = nothing;
};
if (typeof window !== 'undefined') {
  Element.prototype.scrollIntoView = nothing;
  // nothing is painted here: reading the style of every part anew would take most of the time
  HTMLStyleElement.prototype.appendChild = (node) => node;
  window.matchMedia = (media) =>
    Object.assign(new EventTarget(), {
      media,
      matches: false,
      onchange: null,
      addEventListener: nothing,
      removeEventListener: nothing,
      dispatchEvent: () => false,
    }) as unknown as MediaQueryList;
}

// a plan waits most of a second before it saves itself, and a whole page is drawn on two busy cores
configure({ asyncUtilTimeout: 12_000 });
