import { shallowRef } from 'vue';

/**
 * What is said just now, and of what: there is one tooltip in the application, and many words that have a hint.
 */
export const hintShown = shallowRef<{ says: string; of: Element } | null>(null);
