import type { HitOff, StrikeView, StrikesView } from '@tasche/contract';
import { BASELINE, MEDIUM_FAIRWAY } from '@tasche/core';
import { flushPromises } from '@vue/test-utils';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { reader } from '../../src/api/read';
import { useOutbox } from '../../src/changes/outbox';
import { earlierShots } from '../../src/range/earlier-shots';
import { readRangeAhead } from '../../src/range/range-questions';
import { useRange } from '../../src/range/range-store';
import { clubView, sheetOf, showSheet } from '../sheet';
import { freshPinia } from '../pinia';
import { session } from './session';
import { until } from '../until';

const strike = (id: string, sessionId: string, builtOn: string): StrikeView => ({
  id,
  sessionId,
  clubId: '7',
  shot: 'full',
  number: 1,
  hitAt: null,
  builtOn,
  given: { carryM: 150 },
  leftOut: null,
});
const STRIKES = [strike('a', 'old', '2026-10-01'), strike('b', 'new', '2026-11-01')];
/** On the first day the 7 stood two degrees stronger. */
const BUILDS = [
  { clubId: '7', builtOn: '2026-10-01', spec: { loftStampedDeg: { value: 28, takenOn: '2026-09-01' } } },
];

let asked: string[];
const answer = (path: string): unknown => {
  const [, kind, wanted] = /\/(sessions|strikes)(?:\?session=(\w+))?/.exec(path) ?? [];
  if (kind === 'sessions')
    return { rows: [session('new', '2026-11-01'), session('old', '2026-10-01')], total: 2, next: null };
  const strikes = STRIKES.filter((one) => !wanted || one.sessionId === wanted);
  return { strikes, builds: BUILDS, more: false } satisfies StrikesView;
};

beforeEach(() => {
  localStorage.clear();
  freshPinia();
  asked = [];
  vi.stubGlobal('fetch', (path: string, init?: RequestInit) => {
    if (init?.method === 'POST') return new Promise(() => {});
    asked.push(path.replace('/api/players/p', ''));
    return Promise.resolve(Response.json(answer(path)));
  });
  showSheet(sheetOf([clubView('7', { carryM: 150 })], ['7']));
});

describe('a player’s range', () => {
  it('reads the shots of the session that is looked at, and no others', async () => {
    const range = useRange();
    await range.load('p', 'new');
    expect(range.sessions.map(({ id }) => id)).toEqual(['new', 'old']);
    expect(range.strikes.map(({ id }) => id)).toEqual(['b']);
    expect(asked.sort()).toEqual(['/sessions?limit=200', '/strikes?session=new']);
    // The sessions are known; only the shots are read.
    await range.look('all');
    expect(asked.filter((path) => path.startsWith('/sessions'))).toHaveLength(1);
    expect(range.strikes.map(({ id }) => id)).toEqual(['a', 'b']);
    // The club as it was built that day, else as it is now.
    expect(range.strikes.map((one) => range.clubOf(one)?.loftDeg)).toEqual([28, 30]);
  });

  it('takes what was asked for ahead of the page, once; what is asked for ahead of another page it reads itself', async () => {
    const range = useRange();
    readRangeAhead('p', 'newest');
    await range.load('p', 'newest');
    expect(asked.sort()).toEqual(['/sessions?limit=200', '/strikes?newest=true']);
    expect([range.sessions.length, range.strikes.length]).toEqual([2, 2]);
    await range.load('p', 'newest');
    expect(asked).toHaveLength(4);
    readRangeAhead('p', 'old');
    await range.load('p', 'new');
    expect(asked.filter((path) => path === '/strikes?session=new')).toHaveLength(1);
    expect(range.strikes.map(({ id }) => id)).toEqual(['b']);
  });

  it('reads it itself where a change was answered after it came ahead of the page', async () => {
    readRangeAhead('p', 'newest');
    await flushPromises();
    expect(asked).toHaveLength(2);
    const outbox = useOutbox();
    const read = fetch;
    const refusal = { error: 'not-found', message: 'There is no such change.' };
    vi.stubGlobal('fetch', (path: string, init?: RequestInit) =>
      init?.method === 'POST' ? Promise.resolve(Response.json(refusal, { status: 404 })) : read(path, init),
    );
    outbox.push({ kind: 'undo', playerId: 'p', changeId: '0', id: '2' });
    await until(() => {
      expect(outbox.count).toBe(0);
    });
    await useRange().load('p', 'newest');
    expect(asked.filter((path) => path !== '/sheet')).toHaveLength(4);
  });

  it('shows what was done before the server has answered, and a ball of the live line once', async () => {
    const range = useRange();
    await range.load('p', 'new');
    range.change([{ do: 'editStrikes', sessionId: 'new', strikeIds: ['b'], set: { leftOut: 'mis-hit' } }]);
    expect(range.strikes[0]!.leftOut).toBe('mis-hit');
    expect(useOutbox().count).toBe(1);
    const ball = { ...strike('c', 'new', '2026-11-01'), number: 2 };
    expect([range.take(ball), range.take(ball)]).toEqual([true, false]);
    expect(range.bySession.get('new')!.map(({ id, leftOut }) => [id, leftOut])).toEqual([
      ['b', 'mis-hit'],
      ['c', null],
    ]);
    expect(range.sessions[0]!.strikes).toBe(2);
  });
});

describe('a ball that comes while the shots are being read', () => {
  it.each([
    ['for the first time', false],
    ['again', true],
  ])('%s is not lost to an answer that is older than it', async (_what, isKnown) => {
    const range = useRange();
    if (isKnown) await range.load('p', 'new');
    const held: (() => void)[] = [];
    vi.stubGlobal('fetch', (path: string) => {
      const found = answer(path);
      return new Promise((resolve) => held.push(() => resolve(Response.json(found))));
    });
    const reading = range.load('p', 'new');
    await until(() => {
      expect(held.length).toBeGreaterThan(1);
    });
    const balls = ['late', 'later'].map((id, i) => ({ ...strike(id, 'new', '2026-11-01'), number: 2 + i }));
    STRIKES.push(...balls);
    for (const ball of balls) range.take(ball);
    vi.stubGlobal('fetch', (path: string) => Promise.resolve(Response.json(answer(path))));
    for (const arrive of held) arrive();
    await reading;
    await until(() => {
      expect(range.strikes.map(({ id }) => id)).toEqual(['b', 'late', 'later']);
      expect(reader.isFetching()).toBe(0);
    });
    STRIKES.splice(-2);
  });
});

describe('earlier sessions, as the worker reads them', () => {
  const wanted = (edition: number, ids: readonly string[] = ['old']) => ({
    playerId: 'p',
    edition,
    sessions: ids.map((id) => ({
      id,
      setting: { conditions: BASELINE, surface: MEDIUM_FAIRWAY },
      hitOff: 'grass' as HitOff,
    })),
    hitOff: 'grass' as HitOff,
    clubs: sheetOf([clubView('7')], []).clubs,
  });

  it('are read once for each edition, each ball with its club as it was built', async () => {
    const {
      sessions: [old],
    } = await earlierShots(wanted(1));
    expect(old!.strikes.map(({ strike: { id }, club }) => [id, club?.loftDeg])).toEqual([['a', 28]]);
    await earlierShots(wanted(1));
    expect(asked).toEqual(['/strikes']);
    await earlierShots(wanted(2));
    expect(asked).toHaveLength(2);
    expect(await earlierShots(wanted(3, []))).toEqual({ sessions: [], isPart: false });
    expect(asked).toHaveLength(2);
  });

  it('off a tee are compared with others off a tee; a driver’s with all of them', async () => {
    const driver = { ...clubView('7'), kind: 'driver' as const };
    const off = (edition: number, before: HitOff, hitOff: HitOff, clubs = wanted(1).clubs) =>
      earlierShots({
        ...wanted(edition),
        clubs,
        hitOff,
        sessions: wanted(edition).sessions.map((one) => ({ ...one, hitOff: before })),
      }).then(({ sessions }) => sessions[0]!.strikes.length);
    expect(await off(11, 'tees', 'grass')).toBe(0);
    expect(await off(12, 'grass', 'tees')).toBe(0);
    expect(await off(13, 'tees', 'tees')).toBe(1);
    expect(await off(14, 'mat', 'grass')).toBe(1);
    expect(await off(15, 'tees', 'grass', [driver])).toBe(1);
  });

  it('are asked for again after the server was away', async () => {
    vi.stubGlobal('fetch', () => Promise.resolve(new Response('', { status: 503 })));
    await expect(earlierShots(wanted(9))).rejects.toThrow('503');
    vi.stubGlobal('fetch', (path: string) => Promise.resolve(Response.json(answer(path))));
    await flushPromises();
    expect((await earlierShots(wanted(9))).sessions).toHaveLength(1);
  });
});
