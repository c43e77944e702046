import type { LadderClub, Shot } from '@tasche/core';

/** All that a shot's flight hangs on: two shots of one key fly alike. */
export function shotKey({ kind, loftDeg }: Pick<LadderClub, 'kind' | 'loftDeg'>, shot: Shot): string {
  const { carryM, totalM, apexM, descentDeg, source, spreadM, sampleSize, plusMinusM } = shot;
  return [kind, loftDeg, carryM, totalM, apexM, descentDeg, source, spreadM, sampleSize, plusMinusM].join(
    '|',
  );
}
