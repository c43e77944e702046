import type { ClubKind, LadderClub, Shot } from '../src/index.js';
import { toMetres } from '../src/index.js';

/** A club for tests, carries in yards; stated unless shots are given. */
export function club(
  name: string,
  kind: ClubKind,
  loftDeg: number | undefined,
  carryYd: number | undefined,
  more: {
    shots?: number;
    spreadYd?: number;
    apexFt?: number;
    descentDeg?: number;
    lengthIn?: number;
    hitsPerRound?: number;
    partials?: Partial<LadderClub['shots']>;
  } = {},
): LadderClub {
  const full: Shot | undefined =
    carryYd === undefined
      ? undefined
      : {
          carryM: toMetres(carryYd, 'yd'),
          source: more.shots === undefined ? 'stated' : 'measured',
          ...(more.shots !== undefined && { sampleSize: more.shots }),
          ...(more.spreadYd !== undefined && { spreadM: toMetres(more.spreadYd, 'yd') }),
          ...(more.apexFt !== undefined && { apexM: toMetres(more.apexFt, 'ft') }),
          ...(more.descentDeg !== undefined && { descentDeg: more.descentDeg }),
        };
  return {
    id: name,
    name,
    kind,
    ...(loftDeg !== undefined && { loftDeg }),
    ...(more.lengthIn !== undefined && { lengthIn: more.lengthIn }),
    ...(more.hitsPerRound !== undefined && { hitsPerRound: more.hitsPerRound }),
    shots: { ...(full && { full }), ...more.partials },
  };
}

/** Thirteen clubs with a strong set wedge: 8 degrees and 24 yd under it. */
export function strongSetWedge(): LadderClub[] {
  return [
    club('Driver', 'driver', 9, 251),
    club('3 wood', 'fairway', 15, 232),
    club('5 wood', 'fairway', 18, 214),
    club('Hybrid', 'hybrid', 21, 199),
    club('5 iron', 'iron', 24.5, 185),
    club('6 iron', 'iron', 28, 173),
    club('7 iron', 'iron', 32, 161),
    club('8 iron', 'iron', 36, 149),
    club('9 iron', 'iron', 40.5, 137),
    club('PW', 'iron', 44, 125),
    club('52', 'wedge', 52, 101),
    club('56', 'wedge', 56, 88),
    club('60', 'wedge', 60, 75),
    club('Putter', 'putter', 3, undefined),
  ];
}

export const yards = (value: number) => toMetres(value, 'yd');
