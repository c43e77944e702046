import type { HitRequest } from '@tasche/contract';
import { USUAL_LOFT_DEG, ladderClub, placedClubs, withModelledCarries, type ShotKind } from '@tasche/core';
import type { EntityManager } from '@mikro-orm/postgresql';
import { Club } from '../clubs/club.js';
import { badInput, notFound } from '../http/http-error.js';
import { Session } from '../sessions/session.js';

/** A locker holds fewer. */
const MAX_CLUBS = 500;

/** What a simulated monitor needs to know to have a player hit a club: how it is built, and how far it goes. */
export async function hitRequest(
  em: EntityManager,
  sessionId: string,
  clubId: string,
  shot: ShotKind,
  count: number,
): Promise<HitRequest> {
  const session = await em.findOne(Session, { id: sessionId, removedAt: null });
  if (!session) throw notFound('session');
  const rows = await em.find(
    Club,
    { playerId: session.playerId, removedAt: null },
    { orderBy: { id: 'asc' }, limit: MAX_CLUBS },
  );
  const row = rows.find(({ id }) => id === clubId);
  if (!row) throw notFound('club');
  const club = withModelledCarries(placedClubs(rows.map(ladderClub))).find(({ id }) => id === clubId)!;
  const known = club.shots[shot] ?? club.shots.full;
  if (!known)
    throw badInput(`${row.name} has neither a carry nor a loft to simulate shots from; enter one first.`, [
      { field: 'clubId', message: 'no carry known' },
    ]);
  return {
    count,
    club: clubId,
    kind: row.kind,
    loftDeg: club.loftDeg ?? USUAL_LOFT_DEG[row.kind],
    carryM: known.carryM,
    ...(known.spreadM !== undefined && { spreadM: known.spreadM }),
  };
}
