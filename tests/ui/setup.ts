import '@testing-library/jest-dom/vitest';
import { cleanup, configure } from '@testing-library/react';
import { browserClient } from '../../src/ui/query';
import { toast } from 'sonner';
import { afterAll, afterEach, beforeEach, vi } from 'vitest';

/** The document has no dialogs of its own: they open, and closing tells, as browsers do. */
HTMLDialogElement.prototype.showModal = function (this: HTMLDialogElement) {
  this.open = true;
};
HTMLDialogElement.prototype.close = function (this: HTMLDialogElement) {
  if (!this.open) return;
  this.open = false;
  this.dispatchEvent(new Event('close'));
};
// Nor does it follow pointers.
Element.prototype.setPointerCapture = () => {};
Element.prototype.releasePointerCapture = () => {};
Element.prototype.hasPointerCapture = () => false;
Element.prototype.scrollIntoView = () => {};
window.scrollTo = () => {};
// Nothing is painted: a canvas takes every stroke.
HTMLCanvasElement.prototype.getContext = (() => new Proxy({}, { get: () => () => {}, set: () => true })) as never;
HTMLCanvasElement.prototype.toDataURL = () => 'data:,';
// Nothing has a size: what scrolls is as high as a list that is open.
Object.defineProperty(HTMLElement.prototype, 'clientHeight', { configurable: true, get: () => 400 });
class Observer {
  observe() {}
  unobserve() {}
  disconnect() {}
}
Object.assign(globalThis, {
  ResizeObserver: Observer,
  matchMedia: () => ({ matches: false, addEventListener() {}, removeEventListener() {} }),
});

// What comes at once on a quick machine may take its time on a busy one.
configure({ asyncUtilTimeout: 15_000 });

beforeEach(() => localStorage.clear());
// The files share their modules and one window: what one puts in place of something goes with it.
afterAll(() => vi.unstubAllGlobals());
afterEach(() => {
  cleanup();
  browserClient().clear();
  toast.dismiss();
  vi.useRealTimers();
});
// A browser that has a lock for its screen.
Object.defineProperty(navigator, 'wakeLock', {
  configurable: true,
  value: { request: async () => ({ release: async () => {} }) },
});
