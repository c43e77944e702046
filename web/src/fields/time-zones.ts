import { plainLetters } from '@tasche/contract';

const MAX_SHOWN = 20;

/**
 * Time zones whose name holds what was typed, those that begin a word with it first; none for an empty text.
 */
export function zonesLike(text: string): string[] {
  const wanted = plainLetters(text.trim()).replace(/\s+/g, '_');
  if (wanted === '') return [];
  const zones = Intl.supportedValuesOf('timeZone').filter((zone) => zone.toLowerCase().includes(wanted));
  const exact = zones.filter((zone) => zone.toLowerCase() === wanted);
  if (exact.length === 1) return exact;
  const begins = (zone: string) =>
    zone
      .toLowerCase()
      .split('/')
      .some((word) => word.startsWith(wanted));
  return [...zones.filter(begins), ...zones.filter((zone) => !begins(zone))].slice(0, MAX_SHOWN);
}

/** The reader's own. */
export function ownZone(): string {
  return Intl.DateTimeFormat().resolvedOptions().timeZone;
}
