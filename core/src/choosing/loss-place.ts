import { TOUCH_M, type ShotDemand } from './shot-demand.js';

/** Less than this is not worth saying where. Strokes; our choice. */
export const MIN_TOLD_STROKES = 0.02;
/** Where strokes are lost, as a player speaks of it. */
export type LossPlace =
  'off the tee' | 'from the fairway' | 'from rough' | 'from sand' | 'around the green' | 'in even steps';

export function placeOf({ to, lie, distanceM }: ShotDemand): LossPlace {
  if (to === 'green' && distanceM <= TOUCH_M) return lie === 'sand' ? 'from sand' : 'around the green';
  if (lie === 'tee') return 'off the tee';
  return lie === 'sand' ? 'from sand' : lie.includes('rough') ? 'from rough' : 'from the fairway';
}
