import { carryCovariance, knownShare } from '../carry/index.js';
import { isFullSwing, type Shot, type ShotKind } from '../clubs/index.js';
import { gaps, type GapOptions } from '../gaps/index.js';
import { partialToLearn } from '../rounds/index.js';
import { scatterOf, wholeAlongM } from '../skill/index.js';
import type { LadderClub } from '../spec/index.js';

/**
 * One shot of one club that balls may be hit with, and what is known of its mean carry. Shares are of its
 * carry.
 */
export interface OpenShot {
  clubId: string;
  shotKind: ShotKind;
  shot: Shot;
  /** One standard deviation of a single ball. */
  ballShare: number;
  /** False for a partial whose carry is not known: it counts once it was hit. */
  isOwned: boolean;
}

export interface OpenShots {
  shots: readonly OpenShot[];
  /** How far the true means may be from what is known, as covariances of the logarithm of carry. */
  covariance: readonly (readonly number[])[];
}

/**
 * How far a partial that was not measured may be from its usual share of the full shot, one standard deviation.
 * Our choice.
 */
const PARTIAL_SHARE = 0.05;

/**
 * Every shot of the clubs that could be measured: the full ones, the partials that are recorded, and for
 * each step at fault of the bag the partial that would fill its middle. What is not known of full carries is
 * shared between neighbours (see `carryCovariance`); a partial that was measured or stated is known for
 * itself, one that was modelled stands and falls with its full shot.
 * @param bagIds the bag whose steps are looked at
 */
export function openShots(
  clubs: readonly LadderClub[],
  bagIds: readonly string[],
  handicap: number,
  options: GapOptions,
): OpenShots {
  const swung = clubs.filter(({ kind, shots }) => isFullSwing(kind) && shots.full);
  const full = carryCovariance(swung);
  const tried = partialsToTry(swung, bagIds, options);
  const found = swung.flatMap((club, c) =>
    [
      ...(Object.entries(club.shots) as [ShotKind, Shot][]).map(([shotKind, shot]) => ({
        shotKind,
        shot,
        isOwned: true,
      })),
      ...tried.filter(({ clubId }) => clubId === club.id),
    ].map(({ shotKind, shot, isOwned }) => ({
      club: c,
      /** It is known by its full shot, not for itself. */
      follows: shotKind === 'full' || shot.source === 'modelled' || !isOwned,
      open: {
        clubId: club.id,
        shotKind,
        shot,
        isOwned,
        ballShare: wholeAlongM(scatterOf(club.kind, club.loftDeg, shot, handicap)) / shot.carryM,
      },
    })),
  );
  return {
    shots: found.map(({ open }) => open),
    covariance: found.map((a) =>
      found.map((b) => {
        if (a.follows && b.follows)
          return full[a.club]![b.club]! + (a === b && a.open.shotKind !== 'full' ? PARTIAL_SHARE ** 2 : 0);
        return a === b ? knownShare(a.open.shot) ** 2 : 0;
      }),
    ),
  };
}

function partialsToTry(clubs: readonly LadderClub[], bagIds: readonly string[], options: GapOptions) {
  const bag = clubs.filter(({ id }) => bagIds.includes(id));
  return gaps(bag, options)
    .steps.filter(({ severity, cover }) => severity === 'error' && !cover)
    .flatMap(({ upperId, carryM }) => {
      const club = bag.find(({ id }) => id === upperId)!;
      const learns = partialToLearn(club, club.shots.full!.carryM - carryM / 2);
      return learns ? [{ clubId: club.id, ...learns, isOwned: false }] : [];
    });
}
