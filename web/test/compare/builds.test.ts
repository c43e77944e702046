import type { SessionEntry, StrikeView } from '@tasche/contract';
import { BASELINE, MEDIUM_FAIRWAY, type Spec } from '@tasche/core';
import { describe, expect, it } from 'vitest';
import { hitBuilds } from '../../src/compare/builds';

const session = (id: string, heldOn: string, ball = 'Perl'): SessionEntry => ({
  id,
  playerId: 'p',
  version: 1,
  name: 'r',
  heldOn,
  conditions: BASELINE,
  surface: MEDIUM_FAIRWAY,
  hitOff: 'grass',
  ball,
  notes: '',
  source: '',
  live: false,
  aim: null,
  basket: null,
  removed: false,
  strikes: 0,
  clubs: 0,
});
const strike = (
  id: string,
  sessionId: string,
  clubId: string | null,
  shot: StrikeView['shot'] = 'full',
): StrikeView => ({
  id,
  sessionId,
  clubId,
  shot,
  number: 1,
  hitAt: null,
  builtOn: '2026-11-01',
  given: { carryM: 150 },
  leftOut: null,
});
const spec = (shaft: string): Spec => ({
  shaft: { value: shaft, takenOn: '2026-01-01' },
  head: { value: 'Kvarn', takenOn: '2026-01-01' },
});
const CLUBS = new Map([
  ['d', { name: 'Driver', kind: 'driver' as const }],
  ['i', { name: '7 iron', kind: 'iron' as const }],
]);

describe('builds that were hit', () => {
  const sessions = [session('s1', '2026-10-01'), session('s2', '2026-11-01')];
  const strikes = new Map([
    ['s1', [strike('1', 's1', 'd'), strike('2', 's1', 'i')]],
    ['s2', [strike('3', 's2', 'd'), strike('4', 's2', 'd', 'soft'), strike('5', 's2', null)]],
  ]);
  it('are one for each shaft a club had, and say what tells them apart', () => {
    const builds = hitBuilds(
      sessions,
      strikes,
      CLUBS,
      (one) => spec(one.sessionId === 's1' ? 'Siv' : 'Rohr'),
      'full',
    );
    expect(builds.map(({ name, strikes: hit, days }) => [name, hit.length, days[0]])).toEqual([
      ['Driver, Siv', 1, '2026-10-01'],
      ['7 iron', 1, '2026-10-01'],
      ['Driver, Rohr', 1, '2026-11-01'],
    ]);
  });
  it('are one where nothing changed, over all days; another ball is another build', () => {
    const [driver] = hitBuilds(sessions, strikes, CLUBS, () => spec('Siv'), 'full').filter(
      ({ clubId }) => clubId === 'd',
    );
    expect(driver).toMatchObject({
      name: 'Driver',
      days: ['2026-10-01', '2026-11-01'],
      parts: { ball: 'Perl', shaft: 'Siv' },
    });
    expect(
      hitBuilds(
        [sessions[0]!, session('s2', '2026-11-01', 'Other')],
        strikes,
        CLUBS,
        () => spec('Siv'),
        'full',
      ).map(({ name }) => name),
    ).toContain('Driver, Other');
  });
  it('have ids that stay what they are, for an address', () => {
    const ids = () => hitBuilds(sessions, strikes, CLUBS, () => spec('Siv'), 'full').map(({ id }) => id);
    expect(ids()).toEqual(ids());
    expect(new Set(ids()).size).toBe(2);
  });
});
