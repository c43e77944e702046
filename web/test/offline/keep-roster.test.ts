import type { RosterEntry } from '@tasche/contract';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { effectScope, shallowRef } from 'vue';
import { useConnection } from '../../src/offline/connection';
import { useRosterKept } from '../../src/offline/keep-roster';
import { freshPinia } from '../pinia';

/** When what the browser keeps was read, by path; the network and the browser's cache are played. */
let keptAt: Record<string, string> = {};
let asked: string[] = [];
let isThere = true;
const entry = (id: string, changedAt?: string) =>
  ({ player: { id }, lastChanges: changedAt ? [{ at: changedAt }] : [] }) as unknown as RosterEntry;
const browser = navigator;
const controlled = (controller: object | null) => {
  vi.stubGlobal('navigator', Object.assign(Object.create(browser), { serviceWorker: { controller } }));
};

describe('the players of the roster are kept to be read without a network', () => {
  beforeEach(() => {
    vi.useFakeTimers({ now: new Date('2026-11-30T12:00:00Z') });
    freshPinia();
    [keptAt, asked, isThere] = [{}, [], true];
    controlled({});
    vi.stubGlobal('caches', {
      open: () =>
        Promise.resolve({
          match: (address: string) => {
            const date = keptAt[new URL(address).pathname];
            return Promise.resolve(date === undefined ? undefined : { headers: new Headers({ date }) });
          },
        }),
    });
    vi.stubGlobal('fetch', (path: string) => {
      asked.push(path);
      if (!isThere) return Promise.reject(new Error('no network'));
      const isGone = path.includes('/gone/');
      const answer = isGone ? { error: 'not-found', message: 'There is no such player.' } : {};
      return Promise.resolve(Response.json(answer, { status: isGone ? 404 : 200 }));
    });
  });
  afterEach(() => {
    vi.useRealTimers();
    vi.unstubAllGlobals();
  });

  /** Shows a roster for a while. */
  async function shown(roster: readonly RosterEntry[], ms = 60_000): Promise<void> {
    const scope = effectScope();
    const entries = shallowRef<readonly RosterEntry[]>();
    scope.run(() => {
      useRosterKept(entries);
    });
    entries.value = roster;
    await vi.advanceTimersByTimeAsync(ms);
    scope.stop();
    await vi.advanceTimersByTimeAsync(60_000);
  }

  it('all of them, with the courses and events, after the roster itself', async () => {
    await shown([entry('a'), entry('b')], 2000);
    expect(asked).toEqual([]);
    // One who was deleted meanwhile takes nothing from the others.
    await shown([entry('a'), entry('gone'), entry('b')]);
    expect(asked.filter((path) => !path.includes('/gone/'))).toEqual([
      '/api/schedule',
      '/api/players/a/sheet',
      '/api/players/b/sheet',
    ]);
  });

  it('again only who changed since, or was kept long ago', async () => {
    keptAt = {
      '/api/circuit': 'Mon, 30 Nov 2026 11:00:00 GMT',
      '/api/players/same/sheet': 'Mon, 30 Nov 2026 11:00:00 GMT',
      '/api/players/changed/sheet': 'Mon, 30 Nov 2026 11:00:00 GMT',
      '/api/players/old/sheet': 'Sun, 29 Nov 2026 11:00:00 GMT',
    };
    await shown([
      entry('same', '2026-11-30T10:59:59.900Z'),
      entry('changed', '2026-11-30T11:00:00.300Z'),
      entry('old', '2026-11-01T00:00:00.000Z'),
    ]);
    expect(asked).toEqual(['/api/players/changed/sheet', '/api/players/old/sheet']);
  });

  it('no more of them than a page of the roster, and none once another view is shown', async () => {
    const many = Array.from({ length: 80 }, (_, i) => entry(`p${i}`));
    await shown(many);
    expect(asked).toHaveLength(51);
    asked = [];
    await shown(many, 3400);
    expect(asked.length).toBeGreaterThan(0);
    expect(asked.length).toBeLessThan(10);
  });

  it('none where nothing keeps them, where data is to be saved, and no second one without a network', async () => {
    controlled(null);
    await shown([entry('a')]);
    vi.stubGlobal(
      'navigator',
      Object.assign(Object.create(browser), {
        serviceWorker: { controller: {} },
        connection: Object.assign(new EventTarget(), { saveData: true }),
      }),
    );
    await shown([entry('a')]);
    expect(asked).toEqual([]);
    controlled({});
    useConnection().lastSeenAt = 'Mon, 30 Nov 2026 11:00:00 GMT';
    await shown([entry('a')]);
    expect(asked).toEqual([]);
    useConnection().lastSeenAt = null;
    isThere = false;
    await shown([entry('a'), entry('b')]);
    expect(asked).toEqual(['/api/schedule']);
  });
});
