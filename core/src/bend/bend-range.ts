import { isWedge, type ClubKind } from '../clubs/index.js';
import { numberIn, playingLoft, textIn, type HeadMaterial, type Spec } from '../spec/index.js';

/**
 * How far a head may still be bent from the loft it is at now. Degrees, neither negative; and where that
 * comes from (`bendRangeWords` says it).
 */
export interface BendRange {
  weakerDeg: number;
  strongerDeg: number;
  from: 'not bent' | 'no loft' | 'maker' | 'material not known' | 'material';
  /** What the head takes either way from its stamp. */
  limitDeg: number;
  material?: HeadMaterial;
}

/** Either way from the stamp. Common practice, no source; the maker's own word goes before it. */
const MATERIAL_DEG: Record<HeadMaterial, number> = {
  'soft carbon steel': 2,
  'cast stainless': 1,
  hollow: 0,
  'no hosel': 0,
};
/** Of a head whose material is not recorded: what even a cast one takes. */
const UNKNOWN_DEG = 1;
/** What a bench can hold. Common practice, no source. */
export const BEND_STEP_DEG = 0.5;

const NOTHING = { weakerDeg: 0, strongerDeg: 0, limitDeg: 0 };

/**
 * What a head allows: the maker's note where there is one, else by its material, counted from the stamped
 * loft, so that what was bent before is used up. Woods, putters and driving irons are not bent.
 */
export function bendRangeOf({ kind, spec }: { kind: ClubKind; spec: Spec }): BendRange {
  if (kind !== 'iron' && kind !== 'wedge') return { ...NOTHING, from: 'not bent' };
  const loft = playingLoft(spec);
  if (!loft) return { ...NOTHING, from: 'no loft' };
  const material = textIn(spec, 'headMaterial') as HeadMaterial | undefined;
  const makers = numberIn(spec, 'bendMaxDeg');
  const limitDeg = makers ?? (material === undefined ? UNKNOWN_DEG : MATERIAL_DEG[material]);
  const from = makers !== undefined ? 'maker' : material === undefined ? 'material not known' : 'material';
  const bentDeg = loft.stampedDeg === undefined ? 0 : loft.deg - loft.stampedDeg;
  return {
    weakerDeg: Math.max(0, limitDeg - bentDeg),
    strongerDeg: Math.max(0, limitDeg + bentDeg),
    from,
    limitDeg,
    ...(material !== undefined && { material }),
  };
}

/** The bounce a player can use, degrees. */
export interface BounceWindow {
  minDeg: number;
  maxDeg: number;
}

/** Where it is not given. Our choice. */
export const USUAL_BOUNCE_WINDOW: BounceWindow = { minDeg: 4, maxDeg: 14 };

/**
 * The bends a club may get, in half degrees from its loft of now, 0 among them; positive is weaker. A bend
 * weaker adds as much bounce (common practice, no source), and a wedge's bounce stays within the window, or
 * gets no farther out of it than it is.
 */
export function bendChoices(
  club: { kind: ClubKind; loftDeg?: number | undefined; bounceDeg?: number },
  range: Pick<BendRange, 'weakerDeg' | 'strongerDeg'>,
  { minDeg, maxDeg }: BounceWindow = USUAL_BOUNCE_WINDOW,
): number[] {
  const { bounceDeg } = club;
  const outside = (deg: number) => Math.max(0, minDeg - deg, deg - maxDeg);
  const steps = (deg: number) => Math.floor(deg / BEND_STEP_DEG + 1e-9);
  const choices: number[] = [];
  for (let step = -steps(range.strongerDeg); step <= steps(range.weakerDeg); step++) {
    const byDeg = step * BEND_STEP_DEG;
    const fits =
      bounceDeg === undefined || !isWedge(club) || outside(bounceDeg + byDeg) <= outside(bounceDeg) + 1e-9;
    if (fits) choices.push(byDeg);
  }
  return choices;
}
