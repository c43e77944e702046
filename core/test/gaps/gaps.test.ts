import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  DEFAULT_GAP_SETTINGS,
  GAPPING_STRATEGIES,
  deviationOf,
  fromMetres,
  gaps,
  placedClubs,
  meanOf,
  normalFrom,
  randomFrom,
  flagSentence,
  headlineWords,
  stepSentence,
  type ClubKind,
  type LadderClub,
} from '../../src/index.js';
import { club, strongSetWedge, yards } from '../bag-of-clubs.js';

function step(clubs: LadderClub[], upper: string, lower: string, options = {}) {
  const report = gaps(clubs, options);
  const found = report.steps.find((one) => one.upperId === upper && one.lowerId === lower)!;
  return { ...found, sentence: stepSentence(found, report, 'yd') };
}

describe('the carry ladder', () => {
  it('sorts by stock carry, longest first, and leaves putter and chipper off', () => {
    const report = gaps([
      club('9', 'iron', 41, 137),
      club('Chipper', 'chipper', 36, 40),
      club('7', 'iron', 32, 161),
      club('P', 'putter', 3, undefined),
    ]);
    expect(report.rungs.map((rung) => rung.name)).toEqual(['7', '9']);
    expect(report.steps).toHaveLength(1);
    expect(fromMetres(report.steps[0]!.carryM, 'yd')).toBeCloseTo(24, 9);
    expect(report.steps[0]!.loftDeg).toBe(9);
  });

  it('says which clubs cannot hang on it, and why', () => {
    const report = gaps([club('7', 'iron', 32, 161), club('8', 'iron', 36, undefined)]);
    expect(report.unplaced).toEqual([{ clubId: '8', name: '8' }]);
  });

  it('keeps a loft ladder of its own, with clubs whose carry is not known', () => {
    const report = gaps([
      club('PW', 'wedge', 46, 110),
      club('52', 'wedge', 52, undefined),
      club('9', 'iron', 41, 125),
    ]);
    expect(report.loftRungs.map((rung) => rung.loftDeg)).toEqual([41, 46, 52]);
    expect(report.loftSteps.map((one) => one.loftDeg)).toEqual([5, 6]);
  });

  it('reports nothing of a bag of no or one club but that there is no ladder', () => {
    for (const clubs of [[], [club('7', 'iron', 32, 161)]]) {
      const report = gaps(clubs);
      expect(report.steps).toEqual([]);
      expect(report.evenness).toBeUndefined();
      expect(headlineWords(report, 'yd').title).toBe('No ladder yet.');
    }
  });
});

describe('targets', () => {
  // 2-the-numbers: "target = (longest - shortest full swing) / steps"; common practice, no source.
  it('is (longest less shortest) by steps for even carries', () => {
    const report = gaps(strongSetWedge());
    // The step below the driver is judged apart.
    expect(report.steps[0]!.targetM).toBeUndefined();
    expect(fromMetres(report.steps[1]!.targetM!, 'yd')).toBeCloseTo((232 - 75) / 11, 9);
  });

  it('counts an either-or pair as one rung', () => {
    const clubs = [
      club('W', 'fairway', 15, 250),
      club('H', 'hybrid', 19, 210, { apexFt: 120, descentDeg: 50 }),
      club('U', 'driving iron', 19, 208, { apexFt: 85, descentDeg: 43 }),
      club('5', 'iron', 25, 180),
    ];
    const report = gaps(clubs);
    expect(report.steps[1]!.word).toBe('either-or');
    expect(report.steps[1]!.targetM).toBeUndefined();
    expect(fromMetres(report.steps[0]!.targetM!, 'yd')).toBeCloseTo(70 / 2, 9);
    expect(report.evenness!.steps).toBe(2);
  });

  it('asks for 4, 5 or 6 degrees of the irons and wedges under even lofts, and says nothing of woods', () => {
    for (const deg of [4, 5, 6] as const) {
      const report = gaps(strongSetWedge(), { school: `even-lofts-${deg}` });
      expect(report.steps[0]!.targetDeg).toBeUndefined();
      expect(report.steps.at(-1)!.targetDeg).toBe(deg);
      expect(report.evenness!.unit).toBe('deg');
      // 5i 24.5, 28, 32, 36, 40.5, 44, 52, 56, 60: eight steps against `deg`, by hand.
      const off = [3.5, 4, 4, 4.5, 3.5, 8, 4, 4].map((loft) => (loft - deg) ** 2);
      expect(report.evenness!.rms).toBeCloseTo(Math.sqrt(off.reduce((a, b) => a + b) / 8), 9);
    }
  });

  it('wants the scoring end tighter than the rest when compressed where you score', () => {
    const report = gaps(strongSetWedge(), { school: 'compressed' });
    const target = (upper: string) => report.steps.find((one) => one.upperId === upper)!.targetM!;
    expect(target('8 iron') / target('3 wood')).toBeCloseTo(3.25 / 4.5, 9);
  });

  it('wants the long end tighter and the wedges wider when strong at the long end', () => {
    const report = gaps(strongSetWedge(), { school: 'strong-long-end' });
    const target = (upper: string) => report.steps.find((one) => one.upperId === upper)!.targetM!;
    expect(target('Hybrid')).toBeLessThan(target('7 iron'));
    expect(target('56')).toBeGreaterThan(target('7 iron'));
  });

  it('measures the holes left by partial shots under the minimal school', () => {
    const soft = { soft: { carryM: yards(140), source: 'measured', sampleSize: 12 } as const };
    const clubs = [
      club('5', 'iron', 25, 180),
      club('7', 'iron', 32, 160, { partials: soft }),
      club('9', 'iron', 41, 120),
      club('56', 'wedge', 56, 80),
    ];
    const report = gaps(clubs, { school: 'minimal' });
    expect(fromMetres(report.steps[1]!.widestGapM, 'yd')).toBeCloseTo(20, 9);
    expect(fromMetres(report.steps[2]!.widestGapM, 'yd')).toBeCloseTo(40, 9);
  });

  it('targets of a carry school add up to the ladder, whatever the school (property)', () => {
    fc.assert(
      fc.property(
        bags,
        fc.constantFrom('even-carries', 'compressed', 'strong-long-end' as const),
        (clubs, school) => {
          const report = gaps(clubs, { school: school as 'compressed' });
          const targets = report.steps.flatMap((one) => one.targetM ?? []);
          if (targets.length === 0) return;
          const span = report.rungs[0]!.carryM - report.rungs.at(-1)!.carryM;
          expect(targets.reduce((a, b) => a + b)).toBeCloseTo(span, 6);
        },
      ),
    );
  });
});

describe('flags', () => {
  // 2-the-numbers, Gaps: "wedge loft step over 6 deg or under 3"; common practice, no source.
  it('finds a wedge loft step over 6 degrees and under 3, and none at the limits', () => {
    const wedges = (a: number, b: number) =>
      step([club('A', 'wedge', a, 110), club('B', 'wedge', b, 100)], 'A', 'B').flags.map((flag) => flag.code);
    expect(wedges(44, 50.5)).toContain('wedge-loft-wide');
    expect(wedges(44, 50)).toEqual([]);
    expect(wedges(50, 52.5)).toContain('wedge-loft-narrow');
    expect(wedges(50, 53)).toEqual([]);
  });

  it('takes a strong set iron wedge for a wedge', () => {
    const flags = step(strongSetWedge(), 'PW', '52').flags;
    expect(flags.map((flag) => flag.code)).toEqual(['scoring-carry-wide', 'wedge-loft-wide']);
    expect(flagSentence(flags[1]!, gaps(strongSetWedge()), 'yd')).toBe(
      'PW to 52 is 8.0° in the wedges, over 6.0°.',
    );
  });

  // "scoring-end carry step over 15 yd; top-end step over 25 yd; step under 6 yd"; common practice, no source.
  it('holds the scoring end to 15 yd and the top end to 25', () => {
    const at = (loft: number, gap: number) =>
      step(
        [
          club('A', 'iron', loft, 200),
          club('B', 'iron', loft + 4, 200 - gap),
          club('C', 'iron', loft + 8, 200 - 2 * gap),
        ],
        'A',
        'B',
      );
    expect(at(36, 15).severity).toBe('fine');
    expect(at(36, 15.1).flags[0]!.code).toBe('scoring-carry-wide');
    expect(at(20, 25).severity).toBe('fine');
    expect(at(20, 25.1).flags[0]!.code).toBe('top-carry-wide');
  });

  it('calls a step under 6 yd a fault when the flights are alike, an either-or pair when they differ, and asks when they are not known', () => {
    const pair = (a: object, b: object) =>
      step([club('H', 'hybrid', 19, 209, a), club('U', 'driving iron', 19.5, 205, b)], 'H', 'U');
    expect(pair({ apexFt: 90, descentDeg: 46 }, { apexFt: 85, descentDeg: 45 })).toMatchObject({
      word: 'overlap',
      severity: 'error',
    });
    expect(pair({ apexFt: 120, descentDeg: 46 }, { apexFt: 90, descentDeg: 46 })).toMatchObject({
      word: 'either-or',
      severity: 'fine',
      flags: [],
    });
    expect(pair({ apexFt: 90, descentDeg: 50 }, { apexFt: 90, descentDeg: 45 }).word).toBe('either-or');
    expect(pair({}, {})).toMatchObject({ word: 'overlap', severity: 'warning' });
    expect(pair({}, {}).sentence).toContain('record apex and landing angle');
  });

  it('softens a wide step whose middle an owned partial shot covers, and not by a shot only hoped for', () => {
    const bag = (source: 'measured' | 'stated' | 'modelled', shots?: number) => [
      club('PW', 'wedge', 46, 125, {
        partials: { soft: { carryM: yards(114), source, ...(shots && { sampleSize: shots }) } },
      }),
      club('52', 'wedge', 52, 101),
      club('58', 'wedge', 58, 90),
    ];
    const covered = step(bag('measured', 12), 'PW', '52');
    expect(covered).toMatchObject({ word: 'covered', severity: 'warning' });
    expect(covered.sentence).toContain('soft PW at 114 covers its middle, leaving 11 and 13 yd');
    // A stated partial counts as a stated full shot does; one a model only hopes for does not.
    expect(step(bag('stated'), 'PW', '52').severity).toBe('warning');
    expect(step(bag('modelled'), 'PW', '52').severity).toBe('error');
    expect(step(bag('measured', 4), 'PW', '52').severity).toBe('error');
  });

  it('a partial is owned by how closely its carry is known, not by a number of shots', () => {
    const bag = (shots: number, spreadYd: number) => [
      club('PW', 'iron', 44, 125, {
        partials: {
          soft: { carryM: yards(114), source: 'measured', sampleSize: shots, spreadM: yards(spreadYd) },
        },
      }),
      club('52', 'wedge', 52, 101),
      club('58', 'wedge', 58, 90),
    ];
    const word = (shots: number, spreadYd: number) => step(bag(shots, spreadYd), 'PW', '52').word;
    expect(word(3, 4)).toBe('covered');
    expect(word(3, 14)).not.toBe('covered');
    expect(word(2, 1)).not.toBe('covered');
    expect(word(8, 14)).toBe('covered');
  });
  it('notes two clubs at one loft, a club never hit, and a pair the wrong way round', () => {
    const report = gaps([
      club('5w', 'fairway', 19, 214),
      club('3h', 'hybrid', 19, 204),
      club('3i', 'iron', 18, 190, { hitsPerRound: 0 }),
    ]);
    expect(report.flags.map((flag) => flag.code)).toEqual(
      expect.arrayContaining(['same-loft', 'never-hit', 'reversed']),
    );
    expect(report.flags.find((flag) => flag.code === 'same-loft')!.severity).toBe('note');
  });

  it('takes a pair whose lofts are far the wrong way round for a slip of the pen, and says nothing else of its step', () => {
    const set = [
      club('driver', 'driver', 10, 240),
      club('7 iron', 'iron', 34, 150),
      club('8 iron', 'iron', 38, 140),
      club('PW', 'wedge', 46, 120),
    ];
    const slips = [
      // A carry typed into the wrong row, a carry with a figure missing, a loft with its point in the wrong
      // place.
      set.map((one) => (one.id === 'PW' ? club('PW', 'wedge', 46, 250) : one)),
      set.map((one) => (one.id === '7 iron' ? club('7 iron', 'iron', 34, 15) : one)),
      set.map((one) => (one.id === 'PW' ? club('PW', 'wedge', 4.6, 120) : one)),
    ];
    for (const slip of slips) {
      const report = gaps(slip);
      expect(report.headline.flag?.code).toBe('mixed-up');
      const [upperId, lowerId] = report.headline.clubIds!;
      const mixed = step(slip, upperId!, lowerId!);
      expect([mixed.word, mixed.severity, mixed.flags.length]).toEqual(['mixed up', 'error', 1]);
      expect(mixed.limitM).toBeUndefined();
      const { title, text } = headlineWords(report, 'yd');
      expect(title).toMatch(/pair mixed up\.$/);
      expect(text).toMatch(
        /carries \d+ yd, farther than .* at \d+ yd with \d+\.\d° more loft: one of these lofts or carries must be/,
      );
    }
    expect(gaps(set).steps.some(({ word }) => word === 'mixed up')).toBe(false);
  });

  it('names a wrong carry once, though it stands among clubs of about that carry', () => {
    const set = [
      club('4h', 'hybrid', 22, 205),
      club('5 iron', 'iron', 25, 190),
      club('6 iron', 'iron', 28, 178),
      club('7 iron', 'iron', 32, 165),
      club('8 iron', 'iron', 36, 152),
      club('9 iron', 'iron', 41, 139),
      club('PW', 'wedge', 46, 126),
    ];
    const withCarry = (id: string, yd: number) =>
      gaps(set.map((one) => (one.id === id ? club(id, one.kind, one.loftDeg!, yd) : one)));
    const mixedUp = (report: ReturnType<typeof gaps>) =>
      report.flags.filter(({ code }) => code === 'mixed-up');
    expect(mixedUp(gaps(set))).toEqual([]);
    const nine = withCarry('9 iron', 193);
    expect(mixedUp(nine).map(({ clubIds }) => clubIds)).toEqual([['9 iron', '8 iron']]);
    expect(headlineWords(nine, 'yd')).toEqual({
      title: 'One pair mixed up.',
      text: '9 iron carries 193 yd, farther than 8 iron at 152 yd with 5.0° more loft: one of these lofts or carries must be wrong.',
    });
    // Two carries of neighbours the wrong way round; and one no longer than the club above it is an overlap.
    expect(mixedUp(withCarry('9 iron', 163)).map(({ clubIds }) => clubIds)).toEqual([['9 iron', '8 iron']]);
    expect(mixedUp(withCarry('9 iron', 152))).toEqual([]);
    // A loft of a long iron, by somebody who gets one up.
    const seven = set.map((one) => (one.id === '7 iron' ? { ...one, loftDeg: 23 } : one));
    expect(mixedUp(gaps(seven)).map(({ clubIds }) => clubIds)).toEqual([['6 iron', '7 iron']]);
    const wood = gaps([club('driver', 'driver', 10, 260), club('5w', 'fairway', 18, 320), ...set]);
    expect(mixedUp(wood).map(({ clubIds }) => clubIds)).toEqual([['5w', 'driver']]);
  });

  it('names a wrong carry among clubs without lofts by what the clubs are called', () => {
    const set: readonly (readonly [string, ClubKind, number])[] = [
      ['Driver', 'driver', 240],
      ['3w', 'fairway', 222],
      ['4h', 'hybrid', 205],
      ['5 iron', 'iron', 190],
      ['7 iron', 'iron', 165],
      ['8 iron', 'iron', 152],
      ['9 iron', 'iron', 139],
      ['PW', 'wedge', 126],
      ['GW', 'wedge', 110],
      ['54', 'wedge', 98],
    ];
    const report = (wrong: Readonly<Record<string, number>>) =>
      gaps(set.map(([name, kind, yd]) => club(name, kind, undefined, wrong[name] ?? yd)));
    const mixedUp = (wrong: Readonly<Record<string, number>>) =>
      report(wrong).flags.flatMap(({ code, clubIds }) => (code === 'mixed-up' ? [clubIds] : []));
    expect(mixedUp({})).toEqual([]);
    expect(mixedUp({ '9 iron': 193 })).toEqual([['9 iron', '8 iron']]);
    expect(mixedUp({ '7 iron': 152, '8 iron': 165 })).toEqual([['8 iron', '7 iron']]);
    expect(headlineWords(report({ '9 iron': 193 }), 'yd').text).toBe(
      '9 iron carries 193 yd, farther than 8 iron at 152 yd, which has less loft: one of these carries must be wrong.',
    );
    // A loft that is only the usual one says less where the clubs are not of one set.
    expect(mixedUp({ GW: 104, 54: 105 })).toEqual([]);
    expect(mixedUp({ '4h': 215, '3w': 212 })).toEqual([]);
    expect(mixedUp({ '4h': 250 })).toEqual([]);
  });

  it('leaves slow swings their hybrids and woods, which carry farther than lower irons and the driver', () => {
    for (const slow of [
      [club('5h', 'hybrid', 27, 130), club('3i', 'iron', 20, 118)],
      [club('5w', 'fairway', 19, 140), club('driver', 'driver', 9, 132)],
      [club('7i', 'iron', 34, 100), club('6i', 'iron', 30, 98)],
      // Whoever swings too slowly to get a long iron up carries them all alike.
      [club('8i', 'iron', 38, 88), club('4i', 'iron', 23, 85)],
      [club('7h', 'hybrid', 31, 92), club('3w', 'fairway', 15, 86)],
    ])
      expect(gaps(slow).steps[0]!.word).not.toBe('mixed up');
    expect(gaps([club('8i', 'iron', 38, 112), club('6i', 'iron', 30, 98)]).steps[0]!.word).toBe('mixed up');
    expect(gaps([club('PW', 'wedge', 46, 100), club('4i', 'iron', 23, 98)]).steps[0]!.word).toBe('mixed up');
  });

  it("obeys the player's own thresholds", () => {
    expect(
      gaps(strongSetWedge(), { settings: { scoringStepMaxM: yards(25), wedgeLoftStepMaxDeg: 9 } }).faults,
    ).toBe(0);
  });

  it('counts a hole that is wide in loft and in carry once', () => {
    expect(gaps(strongSetWedge()).faults).toBe(1);
  });
});

describe('how sure', () => {
  const two = (shots: number, spreadYd: number, gap = 13) =>
    step(
      [
        club('8', 'iron', 36, 150, { shots, spreadYd }),
        club('9', 'iron', 40, 150 - gap, { shots, spreadYd }),
        club('PW', 'iron', 44, 150 - 2 * gap, { shots, spreadYd }),
      ],
      '8',
      '9',
    );

  it('says "not known yet" with few shots and how many more would settle it', () => {
    const unsure = two(4, 6);
    expect(unsure).toMatchObject({ word: 'not known yet', severity: 'unknown' });
    expect(unsure.moreShots).toBeGreaterThan(0);
    expect(unsure.sentence).toMatch(/about \d+ more shots with each would settle it/);
    expect(unsure.moreShots).toBeLessThanOrEqual(40);
  });

  it('a step so near its limit that no number of shots would do is at the limit, either way, and no fault', () => {
    for (const gap of [13.8, 14.99, 15.01, 16]) {
      const onTheLine = two(30, 5, gap);
      expect(onTheLine).toMatchObject({ word: 'at the limit', severity: 'fine', flags: [] });
      expect(onTheLine.moreShots).toBeUndefined();
      expect(onTheLine.sentence).toContain('right either way');
    }
    // Four shots each say nothing of that kind.
    expect(two(4, 6, 14.99).word).toBe('not known yet');
    // Where nearness does not count, it is only not known.
    const strict = gaps(
      [
        club('8', 'iron', 36, 150, { shots: 30, spreadYd: 5 }),
        club('9', 'iron', 40, 135.01, { shots: 30, spreadYd: 5 }),
        club('PW', 'iron', 44, 120.02, { shots: 30, spreadYd: 5 }),
      ],
      { settings: { indifferenceM: 0 } },
    );
    expect(strict.steps[0]).toMatchObject({ word: 'not known yet' });
    expect(stepSentence(strict.steps[0]!, strict, 'yd')).toContain('more shots would not settle it');
  });

  it('so many more shots settle it in 75 to 85 of a hundred cases, and never over 40 are asked for (2,000 simulated)', () => {
    const normal = normalFrom(randomFrom(20_261_125));
    const uniform = randomFrom(7);
    let asked = 0;
    let settled = 0;
    for (let tried = 0; asked < 2000 && tried < 200_000; tried++) {
      const spread = yards(3 + 3 * uniform());
      const n = 6 + Math.floor(14 * uniform());
      // The true step lies anywhere about the limit of 15 yd.
      const trueStep = yards(15 + 14 * (uniform() - 0.5));
      const draw = (count: number, mean: number) =>
        Array.from({ length: count }, () => mean + spread * normal());
      const hit = { a: draw(n, 130), b: draw(n, 130 - trueStep) };
      const judged = () => {
        const shot = (id: string, loftDeg: number, carries: readonly number[]): LadderClub => ({
          id,
          name: id,
          kind: 'iron',
          loftDeg,
          shots: {
            full: {
              carryM: meanOf(carries),
              spreadM: deviationOf(carries, meanOf(carries)),
              sampleSize: carries.length,
              source: 'measured',
            },
          },
        });
        return gaps([shot('a', 38, hit.a), shot('b', 42, hit.b)], {
          settings: { wideOfTarget: 4, narrowOfTarget: 0 },
        }).steps[0]!;
      };
      const before = judged();
      if (before.word !== 'not known yet' || before.moreShots === undefined) continue;
      expect(before.moreShots).toBeLessThanOrEqual(40);
      asked += 1;
      hit.a.push(...draw(before.moreShots, 130));
      hit.b.push(...draw(before.moreShots, 130 - trueStep));
      if (judged().word !== 'not known yet') settled += 1;
    }
    expect(asked).toBe(2000);
    expect(settled / asked).toBeGreaterThan(0.75);
    expect(settled / asked).toBeLessThan(0.85);
  });

  it('evenness is of the bag, not of the shots: noise alone makes an even bag look even', () => {
    const normal = normalFrom(randomFrom(3));
    const rms = Array.from({ length: 200 }, () => {
      const clubs = Array.from({ length: 8 }, (_one, i): LadderClub => {
        const carries = Array.from({ length: 12 }, () => yards(160 - 12 * i + 5 * normal()));
        return {
          id: `${i}`,
          name: `${i}`,
          kind: 'iron',
          loftDeg: 30 + 4 * i,
          shots: { full: { carryM: meanOf(carries), spreadM: yards(5), sampleSize: 12, source: 'measured' } },
        };
      });
      return gaps(clubs).evenness!.rms;
    });
    // Two standard errors of a step are 4 yd: told as it comes it would be some 2 yd on average.
    expect(meanOf(rms)).toBeLessThan(yards(1.1));
  });

  it('takes a stated carry at its word, with no interval', () => {
    expect(step(strongSetWedge(), '7 iron', '8 iron').interval).toBeUndefined();
  });
});

describe('an even bag', () => {
  it('has no fault and nothing to look at, whatever its step (property)', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 6, max: 24, noNaN: true }),
        fc.integer({ min: 4, max: 15 }),
        fc.boolean(),
        (stepYd, count, withDriver) => {
          const shortest = 60;
          const irons = Array.from({ length: count }, (_one, i) =>
            club(`${i}`, 'iron', undefined, shortest + stepYd * (count - 1 - i)),
          );
          const bag = withDriver
            ? [club('Driver', 'driver', 10, shortest + stepYd * (count - 1) + 33), ...irons]
            : irons;
          const { faults, looks, headline } = gaps(bag);
          expect({ faults, looks, severity: headline.severity }).toEqual({
            faults: 0,
            looks: 0,
            severity: 'fine',
          });
        },
      ),
    );
  });

  it('in small steps of 5 yd is not a row of overlaps; two clubs of one carry in it are one', () => {
    const small = Array.from({ length: 12 }, (_one, i) => club(`${i}`, 'iron', undefined, 115 - 5 * i));
    expect(gaps(small).faults).toBe(0);
    expect(
      gaps([...small, club('twin', 'iron', undefined, 90.5)]).faults +
        gaps([...small, club('twin', 'iron', undefined, 90.5)]).looks,
    ).toBeGreaterThan(0);
  });

  it('a yard more or less in other air turns no row of steps into faults', () => {
    const bag = (by: number) =>
      Array.from({ length: 13 }, (_one, i) => club(`${i}`, 'iron', undefined, (300 - 18 * i) * by));
    for (const by of [0.9, 0.95, 1, 1.05, 1.1]) expect(gaps(bag(by)).faults).toBe(0);
  });
});

describe('a bag that is half known', () => {
  const half = strongSetWedge().map((one, i) => (i % 5 === 0 ? one : { ...one, shots: {} }));

  it('three carries of thirteen give twelve steps, no false gap, and say whose carry is not known', () => {
    const report = gaps(placedClubs(half));
    expect(report.steps).toHaveLength(12);
    expect(report.unplaced).toEqual([]);
    const modelled = new Set(half.filter((one) => !one.shots.full).map(({ id }) => id));
    for (const { clubId, plusMinusM } of report.rungs)
      expect(plusMinusM !== undefined).toBe(modelled.has(clubId));
    // The set wedge is 8 degrees from the next: that needs no carry.
    expect(report.flags.filter(({ severity }) => severity === 'error').map(({ code }) => code)).toEqual([
      'wedge-loft-wide',
    ]);
    const unknown = report.steps.filter(({ word }) => word === 'not known yet');
    expect(unknown.length).toBeGreaterThan(0);
    expect(stepSentence(unknown[0]!, report, 'yd')).toMatch(
      /(both carries are|the carry of the .+ is) only modelled; type (them|it) or hit some shots\.$/,
    );
    expect(unknown.every(({ moreShots }) => moreShots === undefined)).toBe(true);
  });

  it('lofts alone are enough for the wedges: 44, 52, 60 is 8 and 8', () => {
    const lofts = [
      club('PW', 'iron', 44, undefined),
      club('52', 'wedge', 52, undefined),
      club('60', 'wedge', 60, undefined),
    ];
    const report = gaps(placedClubs(lofts));
    expect(report.faults).toBe(2);
    expect(report.steps.map(({ loftDeg, word }) => [loftDeg, word])).toEqual([
      [8, 'wide'],
      [8, 'wide'],
    ]);
    expect(headlineWords(report, 'yd').text).toContain('8.0° in the wedges');
  });

  it('two carries off one curve are wrong together: no step of lofts alone may be of any size', () => {
    const lofts = strongSetWedge().map((one) => ({ ...one, shots: {} }));
    const between = gaps(placedClubs(lofts)).steps.filter(({ modelledIds }) => modelledIds.length === 2);
    expect(between).toHaveLength(12);
    for (const { carryM, interval } of between) {
      expect(interval!.lowM).toBeGreaterThan(-5);
      expect(interval!.highM - interval!.lowM).toBeLessThan(3 * carryM);
    }
    // Beside the club it was learnt from, a step is known better than the modelled carry itself.
    const told = lofts.map((one) =>
      one.name === '7 iron' ? strongSetWedge().find(({ id }) => id === one.id)! : one,
    );
    const { interval } = gaps(placedClubs(told)).steps.find(({ upperId }) => upperId === '7 iron')!;
    const error = placedClubs(told).find(({ id }) => id === '8 iron')!.shots.full!.plusMinusM!;
    expect((interval!.highM - interval!.lowM) / 2).toBeLessThan((error * 1.2816) / 1.96);
  });

  it('the interval of a modelled step holds the true one at least as often as it says (hidden in pairs)', () => {
    const whole = strongSetWedge().filter(({ kind }) => kind !== 'putter');
    const carries = new Map(whole.map(({ id, shots }) => [id, shots.full!.carryM]));
    const held = whole.slice(1).flatMap((_club, i) => {
      const hidden = [whole[i]!.id, whole[i + 1]!.id];
      const bag = whole.map((one) => (hidden.includes(one.id) ? { ...one, shots: {} } : one));
      return gaps(placedClubs(bag))
        .steps.filter(({ modelledIds }) => modelledIds.length > 0)
        .map(({ upperId, lowerId, interval }) => {
          const trueM = carries.get(upperId)! - carries.get(lowerId)!;
          return trueM >= interval!.lowM && trueM <= interval!.highM;
        });
    });
    expect(held.length).toBeGreaterThan(30);
    expect(held.filter(Boolean).length / held.length).toBeGreaterThan(DEFAULT_GAP_SETTINGS.confidence);
  });

  it('keeps what is known, and says nothing of a club without a loft', () => {
    const placed = placedClubs([...half, club('Mystery', 'iron', undefined, undefined)]);
    expect(placed[0]).toBe(half[0]);
    expect(gaps(placed).unplaced.map(({ name }) => name)).toEqual(['Mystery']);
    expect(placedClubs([])).toEqual([]);
  });

  it('finds the carries that were hidden (common practice: within what it says)', () => {
    const whole = strongSetWedge();
    for (const { id, shots } of placedClubs(half)) {
      const hidden = whole.find((one) => one.id === id)!.shots.full;
      if (hidden && shots.full!.source === 'modelled')
        expect(Math.abs(shots.full!.carryM - hidden.carryM)).toBeLessThan(shots.full!.plusMinusM!);
    }
  });
});

describe('a player’s own way of spacing', () => {
  it('exact 6° wedges under even lofts 6° are not a fault, whatever they carry', () => {
    const bag = [
      club('PW', 'iron', 46, 130),
      club('52', 'wedge', 52, 112),
      club('58', 'wedge', 58, 92),
      club('64', 'wedge', 64, 70),
    ];
    expect(gaps(bag, { school: 'even-lofts-6' })).toMatchObject({ faults: 0, looks: 0 });
    expect(gaps([...bag.slice(0, 2), club('60', 'wedge', 60, 85)], { school: 'even-lofts-6' }).faults).toBe(
      1,
    );
  });

  it('a limit the player set holds, whatever the target; the usual one gives way to it', () => {
    const bag = Array.from({ length: 6 }, (_one, i) => club(`${i}`, 'iron', 36 + 4 * i, 160 - 18 * i));
    expect(gaps(bag).faults).toBe(0);
    expect(gaps(bag, { settings: { scoringStepMaxM: yards(15) } }).faults).toBe(5);
  });

  it('35 yd from the driver to the 3 wood are usual; 50 are worth a look and no fault', () => {
    const bag = (driverYd: number) => [
      club('Driver', 'driver', 10, driverYd),
      ...Array.from({ length: 10 }, (_one, i) => club(`${i}`, 'iron', undefined, 225 - 13 * i)),
    ];
    expect(gaps(bag(260))).toMatchObject({ faults: 0, looks: 0 });
    expect(gaps(bag(275))).toMatchObject({ faults: 0, looks: 1 });
  });
});

describe('a step the player wants', () => {
  const tens = [220, 210, 200, 190, 180, 170, 160].map((carry, i) =>
    club(`c${i}`, 'iron', 20 + 4 * i, carry),
  );
  it('is the target of every step, whatever the bag reaches', () => {
    for (const yd of [10, 15, 20]) {
      const { steps } = gaps(tens, { settings: { targetStepM: yards(yd) } });
      for (const { targetM } of steps) expect(targetM).toBeCloseTo(yards(yd), 9);
    }
    expect(gaps(tens, { settings: { targetStepM: yards(10) } }).headline.code).toBe('even');
    // Asked for twenty, tens are narrow: no longer even.
    expect(gaps(tens, { settings: { targetStepM: yards(21) } }).headline.severity).not.toBe('fine');
  });
  it('of nothing leaves the target to the bag', () => {
    expect(gaps(tens, { settings: { targetStepM: 0 } }).steps).toEqual(gaps(tens).steps);
  });
});

describe('the headline', () => {
  it('names the worst fault with its numbers and what the others are', () => {
    const report = gaps(strongSetWedge());
    expect(report.headline).toMatchObject({
      code: 'flag',
      clubIds: ['PW', '52'],
      severity: 'error',
      count: 1,
      flag: { code: 'wedge-loft-wide', value: 8, limit: 6 },
    });
    expect(headlineWords(report, 'yd')).toEqual({
      title: 'One gap too wide.',
      text: 'PW to 52 is 8.0° in the wedges, over 6.0°. It carries 24 yd; the other steps average 13.8 yd.',
    });
  });

  it('is said in metres to those who play in them', () => {
    expect(headlineWords(gaps(strongSetWedge()), 'm').text).toContain('It carries 22 m;');
  });

  it('calls an even bag even', () => {
    const even = [0, 1, 2, 3, 4].map((i) => club(`${i}`, 'iron', 20 + 4 * i, 200 - 12 * i));
    expect(gaps(even).headline).toMatchObject({ severity: 'fine', code: 'even' });
    expect(headlineWords(gaps(even), 'yd').title).toBe('An even bag.');
    expect(gaps(even).evenness!.rms).toBeCloseTo(0, 9);
  });
});

const bags = fc
  .array(fc.record({ carry: fc.integer({ min: 40, max: 320 }), loft: fc.integer({ min: 8, max: 64 }) }), {
    minLength: 0,
    maxLength: 20,
  })
  .map((list) => list.map(({ carry, loft }, i) => club(`c${i}`, 'iron', loft, carry)));

describe('laws', () => {
  it('the order clubs are written in changes nothing', () => {
    fc.assert(
      fc.property(
        bags.chain((clubs) =>
          fc.tuple(fc.constant(clubs), fc.shuffledSubarray(clubs, { minLength: clubs.length })),
        ),
        ([clubs, shuffled]) => {
          expect(gaps(shuffled).evenness?.rms ?? 0).toBeCloseTo(gaps(clubs).evenness?.rms ?? 0, 6);
          expect(gaps(shuffled).rungs.map((rung) => rung.carryM)).toEqual(
            gaps(clubs).rungs.map((rung) => rung.carryM),
          );
        },
      ),
    );
  });

  it('steps are one fewer than rungs, never negative, and add up to the ladder, under every school', () => {
    fc.assert(
      fc.property(
        bags,
        fc.constantFrom(...GAPPING_STRATEGIES.map((school) => school.id)),
        (clubs, school) => {
          const { rungs, steps, evenness } = gaps(clubs, { school });
          expect(steps).toHaveLength(Math.max(0, rungs.length - 1));
          expect(steps.every((one) => one.carryM >= 0 && Number.isFinite(one.widestGapM))).toBe(true);
          if (rungs.length > 1)
            expect(steps.reduce((sum, one) => sum + one.carryM, 0)).toBeCloseTo(
              rungs[0]!.carryM - rungs.at(-1)!.carryM,
              6,
            );
          if (evenness) expect(evenness.rms).toBeGreaterThanOrEqual(0);
        },
      ),
    );
  });

  it('taking a club out and putting it back gives the same report', () => {
    fc.assert(
      fc.property(
        bags.filter((clubs) => clubs.length > 2),
        fc.nat(),
        (clubs, n) => {
          const i = n % clubs.length;
          const before = gaps(clubs);
          gaps(clubs.toSpliced(i, 1));
          expect(gaps([...clubs.toSpliced(i, 1), clubs[i]!]).rungs.map((rung) => rung.carryM)).toEqual(
            before.rungs.map((rung) => rung.carryM),
          );
        },
      ),
    );
  });
});
