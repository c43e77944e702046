import type { BuildView, StrikeView } from '@tasche/contract';
import { playingLoft, usualLoftOf, type ClubKind, type Spec, type StrikeClub } from '@tasche/core';

/** As much of a club as a ball hit with it needs. */
export interface TodaysClub {
  id: string;
  name: string;
  kind: ClubKind;
  spec: Spec;
}

/** The loft each club played at on a day, by club and day. */
export function buildLofts(builds: readonly BuildView[]): ReadonlyMap<string, number> {
  return new Map(
    builds.flatMap(({ clubId, builtOn, spec }): [string, number][] => {
      const loft = playingLoft(spec);
      return loft ? [[`${clubId} ${builtOn}`, loft.deg]] : [];
    }),
  );
}

/** The club a ball was hit with, as it was built then; where nothing was known of it that day, as it is now. */
export function strikeClub(
  { clubId, builtOn }: Pick<StrikeView, 'clubId' | 'builtOn'>,
  clubs: ReadonlyMap<string, TodaysClub>,
  lofts: ReadonlyMap<string, number>,
): StrikeClub | null {
  const club = clubId === null ? undefined : clubs.get(clubId);
  if (!club) return null;
  const knownDeg = lofts.get(`${clubId} ${builtOn}`) ?? playingLoft(club.spec)?.deg;
  return { kind: club.kind, loftDeg: knownDeg ?? usualLoftOf(club) };
}
