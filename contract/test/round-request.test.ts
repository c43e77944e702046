import {
  BASELINE,
  CALM,
  DEFAULT_GAP_SETTINGS,
  MEDIUM_FAIRWAY,
  ladderClub,
  lockerFindings,
  placedClubs,
  DEFAULT_PREFERENCES,
  USUAL_GROUND,
  usualHole,
  type ShotDemand,
} from '@tasche/core';
import { describe, expect, it } from 'vitest';
import {
  baselineOf,
  emptyRound,
  isCandidate,
  planChoosingSchema,
  planRoundOf,
  roundRequestOf,
  preferencesOf,
  type ClubView,
  type CourseView,
  type EventRound,
  type PlanView,
  type PlayerView,
} from '../src/index.js';

const note: ShotDemand = {
  name: 'practice: 150',
  distanceM: 150,
  to: 'green',
  lie: 'fairway',
  mustHold: false,
  weight: 3,
};
const player = { gapSettings: { scoringStepMaxM: 12 }, baseline: null } as Partial<PlayerView> as PlayerView;
const club = (id: string, state?: string, removed = false) =>
  ({
    id,
    name: id,
    kind: 'iron',
    removed,
    spec: {
      'shot.full': { value: { carryM: 150, source: 'stated' }, takenOn: '2026-10-01' },
      ...(state && { state: { value: state, takenOn: '2026-10-01' } }),
    },
  }) as unknown as ClubView;
const course: Pick<CourseView, 'name' | 'tees' | 'holes' | 'altitudeM'> = {
  name: 'Hochfirn',
  tees: ['Back'],
  holes: Array.from({ length: 9 }, () => usualHole(4, [360])),
  altitudeM: 1520,
};
const round: EventRound = {
  id: 'r1',
  name: 'Round 1',
  day: '2026-12-11',
  courseId: 'c',
  tee: 0,
  air: { ...CALM, windMps: 3 },
  ground: USUAL_GROUND,
  forecast: null,
};
const plan: Pick<PlanView, 'rounds' | 'choosing' | 'baseClubIds'> = {
  rounds: [{ ...emptyRound('r1'), notes: [note], changes: { '1st, tee shot': null } }],
  choosing: { needs: [], limit: 12, changeStrokes: 0.1, always: ['7'], never: [] },
  baseClubIds: ['7', '9'],
};

describe('a round as the core is asked for its bag', () => {
  it('is the day on the course, the clubs that could go, what was changed and noted, the preferences, and the event’s limits', () => {
    const { request, rules } = roundRequestOf({
      player,
      clubs: [
        club('7'),
        club('old', 'retired'),
        club('lent', 'on loan'),
        club('9', 'backup'),
        club('gone', undefined, true),
      ],
      plan,
      round,
      course,
      limits: { clubs: 14, lengthIn: 46 },
    });
    expect(request.clubs.map(({ id }) => id)).toEqual(['7', '9']);
    expect(request).toMatchObject({
      day: { course: { altitudeM: 1520 }, tee: 0, air: { windMps: 3 }, ground: USUAL_GROUND },
      from: { conditions: BASELINE, surface: MEDIUM_FAIRWAY },
      notes: [note],
      changes: { '1st, tee shot': null },
    });
    expect(request.preferences).toEqual({
      ...DEFAULT_PREFERENCES,
      limit: 12,
      changeStrokes: 0.1,
      always: ['7'],
    });
    expect(rules).toEqual({
      preferences: request.preferences,
      school: 'even-carries',
      gamerIds: ['7', '9'],
      limits: { clubs: 14, lengthIn: 46 },
      settings: { ...DEFAULT_GAP_SETTINGS, scoringStepMaxM: 12 },
    });
  });

  it('takes carries as the bag’s own page does: moved where the club was bent since, modelled where it was never hit', () => {
    const loft = (deg: number, takenOn: string) => ({ value: deg, takenOn });
    const asOf = (seen: object) => ({
      value: { carryM: 150, source: 'stated' },
      takenOn: '2026-10-01',
      ...seen,
    });
    const withSpec = (id: string, spec: object) => ({ ...club(id), spec }) as unknown as ClubView;
    const clubs = [
      withSpec('7', { loftSetDeg: loft(34, '2026-09-01'), 'shot.full': asOf({}) }),
      withSpec('bent', {
        loftSetDeg: loft(32, '2026-11-01'),
        'shot.full': asOf({ build: { loftSetDeg: loft(34, '2026-09-01') } }),
      }),
      withSpec('new', { loftSetDeg: loft(42, '2026-09-01') }),
    ];
    const { request } = roundRequestOf({
      player,
      clubs,
      plan,
      round,
      course,
      limits: { clubs: 14, lengthIn: 46 },
    });
    const full = Object.fromEntries(request.clubs.map(({ id, shots }) => [id, shots.full!]));
    expect(full['7']).toEqual({ carryM: 150, source: 'stated' });
    expect(full.bent!.source).toBe('modelled');
    expect(full.bent!.carryM).toBeGreaterThan(152);
    expect(full.new!.source).toBe('modelled');
    expect(full.new!.carryM).toBeLessThan(140);
    expect(request.clubs).toEqual(placedClubs(clubs.map(ladderClub), BASELINE));
    // A retired club goes nowhere, and still tells how far the others go.
    const retired = withSpec('old', {
      loftSetDeg: loft(42, '2026-09-01'),
      'shot.full': { value: { carryM: 100, source: 'stated' }, takenOn: '2026-10-01' },
      state: { value: 'retired', takenOn: '2026-10-02' },
    });
    const withRetired = roundRequestOf({
      player,
      clubs: [...clubs, retired],
      plan,
      round,
      course,
      limits: { clubs: 14, lengthIn: 46 },
    }).request.clubs;
    expect(withRetired).toEqual(placedClubs([...clubs, retired].map(ladderClub), BASELINE).slice(0, -1));
    expect(withRetired[2]!.shots.full!.carryM).toBeLessThan(full.new!.carryM - 3);
    // What nobody hit is still said; a bent club has been hit.
    expect(lockerFindings(request.clubs).find(({ code }) => code === 'no carry')!.clubIds).toEqual(['new']);
  });

  it('of an unedited round is the default; on a course without holes there is no question', () => {
    expect(planRoundOf(plan, 'r2')).toEqual(emptyRound('r2'));
    expect(preferencesOf(null)).toEqual(DEFAULT_PREFERENCES);
    expect(baselineOf({ baseline: { ...BASELINE, altitudeM: 900 } }).conditions.altitudeM).toBe(900);
    expect(isCandidate({ removed: false, spec: {} })).toBe(true);
    expect(() =>
      roundRequestOf({
        player,
        clubs: [],
        plan,
        round,
        course: { ...course, holes: [] },
        limits: { clubs: 14, lengthIn: 46 },
      }),
    ).toThrow('holes of Hochfirn are not recorded yet');
  });
});

describe('what a player wants, at the border', () => {
  const plain = { needs: [], limit: 14, changeStrokes: 0.02, always: [], never: [] };
  it.each<[string, object, RegExp | null]>([
    ['plain preferences', {}, null],
    [
      'everything said',
      {
        oneOf: [['7a5c4e00-0002-4000-8000-000000000001', '7a5c4e00-0002-4000-8000-000000000002']],
        kinds: [{ kind: 'wedge', most: 3 }],
        mustCover: [{ distanceM: 210, withinM: 5 }],
        mostChanges: null,
        bounce: 'low',
        putter: 'gamer',
      },
      null,
    ],
    ['a need with its places', { needs: [{ ...note, hitFromM: [145, 150, 155] }] }, null],
    [
      'more places than there may be',
      { needs: [{ ...note, hitFromM: Array.from({ length: 13 }, () => 150) }] },
      /hitFromM holds more than 12 places/,
    ],
    [
      'a place that is none',
      { needs: [{ ...note, hitFromM: [0] }] },
      /hitFromM\[0\] must be between 1 and 1300/,
    ],
    ['fifteen clubs', { limit: 15 }, /limit must be between 1 and 14/],
    ['half a club', { limit: 12.5 }, /limit must be a whole number/],
    [
      'a group of one',
      { oneOf: [['7a5c4e00-0002-4000-8000-000000000001']] },
      /oneOf\[0\] must name at least two clubs/,
    ],
    [
      'a distance nobody hits',
      { mustCover: [{ distanceM: 900, withinM: 5 }] },
      /mustCover\[0\]\.distanceM must be between 1 and 400/,
    ],
    ['a school nobody has', { bounce: 'sideways' }, /bounce must be one of/],
    ['something unknown', { lucky: true }, /unknown field: lucky/],
  ])('%s', (_what, more, message) => {
    const check = () => planChoosingSchema.validateSync({ ...plain, ...more }, { strict: true });
    if (message) expect(check).toThrow(message);
    else expect(check).not.toThrow();
  });

  it('what a plan does not say is the player’s own, and the rest is the default', () => {
    const own = { limit: 11, never: ['3'], bounce: 'low' as const };
    expect(preferencesOf(null, own)).toEqual({ ...DEFAULT_PREFERENCES, ...own });
    expect(preferencesOf(null, null)).toEqual(DEFAULT_PREFERENCES);
    // A plan says its limit and its locks; the bounce it leaves to the player.
    expect(preferencesOf(plan.choosing, own)).toMatchObject({
      limit: 12,
      never: [],
      always: ['7'],
      bounce: 'low',
    });
    const asked = roundRequestOf({
      player: { ...player, preferences: own },
      clubs: [club('7'), club('9')],
      plan: { ...plan, choosing: null },
      round,
      course,
      limits: { clubs: 14, lengthIn: 48 },
    });
    expect(asked.rules.preferences).toMatchObject(own);
  });
});
