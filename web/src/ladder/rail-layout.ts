import {
  carryLadder,
  shotsIn,
  toMetres,
  type DistanceUnit,
  type GapReport,
  type LadderClub,
  type Rung,
  type StepReport,
} from '@tasche/core';
import { spanLanes, spreadLabels } from './spread-labels';

/** Room above and below the rails, pixels, and where the two of them stand. */
export const RAIL = { top: 44, bottom: 18, loftX: 40, carryX: 116 } as const;
/** Spans side by side are so far apart, and nearer where many of them overlap: names need their room. */
const LANE_PX = 11;
const LANES_PX = 66;
const LABEL_PX = 18;
/** Below this there is no room for a gap's words between two labels. */
const GAP_WORDS_PX = 34;
/** The rail goes on past its outermost shots by so much. */
const PAST_ENDS_M = 6;
const PAST_ENDS_DEG = 1;

interface RailRequest {
  clubs: readonly LadderClub[];
  /** Clubs that hung here before and do not now. */
  gone: readonly LadderClub[];
  report: GapReport;
  heightPx: number;
  unit: DistanceUnit;
  /** The carry a club is known by, metres, where the air moved it; undefined where nothing did. */
  knownM: (rung: Rung) => number | undefined;
}

/** A club on the rail; places in pixels from the top. */
export interface RailPeg {
  rung: Rung;
  y: number;
  labelY: number;
  /** On the rail of degrees; undefined where the loft is not known. */
  loftY: number | undefined;
  /** Where the carry stood before the air moved it. */
  knownY: number | undefined;
  /** From the longest to the shortest shot, or a spread either way of the stock shot. */
  span: { from: number; to: number; hasPartials: boolean };
  /** The lane of its span, 0 nearest the rail. */
  lane: number;
  partials: readonly number[];
}

/** A step that is too wide, as it is marked on the rail. */
interface RailGap {
  step: StepReport;
  top: number;
  height: number;
  /** Undefined where there is no room for words. */
  labelY: number | undefined;
}

interface RailLayout {
  pegs: readonly RailPeg[];
  gone: readonly { rung: Rung; y: number }[];
  gaps: readonly RailGap[];
  /** Every ten yards or metres. */
  ticks: readonly { tens: number; y: number }[];
  /** Every ten degrees. */
  loftTicks: readonly { deg: number; y: number }[];
  /** Of one lane, and of all of them. */
  lanePx: number;
  lanesPx: number;
  /** Where the names begin. */
  labelX: number;
}

/** Where everything of a ladder stands on the rail true to distance and the rail of degrees beside it. */
export function railLayout({ clubs, gone, report, heightPx, unit, knownM }: RailRequest): RailLayout {
  const [rungs, goneRungs] = [carryLadder(clubs), carryLadder(gone)];
  const all = [...rungs, ...goneRungs];
  const bottom = heightPx - RAIL.bottom;
  const along = (share: number) => RAIL.top + share * (bottom - RAIL.top);

  const carries = all.flatMap((rung) => [
    rung.carryM,
    knownM(rung) ?? rung.carryM,
    ...shotsIn(rung.shots).map(([, shot]) => shot.carryM),
  ]);
  const [low, high] = [Math.min(...carries) - PAST_ENDS_M, Math.max(...carries) + PAST_ENDS_M];
  const yOf = (carryM: number) => along((high - carryM) / (high - low));

  const lofts = all.flatMap((rung) => rung.loftDeg ?? []);
  const [strong, weak] = [Math.min(...lofts) - PAST_ENDS_DEG, Math.max(...lofts) + PAST_ENDS_DEG];
  const yOfLoft = (deg: number) => along((deg - strong) / (weak - strong));

  const spans = rungs.map((rung) => {
    const shots = shotsIn(rung.shots).map(([, shot]) => shot.carryM);
    const spreadM = rung.full.spreadM ?? rung.full.plusMinusM ?? 0;
    // What is not known may lie far beyond the rail.
    const onRail = (carryM: number) => Math.min(bottom, Math.max(RAIL.top, yOf(carryM)));
    return {
      from: onRail(Math.max(...shots, rung.carryM + spreadM)),
      to: onRail(Math.min(...shots, rung.carryM - spreadM)),
      hasPartials: shots.length > 1,
    };
  });
  const lanes = spanLanes(spans, 2);
  const laneCount = Math.max(0, ...lanes) + 1;
  const lanePx = Math.min(LANE_PX, LANES_PX / laneCount);
  const lanesPx = 10 + laneCount * lanePx;

  const labelYs = spreadLabels(
    rungs.map((rung) => yOf(rung.carryM)),
    LABEL_PX,
    RAIL.top,
    bottom,
  );
  const pegs = rungs.map((rung, i): RailPeg => {
    const known = knownM(rung);
    return {
      rung,
      y: yOf(rung.carryM),
      labelY: labelYs[i]!,
      loftY: rung.loftDeg === undefined ? undefined : yOfLoft(rung.loftDeg),
      knownY: known === undefined ? undefined : yOf(known),
      span: spans[i]!,
      lane: lanes[i]!,
      partials: shotsIn(rung.shots)
        .filter(([kind]) => kind !== 'full')
        .map(([, shot]) => yOf(shot.carryM)),
    };
  });

  const pegOf = new Map(pegs.map((peg) => [peg.rung.id, peg]));
  const gaps = report.steps.flatMap((step): RailGap[] => {
    const [upper, lower] = [pegOf.get(step.upperId), pegOf.get(step.lowerId)];
    if (step.severity !== 'error' || step.word !== 'wide' || !upper || !lower) return [];
    const hasRoom = lower.labelY - upper.labelY >= GAP_WORDS_PX;
    const labelY = hasRoom ? (upper.labelY + lower.labelY) / 2 + 4 : undefined;
    return [{ step, top: upper.y, height: lower.y - upper.y, labelY }];
  });

  const tenM = toMetres(10, unit);
  const [first, last] = [Math.ceil(low / tenM), Math.floor(high / tenM)];
  return {
    pegs,
    gone: goneRungs.map((rung) => ({ rung, y: yOf(rung.carryM) })),
    gaps,
    ticks: Array.from({ length: Math.max(0, last - first + 1) || 0 }, (_tick, i) => ({
      tens: first + i,
      y: yOf((first + i) * tenM),
    })),
    loftTicks: Array.from({ length: 8 }, (_tick, i) => (i + 1) * 10)
      .filter((deg) => deg > strong && deg < weak)
      .map((deg) => ({ deg, y: yOfLoft(deg) })),
    lanePx,
    lanesPx,
    labelX: RAIL.carryX + lanesPx + 14,
  };
}
