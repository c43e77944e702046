import {
  BASELINE,
  CALM,
  MEDIUM_FAIRWAY,
  TOUR_HANDICAP,
  USUAL_GROUND,
  usualHole,
  withModelledCarries,
  type ClubKind,
  type LadderClub,
  type RoundDay,
} from '../../src/index.js';
import { dayShots, holePlayer } from '../../src/rounds/play-hole.js';
import { seedOf } from '../../src/rounds/derive-demands.js';
import { between, type Section } from './row.js';

const ROUNDS = 300;
const COURSE_M = 6900;
/** A par 72 as they come: four threes, four fives. Invented. */
const HOLES: readonly (readonly [par: number, lengthM: number])[] = [
  [4, 380],
  [4, 405],
  [3, 165],
  [5, 500],
  [4, 365],
  [4, 420],
  [3, 185],
  [4, 390],
  [5, 525],
  [4, 395],
  [3, 150],
  [4, 410],
  [5, 490],
  [4, 350],
  [4, 430],
  [3, 200],
  [4, 400],
  [5, 540],
];
/** A tour player's full carries, metres; everyone else's in proportion. Invented. */
const BAG: readonly (readonly [name: string, kind: ClubKind, loftDeg: number, carryM: number])[] = [
  ['Driver', 'driver', 10.5, 252],
  ['3 wood', 'fairway', 15, 222],
  ['5 wood', 'fairway', 18, 210],
  ['4 iron', 'iron', 22, 186],
  ['5 iron', 'iron', 25, 177],
  ['6 iron', 'iron', 28.5, 167],
  ['7 iron', 'iron', 32.5, 157],
  ['8 iron', 'iron', 36.5, 146],
  ['9 iron', 'iron', 41, 135],
  ['PW', 'wedge', 46, 124],
  ['50', 'wedge', 50, 112],
  ['54', 'wedge', 54, 101],
  ['58', 'wedge', 58, 88],
];

interface Played {
  strokes: number;
  fairways: number;
  greens: number;
}

/**
 * Strokes a round, and the shares of fairways and greens in regulation, of a player of that handicap and
 * length.
 */
function roundsOf(handicap: number, lengthShare: number, windMps = 0): Played {
  const whole = HOLES.reduce((sum, [, lengthM]) => sum + lengthM, 0);
  const holes = HOLES.map(([par, lengthM], i) => ({
    ...usualHole(par, [(lengthM * COURSE_M) / whole]),
    bearingDeg: (i * 67) % 360,
  }));
  const day: RoundDay = {
    course: { tees: ['Back'], holes, altitudeM: 0 },
    tee: 0,
    air: { ...CALM, windMps, windFromDeg: 200 },
    ground: USUAL_GROUND,
  };
  const from = { conditions: BASELINE, surface: MEDIUM_FAIRWAY };
  const clubs = withModelledCarries(
    BAG.map(([name, kind, loftDeg, carryM]): LadderClub => ({
      id: name,
      name,
      kind,
      loftDeg,
      shots: { full: { carryM: carryM * lengthShare, source: 'stated' } },
    })),
  );
  const player = holePlayer(day, clubs, dayShots(day, from, handicap));
  let strokes = 0,
    fairways = 0,
    driven = 0,
    greens = 0;
  for (let round = 0; round < ROUNDS; round++) {
    for (const [at, [par]] of HOLES.entries()) {
      const hole = player.play(at, seedOf(7, round, at));
      strokes += hole.strokes;
      if (par > 3) {
        driven += 1;
        if (!hole.asked[1] || hole.asked[1].need.lie === 'fairway') fairways += 1;
      }
      if (hole.asked.at(-1)!.kind !== 'short game' && hole.asked.length <= par - 2) greens += 1;
    }
  }
  const tenth = (value: number) => Math.round(value * 10) / 10;
  return {
    strokes: tenth(strokes / ROUNDS),
    fairways: tenth((100 * fairways) / driven),
    greens: tenth((100 * greens) / (ROUNDS * HOLES.length)),
  };
}

/** Whole rounds, stroke by stroke, against what players of these handicaps usually do. */
export function roundSection(): Section {
  const [tour, windy, five, fifteen] = [
    roundsOf(TOUR_HANDICAP, 1),
    roundsOf(TOUR_HANDICAP, 1, 8),
    roundsOf(5, 0.92),
    roundsOf(15, 0.82),
  ];
  return {
    title: 'Whole rounds',
    words: `${ROUNDS} rounds each of a par 72 of 6,900 m with usual holes, full carries stated and nothing else known. Common practice, no source.`,
    rows: [
      between('tour, calm: strokes with putts', tour.strokes, 69, 72.5, '', 1),
      between('tour: fairways', tour.fairways, 58, 66, '%', 1),
      between('tour: greens in regulation', tour.greens, 60, 70, '%', 0),
      between('tour: what 8 m/s of wind costs', windy.strokes - tour.strokes, 2, 5, 'strokes', 1),
      between('15 handicap, driver 207 m: strokes', fifteen.strokes, 86, 92, '', 1),
      between('15 handicap: fairways', fifteen.fairways, 42, 55, '%', 0),
      between('15 handicap: greens', fifteen.greens, 22, 35, '%', 0),
      between(
        '5 handicap, driver 232 m: strokes, between the two',
        five.strokes,
        tour.strokes,
        fifteen.strokes,
        '',
        1,
      ),
      between(
        '5 handicap: fairways, between the two',
        five.fairways,
        fifteen.fairways,
        tour.fairways,
        '%',
        0,
      ),
      between('5 handicap: greens, between the two', five.greens, fifteen.greens, tour.greens, '%', 0),
    ],
  };
}
