import type { ClubKind, ShotKind } from '../clubs/index.js';
import { usualSpreadShare } from '../skill/index.js';
import type { PlayedClub, PlayedShot } from './played-shot.js';

/**
 * From this loft on an iron is a short iron, an 8 iron of today, and is swung less for a shorter shot. Common
 * practice, no source.
 */
const SHORT_IRON_DEG = 36;
/** What any part swing costs, and what one of nearly nothing costs besides. Strokes; our choice. */
const EFFORT_STROKES = 0.02;
/**
 * A part swing comes in lower and with less spin: on a green it runs so much farther for a swing of nothing,
 * per degree of loft under a lob wedge's. Metres; our choice.
 */
const RUN_PER_DEG = 0.5;
const LOB_DEG = 60;
/** From here down a part swing is a half one, above it a three-quarter one. */
const HALF_SHARE = 0.6;

function isSwungInPart(kind: ClubKind, loftDeg: number | undefined): boolean {
  return kind === 'wedge' || (kind === 'iron' && (loftDeg ?? 0) >= SHORT_IRON_DEG);
}

/**
 * A wedge or short iron swung less than full, besides the part swings that are recorded: any carry up to
 * the full one, spread as an unpractised shot is, or as the full one where that is wider. One that was
 * practised is closer and costs less; a club without recorded ones is not the better for it.
 * @param carryM wanted
 */
export function partSwing(
  { kind, loftDeg, shots }: Pick<PlayedClub, 'kind' | 'loftDeg' | 'shots'>,
  carryM: number,
  handicap: number,
): [ShotKind, PlayedShot] | undefined {
  const { full } = shots;
  if (!full || !isSwungInPart(kind, loftDeg)) return undefined;
  const share = carryM / full.carryM;
  if (!(share > 0 && share < 1)) return undefined;
  const scaled = (value: number | undefined) => (value === undefined ? undefined : value * share);
  const { totalM, spreadM, sideSpreadM, gustAlongM, gustAcrossM, greenRunM, ...rest } = full;
  const farther = (1 - share) * RUN_PER_DEG * Math.max(0, LOB_DEG - (loftDeg ?? LOB_DEG));
  const gusts = { gustAlongM: scaled(gustAlongM), gustAcrossM: scaled(gustAcrossM) };
  return [
    share <= HALF_SHARE ? 'half' : 'three-quarter',
    {
      ...rest,
      carryM,
      source: 'modelled',
      spreadM: Math.max(carryM * usualSpreadShare(handicap), (spreadM ?? 0) * share),
      effortStrokes: EFFORT_STROKES * (2 - share),
      ...(greenRunM !== undefined && { greenRunM: greenRunM + farther }),
      ...(sideSpreadM !== undefined && { sideSpreadM: sideSpreadM * share }),
      ...(totalM !== undefined && { totalM: carryM + totalM - full.carryM }),
      ...(gusts.gustAlongM !== undefined && { gustAlongM: gusts.gustAlongM }),
      ...(gusts.gustAcrossM !== undefined && { gustAcrossM: gusts.gustAcrossM }),
    },
  ];
}
