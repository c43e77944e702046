import { shotKeysIn, shotKindOf } from './quantities.js';
import { playingLoft } from './playing-loft.js';
import { numberIn, shotIn, type Spec } from './readings.js';
import { changeSince, type BuildChange } from './build-change.js';
import type { ClubKind, Shot, ShotKind } from '../clubs/index.js';

/** What the ladder needs to know of a club. */
export interface LadderClub {
  id: string;
  name: string;
  kind: ClubKind;
  /** The loft it is really at. */
  loftDeg?: number | undefined;
  lengthIn?: number | undefined;
  /** Times hit in a round, as the player says. */
  hitsPerRound?: number | undefined;
  /** Sole and head, where they bear on a choice. */
  bounceDeg?: number;
  grind?: string;
  headWeightG?: number;
  /** Of a club that is not owned yet. */
  price?: number;
  shots: Partial<Record<ShotKind, Shot>>;
  /** Shots taken before the club was changed, and how it was. */
  changed?: Partial<Record<ShotKind, BuildChange>>;
}

/** A club of the locker, seen as the ladder sees it. */
export function ladderClub(club: { id: string; name: string; kind: ClubKind; spec: Spec }): LadderClub {
  const shots: LadderClub['shots'] = {};
  const changed: NonNullable<LadderClub['changed']> = {};
  for (const key of shotKeysIn(club.spec)) {
    const shot = shotIn(club.spec, key);
    const kind = shotKindOf(key)!;
    if (!shot) continue;
    shots[kind] = shot;
    const change = changeSince(club.spec, key);
    if (change) changed[kind] = change;
  }
  const loftDeg = playingLoft(club.spec)?.deg;
  const lengthIn = numberIn(club.spec, 'lengthIn');
  const hitsPerRound = numberIn(club.spec, 'hitsPerRound');
  const bounceDeg = playingBounce(club.spec);
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
    ...(Object.keys(changed).length > 0 && { changed }),
  };
}

/**
 * The bounce a sole really has: written down before the club was bent, it has followed the loft; weaker is
 * more. Common practice, no source.
 */
function playingBounce(spec: Spec): number | undefined {
  const written = numberIn(spec, 'bounceDeg');
  const set = spec.loftSetDeg;
  const loft = playingLoft(spec);
  if (written === undefined || !set || loft?.stampedDeg === undefined) return written;
  return spec.bounceDeg!.takenOn < set.takenOn ? Math.max(0, written + loft.deg - loft.stampedDeg) : written;
}
