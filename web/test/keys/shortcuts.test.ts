import { readFileSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { effectScope } from 'vue';
import { KEYS } from '../../src/keys/keys-help';
import { pressed, useShortcuts } from '../../src/keys/use-shortcuts';

const SRC = 'web/src';
const press = (key: string, more: KeyboardEventInit = {}) =>
  new KeyboardEvent('keydown', { key, cancelable: true, bubbles: true, ...more });

describe('a shortcut', () => {
  it('is its key with just the keys it names held down', () => {
    expect(pressed(press('n', { altKey: true }), 'Alt N')).toBe(0);
    expect(pressed(press('n'), 'Alt N')).toBeNull();
    expect(pressed(press('n', { altKey: true, ctrlKey: true }), 'Alt N')).toBeNull();
    expect(pressed(press('z', { ctrlKey: true }), 'Ctrl Z')).toBe(0);
    expect(pressed(press('z', { metaKey: true }), 'Ctrl Z')).toBe(0);
    expect(pressed(press('Z', { ctrlKey: true, shiftKey: true }), 'Ctrl Z')).toBeNull();
    expect(pressed(press('Z', { ctrlKey: true, shiftKey: true }), 'Ctrl Shift Z')).toBe(0);
    expect(pressed(press('?', { shiftKey: true }), '?')).toBe(0);
    expect(pressed(press('Escape'), 'Esc')).toBe(0);
    expect(pressed(press('Enter', { altKey: true }), 'Alt Enter')).toBe(0);
    expect(pressed(press('Enter', { altKey: true }), 'Enter')).toBeNull();
  });

  it('with digits says which, and none beyond its own', () => {
    expect(pressed(press('3', { altKey: true }), 'Alt 1 to 5')).toBe(3);
    expect(pressed(press('6', { altKey: true }), 'Alt 1 to 5')).toBeNull();
    expect(pressed(press('t', { altKey: true }), 'Alt 1 to 8')).toBeNull();
  });

  it('is known where Alt makes another sign of the key, as on a Mac', () => {
    expect(pressed(press('˜', { altKey: true, code: 'KeyN' }), 'Alt N')).toBe(0);
    expect(pressed(press('Dead', { altKey: true, code: 'KeyN' }), 'Alt N')).toBe(0);
    expect(pressed(press('£', { altKey: true, code: 'Digit3' }), 'Alt 1 to 5')).toBe(3);
  });

  it('is left to the browser where it is nothing for the page just now', () => {
    const done: string[] = [];
    const scope = effectScope();
    scope.run(() => {
      useShortcuts('Roster and bench', {
        'Alt N': () => done.push('next'),
        'Alt M': () => false,
      });
    });
    const [next, gauge] = [press('n', { altKey: true }), press('m', { altKey: true })];
    window.dispatchEvent(next);
    window.dispatchEvent(gauge);
    expect([done, next.defaultPrevented, gauge.defaultPrevented]).toEqual([['next'], true, false]);
    scope.stop();
    window.dispatchEvent(press('n', { altKey: true }));
    expect(done).toEqual(['next']);
  });
});

describe('the keys page', () => {
  const files = readdirSync(SRC, { recursive: true, encoding: 'utf8' })
    .filter((file) => /\.(vue|ts)$/.test(file))
    .map((file) => readFileSync(join(SRC, file), 'utf8'));
  /** Keys a group's pages ask for, by the source: what is asked for and not listed does not compile. */
  const askedFor = (group: string) =>
    files
      .flatMap((source) => source.split(`useShortcuts('${group}', {`).slice(1))
      .flatMap((rest) =>
        [...rest.split('\n});')[0]!.matchAll(/^\s*'?([^'\n:]+?)'?:/gm)].map(([, key]) => key),
      );
  /** Keys of elements rather than of a page: of windows and forms, the grid, and an event’s list of clubs. */
  const OF_ELEMENTS: Readonly<Record<string, readonly string[] | 'all'>> = {
    Anywhere: ['Esc'],
    'In the sheet': 'all',
    'An event': ['I, O, F', 'G', 'K', '+ −', 'Enter', '↑ ↓'],
    'Roster and bench': ['Enter'],
  };

  it.each(KEYS.map(({ group, keys }) => [group, keys.map(([key]) => key)] as const))(
    'lists what there is: %s',
    (group, keys) => {
      const own = OF_ELEMENTS[group] ?? [];
      const listed = keys.filter((key) => own !== 'all' && !own.includes(key));
      expect(listed.filter((key) => !askedFor(group).includes(key))).toEqual([]);
      expect(new Set(keys).size).toBe(keys.length);
    },
  );

  it('is the only place keys of a page come from', () => {
    const others = files.filter((source) => source.includes("useEventListener('keydown'"));
    expect(others).toHaveLength(1);
    expect(others[0]).toContain('export function useShortcuts');
  });
});
