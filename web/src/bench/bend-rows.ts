import type { ClubView } from '@tasche/contract';
import {
  bendRangeOf,
  bendRangeWords,
  byDegreesWords,
  counted,
  distanceNumber,
  formatDegrees,
  loftChoicesOf,
  offsetWords,
  sleeveOf,
  type BendPlan,
  type BounceWindow,
  type DistanceUnit,
  type LadderClub,
} from '@tasche/core';

/** A club of a bag, with what a plan does to it. */
export interface BendRow {
  id: string;
  name: string;
  loft: string;
  /** How far it may be bent, or what its sleeve allows. */
  allowed: string;
  movable: boolean;
  isBent: boolean;
  becomes: string;
  by: string;
  bounce: string;
  offset: string;
  carry: string;
  carryThen: string;
}

/** The clubs of a bag that have a loft, from the longest to the shortest, as on the ladder. */
export function bendRows(
  clubs: readonly { view: ClubView; ladder: LadderClub }[],
  plan: BendPlan | null,
  window: BounceWindow,
  unit: DistanceUnit,
): BendRow[] {
  return clubs
    .filter(
      ({ ladder }) => ladder.loftDeg !== undefined && ladder.kind !== 'putter' && ladder.kind !== 'chipper',
    )
    .toSorted(
      (a, b) =>
        (b.ladder.shots.full?.carryM ?? 0) - (a.ladder.shots.full?.carryM ?? 0) ||
        a.ladder.loftDeg! - b.ladder.loftDeg!,
    )
    .map(({ view, ladder }) => rowOf(view, ladder, plan, window, unit));
}

function rowOf(
  view: ClubView,
  ladder: LadderClub,
  plan: BendPlan | null,
  window: BounceWindow,
  unit: DistanceUnit,
): BendRow {
  const bend = plan?.bends.find(({ clubId }) => clubId === view.id);
  const isIron = view.kind === 'iron' || view.kind === 'wedge';
  const sleeve = isIron ? undefined : sleeveOf(view.spec);
  const carry = ladder.shots.full?.carryM;
  const still = {
    id: view.id,
    name: view.name,
    loft: formatDegrees(ladder.loftDeg!),
    allowed: isIron
      ? bendRangeWords(bendRangeOf(view))
      : sleeve?.now
        ? `${counted(sleeve.positions.length, 'sleeve position')}${sleeve.generic ? ', generic' : ''}`
        : 'not bent',
    movable: loftChoicesOf(view, window).length > 1,
    carry: carry === undefined ? '' : distanceNumber(carry, unit),
  };
  if (!bend) return { ...still, isBent: false, becomes: '', by: '', bounce: '', offset: '', carryThen: '' };
  const { toDeg, byDeg, bounceFromDeg, bounceToDeg, carryToM } = bend;
  return {
    ...still,
    isBent: true,
    becomes: formatDegrees(toDeg),
    by: isIron ? byDegreesWords(byDeg) : `${formatDegrees(Math.abs(byDeg))} ${byDeg > 0 ? 'up' : 'down'}`,
    bounce:
      bounceFromDeg === undefined || bounceToDeg === undefined
        ? ''
        : `${formatDegrees(bounceFromDeg)} to ${formatDegrees(bounceToDeg)}`,
    offset: isIron ? offsetWords(byDeg) : '',
    carryThen: distanceNumber(carryToM, unit),
  };
}
