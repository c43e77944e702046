import { writeFileSync } from 'node:fs';
import path from 'node:path';
import { BASELINE, MEDIUM_FAIRWAY, TOUCH_M } from '@tasche/core';
import { dayShots, holePlayer, type AskedStroke } from '../core/src/rounds/play-hole.js';
import { seedOf } from '../core/src/rounds/derive-demands.js';
import { besideOf, usualDay, usualRack } from '../core/src/rounds/usual-course.js';

/** Driver carries in metres, and handicaps, of the players who play. */
const REACHES_M = [120, 150, 180, 210, 240, 270];
const HANDICAPS = [-4, 8, 20];
/** Courses a little shorter and longer than the one that suits them. */
const LONGER = [0.88, 0.91, 0.94, 0.97, 1, 1.03, 1.06, 1.09, 1.12];
const ROUNDS = 40;
const SEED = 20_261_126;
/**
 * Distances are gathered to this, as a share of the driver's carry; from rough and sand, where a foot matters
 * less, to twice as much.
 */
const BIN_SHARE = 0.06;
const TOUCH_BIN_M = 12;
const TO_HOLE_BIN_SHARE = 0.3;
/** What comes up less often than this in every round is put with its neighbours. */
const RAREST = 0.04;

interface Cell {
  strokes: number;
  distance: number;
  left: number;
}

/** `./tasche usual-rounds`: plays the usual courses again and writes core/src/rounds/usual-round-table.ts. */
export function usualRounds(): void {
  const cells = HANDICAPS.flatMap((handicap) => REACHES_M.map((reachM) => askedOf(reachM, handicap)));
  const keys = [...new Set(cells.flatMap((cell) => [...cell.keys()]))]
    .filter((key) => cells.some((cell) => (cell.get(key)?.strokes ?? 0) >= RAREST))
    .sort();
  const round = (value: number, digits: number) => Number(value.toFixed(digits));
  const rows = keys.map((key) => {
    const [kind, lie, front, beside] = key.split('|');
    return {
      kind,
      lie,
      front,
      beside,
      cells: cells.map((cell) => {
        const { strokes, distance, left } = cell.get(key) ?? { strokes: 0, distance: 0, left: 0 };
        return strokes === 0
          ? 0
          : [round(strokes, 3), round(distance / strokes, 3), round(left / strokes, 3)];
      }),
    };
  });
  const strokes = cells.map((cell) =>
    round(
      [...cell.values()].reduce((sum, one) => sum + one.strokes, 0),
      2,
    ),
  );
  const file = path.resolve('core/src/rounds/usual-round-table.ts');
  writeFileSync(
    file,
    `// Made by ./tasche usual-rounds from the courses of usual-course.ts; not to be written by hand.\n` +
      `export const USUAL_ROUND_TABLE = ${JSON.stringify({ binShare: BIN_SHARE, reachesM: REACHES_M, handicaps: HANDICAPS, strokes, rows })} as const;\n`,
  );
  console.log(`tasche: ${file}, ${rows.length} kinds of shot for ${cells.length} players`);
}

/**
 * What the courses ask of one player: strokes a round by kind, with the sums of their distances. Shares of
 * the driver's carry, short shots in metres.
 */
function askedOf(reachM: number, handicap: number): Map<string, Cell> {
  const found = new Map<string, Cell>();
  const from = { conditions: BASELINE, surface: MEDIUM_FAIRWAY };
  for (const longer of LONGER) {
    const day = usualDay(reachM, longer);
    const player = holePlayer(day, usualRack(reachM), dayShots(day, from, handicap));
    for (let round = 0; round < ROUNDS; round++)
      for (let at = 0; at < player.holes; at++)
        for (const stroke of player.play(at, seedOf(SEED, round, at)).asked) count(stroke, at);
  }
  return found;

  function count({ kind, need }: AskedStroke, at: number): void {
    const short = need.to === 'green' && need.distanceM <= TOUCH_M;
    const share = need.distanceM / reachM;
    const left = (need.leftM ?? 0) / reachM;
    const rough = need.lie !== 'tee' && need.lie !== 'fairway';
    const bin = short
      ? Math.floor(need.distanceM / TOUCH_BIN_M)
      : need.to === 'fairway'
        ? Math.floor((share + left) / TO_HOLE_BIN_SHARE)
        : Math.floor(share / (rough ? 2 * BIN_SHARE : BIN_SHARE));
    const front = need.to === 'green' && !rough && !short ? (need.mustHold ? 'sand' : 'open') : '';
    const key = `${kind}|${need.lie}|${front}|${kind === 'tee shot' ? besideOf(at) : ''}|${bin}`;
    const cell = found.get(key) ?? { strokes: 0, distance: 0, left: 0 };
    const each = 1 / (ROUNDS * LONGER.length);
    cell.strokes += each;
    cell.distance += each * (short ? need.distanceM : share);
    cell.left += each * left;
    found.set(key, cell);
  }
}
