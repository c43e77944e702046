import { disableAutoUnmount, enableAutoUnmount } from '@vue/test-utils';
import { afterAll, afterEach, vi } from 'vitest';
import { reader } from '../src/api/read';
import { endPinias } from './pinia';

/** Nothing is laid out here: everything that is watched is on the screen. */
class EverythingIsSeen implements IntersectionObserver {
  readonly root = null;
  readonly rootMargin = '';
  readonly scrollMargin = '';
  readonly thresholds = [];
  constructor(private readonly told: IntersectionObserverCallback) {}
  observe(target: Element): void {
    const box = target.getBoundingClientRect();
    const seen = { target, isIntersecting: true, time: 0, intersectionRatio: 1, rootBounds: null };
    this.told([{ ...seen, boundingClientRect: box, intersectionRect: box }], this);
  }
  disconnect(): void {}
  unobserve(): void {}
  takeRecords(): IntersectionObserverEntry[] {
    return [];
  }
}
globalThis.IntersectionObserver = EverythingIsSeen;

// What one test mounted, held and read is not there in the next.
// The test files of one worker share their modules, so that each is loaded once.
disableAutoUnmount();
enableAutoUnmount(afterEach);
afterEach(() => {
  sessionStorage.clear();
  endPinias();
  for (const { observers } of reader.getQueryCache().getAll())
    for (const observer of [...observers]) observer.destroy();
  reader.clear();
});
afterAll(() => {
  vi.unstubAllGlobals();
  vi.useRealTimers();
  localStorage.clear();
});
