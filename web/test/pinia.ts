import { createPinia, disposePinia, setActivePinia, type Pinia } from 'pinia';

const made = new Set<Pinia>();

/** Stores of a page that was just opened; they end with the test. */
export function freshPinia(): Pinia {
  const pinia = createPinia();
  made.add(pinia);
  setActivePinia(pinia);
  return pinia;
}

export function endPinias(): void {
  for (const pinia of made) disposePinia(pinia);
  made.clear();
}
