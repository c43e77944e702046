import { SHOT_KEYS, shotKindOf } from './quantities.js';
import { playingLoft } from './playing-loft.js';
import { numberIn, shotIn, type Spec } from './readings.js';
import type { ClubKind, Shot, ShotKind } from '../clubs/index.js';

/** What the ladder needs to know of a club. */
export interface LadderClub {
  id: string;
  name: string;
  kind: ClubKind;
  /** The loft it is really at. */
  loftDeg?: number;
  lengthIn?: number;
  /** Times hit in a round, as the player says. */
  hitsPerRound?: number;
  /** Sole and head, where they bear on a choice. */
  bounceDeg?: number;
  grind?: string;
  headWeightG?: number;
  /** Of a club that is not owned yet. */
  price?: number;
  shots: Partial<Record<ShotKind, Shot>>;
}

/** A club of the locker, seen as the ladder sees it. */
export function ladderClub(club: { id: string; name: string; kind: ClubKind; spec: Spec }): LadderClub {
  const shots: LadderClub['shots'] = {};
  for (const key of SHOT_KEYS) {
    const shot = shotIn(club.spec, key);
    if (shot) shots[shotKindOf(key)!] = shot;
  }
  const loftDeg = playingLoft(club.spec)?.deg;
  const lengthIn = numberIn(club.spec, 'lengthIn');
  const hitsPerRound = numberIn(club.spec, 'hitsPerRound');
  const bounceDeg = numberIn(club.spec, 'bounceDeg');
  const headWeightG = numberIn(club.spec, 'headWeightG');
  const price = numberIn(club.spec, 'price');
  const grind = club.spec.grind?.value;
  return {
    id: club.id,
    name: club.name,
    kind: club.kind,
    ...(loftDeg !== undefined && { loftDeg }),
    ...(lengthIn !== undefined && { lengthIn }),
    ...(hitsPerRound !== undefined && { hitsPerRound }),
    ...(bounceDeg !== undefined && { bounceDeg }),
    ...(headWeightG !== undefined && { headWeightG }),
    ...(price !== undefined && { price }),
    ...(typeof grind === 'string' && { grind }),
    shots,
  };
}
