import { hitsOfShots, type Command, type PlayedShot } from '@tasche/contract';
import { playingLoft, shotIn, toMetres } from '@tasche/core';
import type { MikroORM } from '@mikro-orm/postgresql';
import { applyChange } from '../changes/apply-change.js';
import { readSheet } from '../sheet/read-sheet.js';
import { BY_REP, courseId, dayFromNow, demoId } from './demo-ids.js';
import { DEMO_SESSIONS, demoStrikes } from './demo-sessions.js';
import type { DemoPlayer } from './meridian-swing.js';

/** Rounds outside any event, as the player wrote them down afterwards. */
export async function loadRounds(
  orm: MikroORM,
  { name, rounds }: DemoPlayer,
  index: number,
  idOf: (club: string) => string,
): Promise<void> {
  if (!rounds) return;
  await applyChange(orm, BY_REP, {
    id: demoId(index, 66),
    why: `what ${name} wrote down`,
    commands: rounds.map(({ daysAgo, course, shots, name: roundName, says, keep }, i): Command => {
      const played = shots.map(([club, yd, lie, hole]): PlayedShot => ({
        clubId: idOf(club),
        distanceM: toMetres(yd, 'yd'),
        lie,
        hole,
      }));
      return {
        do: 'addRoundPlayed',
        round: {
          id: demoId(index, 470 + i),
          playerId: demoId(index, 0),
          playedOn: dayFromNow(-daysAgo),
          name: roundName,
          courseId: course === null ? null : courseId(course),
          bagId: demoId(index, 20),
          after: { hits: hitsOfShots(played), says, keep, shots: played },
        },
      };
    }),
  });
}

/** What the player hit, through the same door as a session entered by hand. */
export async function loadSessions(
  orm: MikroORM,
  name: string,
  index: number,
  idOf: (club: string) => string,
): Promise<void> {
  const playerId = demoId(index, 0);
  const { clubs } = await readSheet(orm, BY_REP, playerId, null);
  for (const [i, session] of DEMO_SESSIONS.filter((one) => one.player === name).entries()) {
    const sessionId = demoId(index, 700 + i);
    const heldOn = dayFromNow(-session.daysAgo);
    const strikes = demoStrikes(session, (club, shot) => {
      const found = clubs.find((one) => one.id === idOf(club));
      const known = found && (shotIn(found.spec, `shot.${shot}`) ?? shotIn(found.spec, 'shot.full'));
      if (!found || !known) throw new Error(`${name} has no carry for the ${club}`);
      return { id: found.id, kind: found.kind, loftDeg: playingLoft(found.spec)?.deg, carryM: known.carryM };
    });
    const {
      setting: { conditions, surface },
      hitOff,
      ball,
      notes,
    } = session;
    await applyChange(orm, BY_REP, {
      id: demoId(index, 750 + i),
      why: session.notes,
      commands: [
        {
          do: 'addSession',
          session: {
            id: sessionId,
            playerId,
            name: session.name,
            heldOn,
            conditions,
            surface,
            hitOff,
            ball,
            notes,
          },
        },
        {
          do: 'addStrikes',
          sessionId,
          strikes: strikes.map((strike, k) => ({ ...strike, id: demoId(index, 70_000 + i * 1000 + k) })),
        },
      ],
    });
  }
}
