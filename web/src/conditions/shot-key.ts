import { loftOrUsual, type LadderClub, type Shot } from '@tasche/core';

/** All that a shot's flight hangs on: two shots of one key fly alike. */
export function shotKey(club: Pick<LadderClub, 'kind' | 'name' | 'loftDeg'>, shot: Shot): string {
  const { carryM, totalM, apexM, descentDeg, source, spreadM, sampleSize, plusMinusM } = shot;
  return [
    club.kind,
    loftOrUsual(club),
    carryM,
    totalM,
    apexM,
    descentDeg,
    source,
    spreadM,
    sampleSize,
    plusMinusM,
  ].join('|');
}
