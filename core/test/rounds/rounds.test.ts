import { describe, expect, it } from 'vitest';
import {
  BASELINE,
  CALM,
  MEDIUM_FAIRWAY,
  USUAL_GROUND,
  deriveDemands,
  demandCosts,
  usualHole,
  type Hole,
  type LadderClub,
  type ShotDemand,
  type RoundDay,
} from '../../src/index.js';
import { bearingOf, windOnHole } from '../../src/rounds/round-air.js';
import { dayShots, holePlayer } from '../../src/rounds/play-hole.js';
import { demandRows } from '../../src/choosing/demand-rows.js';
import { club, strongSetWedge } from '../bag-of-clubs.js';

const FROM = { conditions: BASELINE, surface: MEDIUM_FAIRWAY };
const hole = (par: number, lengthM: number, more: Partial<Hole> = {}): Hole => ({
  ...usualHole(par, [lengthM]),
  bearingDeg: 0,
  ...more,
});
const nine = (make: (i: number) => Hole) => Array.from({ length: 9 }, (_one, i) => make(i));
const day = (holes: readonly Hole[], more: Partial<RoundDay> = {}): RoundDay => ({
  course: { tees: ['Back'], holes, altitudeM: 0 },
  tee: 0,
  air: CALM,
  ground: USUAL_GROUND,
  ...more,
});
const clubs = strongSetWedge();
const needsOf = (one: RoundDay, some: readonly LadderClub[] = clubs) => deriveDemands(one, some, FROM);

describe('the wind of a hole', () => {
  it('blows by the compass: a hole played to the west has a west wind in its face, one to the north has it from the left', () => {
    const air = { ...CALM, windMps: 8, windFromDeg: 270 };
    expect(windOnHole(air, hole(4, 380, { bearingDeg: 270 }), 0)).toEqual({ windMps: 8, windFromDeg: 0 });
    expect(windOnHole(air, hole(4, 380, { bearingDeg: 90 }), 0).windFromDeg).toBe(180);
    expect(windOnHole(air, hole(4, 380, { bearingDeg: 0 }), 0).windFromDeg).toBe(270);
  });

  it('of holes without a bearing goes round evenly', () => {
    const bearings = Array.from({ length: 18 }, (_one, i) => bearingOf({ bearingDeg: null }, i)).sort(
      (a, b) => a - b,
    );
    const steps = bearings.map((one, i) => (bearings[(i + 1) % 18]! - one + 360) % 360 || 360);
    expect(Math.max(...steps)).toBeLessThan(45);
  });
});

describe('what a round asks', () => {
  const mixed = nine((i) => hole([4, 3, 5][i % 3]!, [370, 150, 490][i % 3]!, { bearingDeg: i * 40 }));

  it('one shot from every tee twice round a nine, a par three of its own length; the same for one seed, another for another', () => {
    const { needs, strokes, rareStrokes } = needsOf(day(mixed));
    for (let at = 1; at <= 9; at++)
      expect(
        needs
          .filter((demand) => demand.hole === at && demand.lie === 'tee')
          .reduce((sum, { weight }) => sum + weight, 0),
      ).toBeCloseTo(2, 6);
    expect(needs.find((demand) => demand.hole === 2 && demand.lie === 'tee')).toMatchObject({
      to: 'green',
      distanceM: 150,
      id: '2nd, par three',
      name: 'tee shot at the 2nd',
    });
    expect(strokes).toBeCloseTo(needs.reduce((sum, { weight }) => sum + weight, 0) + rareStrokes, 9);
    expect(strokes).toBeGreaterThan(28);
    expect(strokes).toBeLessThan(50);
    expect(needsOf(day(mixed)).needs).toEqual(needs);
    expect(deriveDemands(day(mixed), clubs, FROM, { seed: 3 }).needs).not.toEqual(needs);
  });

  it('a need stands for the places it was hit from, about its own distance, and hardly any stroke is too rare to be listed', () => {
    const { needs, strokes, rareStrokes } = needsOf(day(mixed));
    const gathered = needs.filter(({ hitFromM }) => hitFromM);
    expect(gathered.length).toBeGreaterThan(10);
    for (const { name, to, distanceM, leftM = 0, hitFromM } of gathered) {
      const toHole = distanceM + (to === 'green' ? 0 : leftM);
      const middle = hitFromM!.reduce((sum, from) => sum + from, 0) / hitFromM!.length;
      expect(Math.abs(middle - toHole), name).toBeLessThan(
        Math.max(3, (hitFromM!.at(-1)! - hitFromM![0]!) / 4),
      );
      expect([...hitFromM!].sort((a, b) => a - b)).toEqual(hitFromM);
      expect(hitFromM![0]).toBeLessThan(toHole);
      expect(hitFromM!.at(-1)).toBeGreaterThan(toHole);
    }
    expect(rareStrokes / strokes).toBeLessThan(0.02);
    // From a tee there is one place; a chip is by feel.
    expect(
      needs.some(({ lie, name, hitFromM }) => hitFromM && (lie === 'tee' || name.includes('short shot'))),
    ).toBe(false);
  });

  it('another seed tells the same of two bags to a few hundredths of a stroke', () => {
    const told = [1, 2, 3].map((seed) => {
      const { needs, strokes } = deriveDemands(day(mixed), clubs, FROM, { seed });
      const costs = demandCosts(clubs, needs, {
        played: dayShots(day(mixed), FROM),
        ground: USUAL_GROUND,
        bounce: 'match',
      });
      const rows = demandRows(needs);
      const whole = rows.reduce((sum, { weight }) => sum + weight, 0);
      const without = (id: string) =>
        rows.reduce(
          (sum, { weight }, r) =>
            sum +
            ((weight * strokes) / whole) *
              Math.min(
                ...clubs
                  .filter((one) => one.kind !== 'putter' && one.id !== id)
                  .map((one) => costs[r]!.get(one.id)!.strokes),
              ),
          0,
        );
      return without('7 iron') - without('');
    });
    expect(Math.min(...told)).toBeGreaterThan(0.05);
    expect(Math.max(...told) - Math.min(...told)).toBeLessThan(0.08);
  });

  it('into the wind and uphill it plays longer, downwind and downhill shorter', () => {
    const par3 = (more: Partial<Hole>, windMps: number) =>
      needsOf(
        day(
          nine(() => hole(3, 150, more)),
          { air: { ...CALM, windMps, windFromDeg: 0 } },
        ),
      ).needs.find((demand) => demand.hole === 1 && demand.lie === 'tee')!.playsLikeM!;
    const calm = par3({}, 0);
    expect(par3({ bearingDeg: 0 }, 8)).toBeGreaterThan(calm + 8);
    expect(par3({ bearingDeg: 180 }, 8)).toBeLessThan(calm - 3);
    // A green 10 m above plays about 10 m longer (common practice): the landing angle is near 45 degrees.
    expect(par3({ elevationChangeM: 10 }, 0) - calm).toBeGreaterThan(6);
    expect(par3({ elevationChangeM: 10 }, 0) - calm).toBeLessThan(14);
    expect(par3({ elevationChangeM: -10 }, 0)).toBeLessThan(calm - 6);
  });

  it('water where a drive ends is laid up short of; sand before a green makes it one to hold', () => {
    const tee = (needs: readonly ShotDemand[]) =>
      needs.filter((demand) => demand.hole === 1 && demand.lie === 'tee');
    const open = tee(needsOf(day(nine(() => hole(4, 400)))).needs)[0]!;
    const water = tee(
      needsOf(
        day(nine(() => hole(4, 400, { hazards: [{ kind: 'water', side: 'across', fromM: 205, toM: 330 }] }))),
      ).needs,
    )[0]!;
    expect(open.distanceM).toBeGreaterThan(230);
    expect(water.distanceM).toBeLessThan(206);
    const approach = (front: Hole['front']) =>
      needsOf(day(nine(() => hole(4, 400, { front })))).needs.find((demand) =>
        (demand.id ?? '').includes('approach'),
      )!;
    expect(approach('open').mustHold).toBe(false);
    expect(approach('sand')).toMatchObject({ mustHold: true });
    expect(approach('water')).toMatchObject({ mustHold: true, front: 'water' });
  });

  it('from a tee in front of the first one hazards and rise are as much nearer as it stands forward', () => {
    const hazards = [
      { kind: 'water', side: 'across', fromM: 205, toM: 250 },
      { kind: 'bunker', side: 'left', fromM: 60, toM: 100 },
    ] as const;
    const forward = needsOf(
      day(
        nine(() => hole(4, 400, { lengthsM: [400, 350], elevationChangeM: 16, hazards })),
        {
          course: {
            tees: ['Back', 'Front'],
            holes: nine(() => hole(4, 400, { lengthsM: [400, 350], elevationChangeM: 16, hazards })),
            altitudeM: 0,
          },
          tee: 1,
        },
      ),
    );
    const alone = needsOf(
      day(
        nine(() =>
          hole(4, 350, {
            elevationChangeM: 14,
            hazards: hazards.map((one) => ({ ...one, fromM: one.fromM - 50, toM: one.toM - 50 })),
          }),
        ),
      ),
    );
    expect(forward.needs).toEqual(alone.needs);
    expect(forward.needs).not.toEqual(
      needsOf(day(nine(() => hole(4, 350, { elevationChangeM: 14, hazards })))).needs,
    );
  });

  it('a long hole asks a player without reach for a lay-up, a player of reach for none', () => {
    const five = day(nine(() => hole(5, 440)));
    const kinds = (some: readonly LadderClub[]) =>
      needsOf(five, some)
        .needs.filter((demand) => demand.hole === 1)
        .map(({ name }) => name)
        .join();
    expect(kinds(clubs)).not.toMatch(/lay-up/);
    expect(
      kinds([club('7 iron', 'iron', 32, 150), club('PW', 'wedge', 46, 110), club('56', 'wedge', 56, 80)]),
    ).toMatch(/lay-up/);
  });

  it('refuses clubs without a carry, and a tee that is not there', () => {
    expect(() => needsOf(day(mixed), [club('Putter', 'putter', 3, undefined)])).toThrow(
      'clubs hold none that has a carry',
    );
    expect(() => needsOf(day(mixed, { tee: 2 }))).toThrow('tee must be one of Back');
    expect(() => needsOf(day(mixed.slice(1)))).toThrow('holes must be 9 or 18');
  });
});

describe('a hole played', () => {
  it('takes about what Broadie expects of a tour player from its tee, with the same luck for one seed', () => {
    const one = day(nine(() => hole(4, 366)));
    const player = holePlayer(one, clubs, dayShots(one, FROM));
    const scores = Array.from({ length: 400 }, (_play, i) => player.play(0, i * 977).strokes);
    const mean = scores.reduce((sum, score) => sum + score, 0) / scores.length;
    // 400 yd from the tee: 3.99 (Interfaces 42(2), 2012, from memory). A usual hole without hazards is somewhat
    // easier.
    expect(mean).toBeGreaterThan(3.7);
    expect(mean).toBeLessThan(4.15);
    expect(player.play(0, 5)).toEqual(player.play(0, 5));
  });

  it('narrower costs more, and so does long wet rough', () => {
    const mean = (one: RoundDay) => {
      const player = holePlayer(one, clubs, dayShots(one, FROM));
      let sum = 0;
      for (let i = 0; i < 400; i++) sum += player.play(0, i * 977).strokes;
      return sum / 400;
    };
    const wide = mean(day(nine(() => hole(4, 400, { corridorM: 45 }))));
    expect(mean(day(nine(() => hole(4, 400, { corridorM: 18 }))))).toBeGreaterThan(wide + 0.03);
    expect(
      mean(
        day(
          nine(() => hole(4, 400, { corridorM: 18 })),
          { ground: { ...USUAL_GROUND, rough: 'long', wet: true } },
        ),
      ),
    ).toBeGreaterThan(wide + 0.1);
  });
});
