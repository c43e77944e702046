import { disableAutoUnmount, enableAutoUnmount } from '@vue/test-utils';
import { afterAll, afterEach, vi } from 'vitest';
import { reader } from '../src/api/read';
import { endPinias } from './pinia';

// What one test mounted, held and read is not there in the next.
// The test files of one worker share their modules, so that each is loaded once.
disableAutoUnmount();
enableAutoUnmount(afterEach);
afterEach(() => {
  endPinias();
  for (const { observers } of reader.getQueryCache().getAll())
    for (const observer of [...observers]) observer.destroy();
  reader.clear();
});
afterAll(() => {
  vi.unstubAllGlobals();
  vi.useRealTimers();
  localStorage.clear();
  sessionStorage.clear();
});
