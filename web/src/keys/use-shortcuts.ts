import { useEventListener } from '@vueuse/core';
import type { KEYS } from './keys-help';

type Group = (typeof KEYS)[number];
/** A key of a group that a page answers to, wherever the cursor is. */
type ShortcutOf<G extends Group['group']> = Extract<Group, { group: G }>['keys'][number][0];

/** What a key does. @returns false where it does nothing at the moment, so that the browser gets the key */
type Act = (event: KeyboardEvent, digit: number) => unknown;

/**
 * What keys do while the page that asks for them is open. A key is one that the keys page lists in that
 * group: what is not listed does not compile, and a test checks that every listed one is used somewhere.
 */
export function useShortcuts<G extends Group['group']>(
  _group: G,
  acts: Partial<Record<ShortcutOf<G>, Act>>,
): void {
  const all = Object.entries(acts) as [string, Act][];
  useEventListener('keydown', (event: KeyboardEvent) => {
    for (const [shortcut, act] of all) {
      const digit = pressed(event, shortcut);
      if (digit === null || act(event, digit) === false) continue;
      event.preventDefault();
      return;
    }
  });
}

/**
 * Whether a shortcut is pressed: "Alt N", "Ctrl Shift Z", "Alt 1 to 8", "Esc". Shift with Alt is the
 * shortcut's own matter.
 * @returns the digit of one with digits, else 0; null where it is not pressed
 */
export function pressed(event: KeyboardEvent, shortcut: string): number | null {
  const parts = shortcut.split(' ');
  const wantsAlt = parts[0] === 'Alt';
  const wantsCtrl = parts[0] === 'Ctrl';
  if (event.altKey !== wantsAlt || (event.ctrlKey || event.metaKey) !== wantsCtrl) return null;
  if (wantsCtrl && event.shiftKey !== (parts[1] === 'Shift')) return null;
  const [from, , to] = parts.slice(wantsAlt || wantsCtrl ? 1 : 0).filter((part) => part !== 'Shift');
  const key = keyOf(event);
  if (to === undefined) return key === NAMES[from!] || key === from!.toLowerCase() ? 0 : null;
  return /^\d$/.test(key) && key >= from! && key <= to ? Number(key) : null;
}
const NAMES: Readonly<Record<string, string>> = { Esc: 'escape' };

/** The key by its own name; where Alt made another sign of it, as on a Mac, by its place. */
function keyOf({ key, code, altKey }: KeyboardEvent): string {
  const place = /^(?:Key([A-Z])|Digit(\d))$/.exec(code ?? '');
  const isOdd = altKey && (key === 'Dead' || (key.length === 1 && !/^[\w\s]$/.test(key)));
  return (isOdd ? (place?.[1] ?? place?.[2] ?? key) : key).toLowerCase();
}
