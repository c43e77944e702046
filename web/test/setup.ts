import { enableAutoUnmount } from '@vue/test-utils';
import { disposePinia, getActivePinia } from 'pinia';
import { afterEach } from 'vitest';
import { reader } from '../src/api/read';

// What one test mounted, held and read is not there in the next.
enableAutoUnmount(afterEach);
afterEach(() => {
  const pinia = getActivePinia();
  if (pinia) disposePinia(pinia);
  reader.clear();
});
