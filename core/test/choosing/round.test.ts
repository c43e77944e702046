import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  BASELINE,
  MEDIUM_FAIRWAY,
  DEFAULT_PREFERENCES,
  InvalidInputError,
  USUAL_GROUND,
  expectedStrokes,
  lockerFindings,
  outcomeOf,
  playedIn,
  playingBounceDeg,
  soleStrokes,
  strokesFor,
  choosingRulesOf,
  withModelledCarries,
  lockerFindingSentence,
  type Aimed,
  type CourseGround,
  type LadderClub,
  type ShotDemand,
  type PlayedClub,
} from '../../src/index.js';
import { putterStrokes, wantedHeadG } from '../../src/choosing/putter.js';
import { strokesWith } from '../../src/choosing/strokes-for.js';
import { wantedBounceDeg } from '../../src/choosing/sole.js';
import { withinSwaps } from '../../src/choosing/bag-preferences.js';
import { club, strongSetWedge, yards } from '../bag-of-clubs.js';

const green = (distanceM: number, more: Partial<ShotDemand> = {}): ShotDemand => ({
  name: 'a green',
  to: 'green',
  distanceM,
  lie: 'fairway',
  mustHold: false,
  weight: 1,
  ...more,
});
const drive = (more: Partial<ShotDemand> = {}): ShotDemand => ({
  name: 'a drive',
  to: 'fairway',
  distanceM: 240,
  leftM: 130,
  lie: 'tee',
  mustHold: false,
  weight: 1,
  ...more,
});
const aim = (carryM: number, more: Partial<Aimed> = {}): Aimed => ({
  carryM,
  fairwayRunM: 5,
  greenRunM: 2,
  alongM: 5,
  acrossM: 6,
  mishitShare: 0,
  mishitShortM: 0,
  handicap: -4,
  strokes: 1,
  ...more,
});

describe('expected strokes', () => {
  it.each([
    ['tee', 400, 3.99],
    ['fairway', 100, 2.8],
    ['fairway', 200, 3.19],
    ['rough', 140, 3.15],
    ['sand', 20, 2.53],
  ] as const)(
    'from the %s at %i yd the table stands as it was published (Broadie 2012, from memory): %f',
    (lie, yd, strokes) => {
      expect(expectedStrokes(lie, yards(yd))).toBeCloseTo(strokes, 9);
    },
  );
  it("between two rows it is straight, beyond the ends the end's own; putts by the foot", () => {
    expect(expectedStrokes('fairway', yards(110))).toBeCloseTo((2.8 + 2.85) / 2, 9);
    expect(expectedStrokes('green', 0.3048 * 8)).toBeCloseTo(1.5, 9);
    expect(expectedStrokes('green', 0.3048 * 17.5)).toBeCloseTo((1.78 + 1.87) / 2, 9);
    expect(expectedStrokes('tee', 900)).toBe(4.82);
    expect(expectedStrokes('sand', 0)).toBe(2.43);
    expect(() => expectedStrokes('tee', -1)).toThrow(InvalidInputError);
  });
});

describe('where a shot leaves the ball', () => {
  it('on the green by its distance, off it in the rough, short on line in the fairway; before a guarded green in what guards it', () => {
    expect(outcomeOf(green(150), aim(148), 0, 3)).toMatchObject({ lie: 'green', leftM: 3 });
    expect(outcomeOf(green(150), aim(148), 0, 20)).toMatchObject({ lie: 'rough' });
    expect(outcomeOf(green(150), aim(110), 0, 0)).toMatchObject({ lie: 'fairway', leftM: 35 });
    expect(outcomeOf(green(150, { mustHold: true }), aim(132), 0, 0)).toMatchObject({
      lie: 'sand',
      leftM: 18,
    });
    expect(outcomeOf(green(150, { mustHold: true, front: 'water' }), aim(132), 0, 0)).toMatchObject({
      lie: 'rough',
      lost: 1,
    });
    // An open front lets it run up.
    expect(outcomeOf(green(150), aim(132, { fairwayRunM: 12 }), 0, 0)).toMatchObject({
      lie: 'green',
      leftM: 6,
    });
  });

  it('a drive into a hazard is in it: carried over it is not, at the other side neither', () => {
    const hazards = (
      kind: 'bunker' | 'water' | 'out of bounds' | 'trees',
      side: 'left' | 'right' | 'across',
    ) => drive({ hazards: [{ kind, side, fromM: 230, toM: 260 }] });
    expect(outcomeOf(hazards('bunker', 'right'), aim(235), 0, 20)).toMatchObject({ lie: 'sand' });
    expect(outcomeOf(hazards('bunker', 'right'), aim(235), 0, -20)).toMatchObject({ lie: 'rough', lost: 0 });
    expect(outcomeOf(hazards('bunker', 'right'), aim(235), 0, 5)).toMatchObject({ lie: 'fairway' });
    expect(outcomeOf(hazards('water', 'across'), aim(240), 0, 0)).toMatchObject({
      lie: 'rough',
      lost: 1,
      leftM: 160,
    });
    expect(outcomeOf(hazards('water', 'across'), aim(265), 0, 0)).toMatchObject({ lie: 'fairway' });
    expect(outcomeOf(hazards('out of bounds', 'left'), aim(240), 0, -25)).toEqual({
      lie: 'tee',
      leftM: 370,
      lost: 1,
    });
    expect(outcomeOf(hazards('trees', 'left'), aim(240), 0, -25)).toMatchObject({ lie: 'rough', lost: 0.5 });
  });

  it('a hazard never helps, nor narrower, nor a lie that is worse', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 180, max: 280, noNaN: true }),
        fc.double({ min: 3, max: 10, noNaN: true }),
        fc.constantFrom('left' as const, 'right' as const, 'across' as const),
        fc.constantFrom('bunker' as const, 'water' as const, 'trees' as const),
        (carryM, spreadM, side, kind) => {
          const shot = { carryM, totalM: carryM + 15, spreadM, source: 'measured' as const };
          const cost = (demand: ShotDemand) => strokesFor(demand, { kind: 'driver' }, 'full', shot);
          // Broadie's sand is a hair easier than his rough at some distances.
          expect(cost(drive({ hazards: [{ kind, side, fromM: 220, toM: 270 }] }))).toBeGreaterThanOrEqual(
            cost(drive()) - (kind === 'bunker' ? 0.08 : 0.01),
          );
          expect(cost(drive({ halfM: 8 }))).toBeGreaterThanOrEqual(cost(drive({ halfM: 20 })) - 1e-9);
          expect(cost(drive({ lie: 'heavy rough' }))).toBeGreaterThan(cost(drive({ lie: 'fairway' })));
        },
      ),
      { numRuns: 60 },
    );
  });

  it('a strong wood is for the tee; a driver is not hit off the ground', () => {
    const shot = { carryM: 220, totalM: 235, spreadM: 6, source: 'measured' as const };
    const off = (lie: ShotDemand['lie'], kind: 'fairway' | 'driver', loftDeg: number) =>
      strokesFor(green(235, { lie }), { kind, loftDeg }, 'full', shot);
    expect(off('fairway', 'fairway', 13.5) - off('fairway', 'fairway', 15)).toBeCloseTo(0.045, 9);
    expect(off('tee', 'fairway', 13.5)).toBeCloseTo(off('tee', 'fairway', 15), 9);
    expect(off('fairway', 'driver', 10)).toBeGreaterThan(off('fairway', 'fairway', 15) + 0.2);
  });
});

describe('height against wind', () => {
  const from = { conditions: BASELINE, surface: MEDIUM_FAIRWAY };
  const [high, low] = [
    club('high', 'hybrid', 19, 220, { shots: 20, spreadYd: 6, apexFt: 105, descentDeg: 49 }),
    club('low', 'driving iron', 19, 220, { shots: 20, spreadYd: 6, apexFt: 75, descentDeg: 42 }),
  ];
  const play = (ground: CourseGround) => playedIn(from, BASELINE, ground);
  it('gusts move the high ball farther than the low one; on a firm green it stops sooner', () => {
    const windy = { windMps: 9, windFromDeg: 0 };
    const shots = [high, low].map((one) => play({ ...USUAL_GROUND, greens: 'firm' })(one, windy).shots.full!);
    expect(shots[0]!.gustAlongM!).toBeGreaterThan(shots[1]!.gustAlongM!);
    const calm = [high, low].map(
      (one) => play({ ...USUAL_GROUND, greens: 'firm' })(one, { windMps: 0, windFromDeg: 0 }).shots.full!,
    );
    expect(calm[0]!.greenRunM!).toBeLessThan(calm[1]!.greenRunM!);
    expect(calm[0]!.gustAlongM).toBe(0);
  });
  it('so that the high one is better for a green to hold in calm, and the low one gains on it in wind', () => {
    const ground = { ...USUAL_GROUND, greens: 'firm' as const };
    const apart = (windMps: number) => {
      const wind = { windMps, windFromDeg: 0 };
      const cost = (one: LadderClub) => {
        const there: PlayedClub = play(ground)(one, wind);
        const rest = there.shots.full!.carryM + there.shots.full!.greenRunM!;
        return strokesWith(green(Math.max(20, rest), { mustHold: true }), there).strokes;
      };
      return cost(low) - cost(high);
    };
    expect(apart(10)).toBeLessThan(apart(0));
  });
});

describe('soles and putters', () => {
  const wedge = (bounceDeg: number, grind?: string): LadderClub => ({
    ...club('58', 'wedge', 58, 80),
    bounceDeg,
    ...(grind && { grind }),
  });
  const firm = { ...USUAL_GROUND, fairways: 'firm' as const, sand: 'hard' as const },
    soft = { ...USUAL_GROUND, fairways: 'soft' as const, sand: 'fluffy' as const };
  it('firm turf and hard sand want less bounce, soft turf and fluffy sand more; a wide sole plays with more', () => {
    for (const lie of ['fairway', 'sand', 'light rough'] as const) {
      expect(wantedBounceDeg(lie, firm, 'match')).toBeLessThan(wantedBounceDeg(lie, soft, 'match'));
      expect(soleStrokes(wedge(6), lie, firm, 'match')).toBeLessThan(
        soleStrokes(wedge(14), lie, firm, 'match'),
      );
      expect(soleStrokes(wedge(14), lie, soft, 'match')).toBeLessThan(
        soleStrokes(wedge(6), lie, soft, 'match'),
      );
    }
    expect(playingBounceDeg(wedge(12, 'wide sole'))).toBe(14);
    expect(playingBounceDeg(wedge(8, 'heel and toe relief'))).toBe(6);
  });
  it('who plays low bounce everywhere pays nothing for it; nothing is charged on a tee, for an iron, or for an unknown bounce', () => {
    expect(soleStrokes(wedge(4), 'sand', soft, 'low')).toBe(0);
    expect(soleStrokes(wedge(14), 'sand', soft, 'low')).toBeGreaterThan(0);
    expect(soleStrokes(wedge(10), 'fairway', soft, 'middle')).toBe(0);
    expect(soleStrokes(wedge(2), 'tee', soft, 'match')).toBe(0);
    expect(soleStrokes({ ...club('7', 'iron', 32, 160), bounceDeg: 4 }, 'sand', soft, 'match')).toBe(0);
    expect(soleStrokes(club('58', 'wedge', 58, 80), 'sand', soft, 'match')).toBe(0);
  });
  it('putters by green speed, each school its own way; who putts with one only pays for another', () => {
    const putter = (headWeightG: number): LadderClub => ({
      ...club('p', 'putter', 3, undefined),
      headWeightG,
    });
    const slow = { ...USUAL_GROUND, greenSpeedM: 2.3 },
      fast = { ...USUAL_GROUND, greenSpeedM: 3.8 };
    expect(wantedHeadG(slow, 'heavy on slow')).toBe(375);
    expect(wantedHeadG(fast, 'heavy on slow')).toBe(340);
    expect(putterStrokes(putter(380), slow, 'heavy on slow', false)).toBeLessThan(
      putterStrokes(putter(340), slow, 'heavy on slow', true),
    );
    expect(putterStrokes(putter(380), fast, 'heavy on fast', false)).toBeLessThan(
      putterStrokes(putter(340), fast, 'heavy on fast', true),
    );
    expect(putterStrokes(putter(340), slow, 'gamer', true)).toBe(0);
    expect(putterStrokes(putter(380), slow, 'gamer', false)).toBeGreaterThan(0);
  });
});

describe('what is not known', () => {
  it("is filled in from the player's own clubs, marked, and never over what is known", () => {
    const bag = [
      ...strongSetWedge(),
      club('4 iron', 'iron', 22, undefined),
      club('stated', 'iron', 30, 168),
    ].map((one) =>
      one.id === '7 iron'
        ? { ...one, shots: { full: { ...one.shots.full!, totalM: yards(168), spreadM: 5, apexM: 28 } } }
        : one,
    );
    const filled = withModelledCarries(bag);
    const full = (id: string) => filled.find((one) => one.id === id)!.shots.full!;
    expect(full('4 iron')).toMatchObject({ source: 'modelled' });
    expect(full('4 iron').plusMinusM).toBeGreaterThan(1);
    expect(full('4 iron').carryM).toBeGreaterThan(full('5 iron').carryM);
    expect(full('stated')).toMatchObject({ carryM: yards(168), source: 'stated' });
    expect(full('stated').totalM! - full('stated').carryM).toBeCloseTo(yards(7), 6);
    expect(full('stated').spreadM).toBeUndefined();
    expect(full('7 iron')).toEqual(bag.find((one) => one.id === '7 iron')!.shots.full);
  });
  it("a partial shot is the player's: another wedge of the loft has it too", () => {
    const shots = { carryM: 60, spreadM: 2, source: 'measured' as const };
    const filled = withModelledCarries([
      club('58', 'wedge', 58, 80, { shots: 20, spreadYd: 3, partials: { 'three-quarter': shots } }),
      club('58 wide', 'wedge', 58, 84),
      club('50', 'wedge', 50, 100),
      club('9', 'iron', 41, 130),
    ]);
    expect(filled.find(({ id }) => id === '58 wide')!.shots['three-quarter']).toMatchObject({
      source: 'modelled',
      carryM: 63,
    });
    expect(filled.find(({ id }) => id === '50')!.shots['three-quarter']).toBeUndefined();
  });
});

describe('preferences', () => {
  const clubs = [
    ...strongSetWedge(),
    club('4 iron', 'iron', 22, 190),
    { ...club('Long driver', 'driver', 8, 260, { lengthIn: 47 }), price: 400 },
  ];
  const gamerIds = strongSetWedge().map(({ id }) => id);
  const rules = (preferences: Partial<typeof DEFAULT_PREFERENCES>, more: object = {}) =>
    choosingRulesOf({
      preferences: { ...DEFAULT_PREFERENCES, ...preferences },
      school: 'even-carries',
      clubs,
      gamerIds,
      ...more,
    });
  it("trust, change and money are prices; an event's limits are rules that no trust overrides", () => {
    const prices = rules({ changeStrokes: 0.05, comfort: { '4 iron': 0.3 }, strokesPerHundred: 0.1 }).prices;
    expect(prices['4 iron']).toBeCloseTo(0.05 - 0.3, 9);
    expect(prices['Long driver']).toBeCloseTo(0.05 + 0.4, 9);
    expect(prices['7 iron']).toBe(0);
    const held = rules({ always: ['Long driver'] }, { limits: { clubs: 12, lengthIn: 46 } });
    expect(held).toMatchObject({ limit: 12, always: [], never: ['Long driver'] });
    expect(rules({}).kinds).toEqual([{ kind: 'driver', most: 1 }]);
    expect(rules({ never: ['gone long since'] }).never).toEqual([]);
  });
  it('a freeze lets nothing in; so many swaps let so many in and out', () => {
    expect(rules({ mostChanges: 0 }).groups).toEqual([
      { ids: ['4 iron', 'Long driver'], least: 0, most: 0, name: 'a freeze on the gamer' },
    ]);
    expect(
      withinSwaps(rules({}), clubs, gamerIds, 2).groups.map(({ least: min, most: max }) => [min, max]),
    ).toEqual([
      [0, 2],
      [gamerIds.length - 2, gamerIds.length],
    ]);
  });
  it('a locker without a wedge, a putter or carries says so', () => {
    const said = (locker: LadderClub[]) =>
      lockerFindings(locker).map((finding) => lockerFindingSentence(finding, (id) => id));
    const lost = [club('7', 'iron', 32, 15), club('PW', 'wedge', 46, 110), club('Putter', 'putter', 3, 0)];
    expect(said(lost)).toEqual([expect.stringMatching(/The PW carries farther than the 7 with more loft/)]);
    expect(said([club('7', 'iron', 32, 150)])).toEqual([
      expect.stringMatching(/no wedge/),
      expect.stringMatching(/no putter/),
    ]);
    expect(said([club('56', 'wedge', 56, undefined), club('p', 'putter', 3, undefined)])).toEqual([
      'The 56 has no carry of its own.',
    ]);
    expect(said(['52', '56'].map((name) => club(name, 'wedge', 56, undefined)))).toContain(
      '2 clubs have no carry of their own.',
    );
    expect(lockerFindings(clubs)).toEqual([]);
  });
});
