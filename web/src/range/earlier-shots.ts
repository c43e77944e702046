import { tellsCarry, type HitOff, type StrikesView } from '@tasche/contract';
import type { PlayingConditions } from '@tasche/core';
import { buildLofts, strikeClub, type TodaysClub } from './strike-club';
import type { SessionStrikes } from './range-worker';

/**
 * Earlier sessions of a player, whose shots the worker reads by itself: thousands of them never touch the page.
 */
export interface EarlierSessions {
  playerId: string;
  /** Another edition is read again. */
  edition: number;
  sessions: readonly { id: string; setting: PlayingConditions; hitOff: HitOff }[];
  /**
   * What was hit off in the session they are compared with: shots off a tee are compared with shots off a tee.
   */
  hitOff: HitOff;
  clubs: readonly TodaysClub[];
}

let held: { of: string; answer: Promise<StrikesView> } | undefined;

/**
 * What was hit in some earlier sessions, each ball with its club as it was built.
 * @returns `isPart` where the oldest of the player's shots are more than one answer holds
 * @throws Error where the server does not answer
 */
export async function earlierShots({
  playerId,
  edition,
  sessions,
  hitOff,
  clubs,
}: EarlierSessions): Promise<{ sessions: SessionStrikes[]; isPart: boolean }> {
  if (sessions.length === 0) return { sessions: [], isPart: false };
  const of = `${playerId} ${edition}`;
  if (held?.of !== of) held = { of, answer: read(playerId) };
  const reading = held;
  const { strikes, builds, more } = await reading.answer.catch((error: unknown) => {
    if (held === reading) held = undefined;
    throw error;
  });
  const lofts = buildLofts(builds);
  const byId = new Map(clubs.map((club) => [club.id, club]));
  const shots = new Map(
    sessions.map(
      ({
        id,
        setting,
      }): [string, { setting: PlayingConditions; strikes: SessionStrikes['strikes'][number][] }] => [
        id,
        { setting, strikes: [] },
      ],
    ),
  );
  const offOf = new Map(sessions.map((session) => [session.id, session.hitOff]));
  for (const strike of strikes) {
    const off = offOf.get(strike.sessionId);
    const club = strikeClub(strike, byId, lofts);
    if (off === undefined || tellsCarry(off, club?.kind) !== tellsCarry(hitOff, club?.kind)) continue;
    shots.get(strike.sessionId)!.strikes.push({ strike, club });
  }
  return { sessions: [...shots.values()], isPart: more };
}

async function read(playerId: string): Promise<StrikesView> {
  const response = await fetch(`/api/players/${playerId}/strikes`);
  if (!response.ok)
    throw new Error(`the server answered ${response.status} when it was asked for earlier shots.`);
  return (await response.json()) as StrikesView;
}
