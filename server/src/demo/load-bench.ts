import type { Command } from '@tasche/contract';
import { DEFAULT_SEASON_RULES } from '@tasche/core';
import type { MikroORM } from '@mikro-orm/postgresql';
import { applyChange } from '../changes/apply-change.js';
import { BY_REP, dayFromNow, demoId, eventId } from './demo-ids.js';
import type { DemoPlayer } from './meridian-swing.js';

/** What is asked of the bench, wished for, and played. */
export async function loadBench(
  orm: MikroORM,
  { name, bench, season }: DemoPlayer,
  index: number,
  idOf: (club: string) => string,
): Promise<void> {
  if (!bench) return;
  const { tickets = [], wishes = [], balls = [] } = bench;
  const playerId = demoId(index, 0);
  await applyChange(orm, BY_REP, {
    id: demoId(index, 65),
    why: `what ${name} asked for`,
    commands: [
      ...tickets.map(({ club, event, dueInDays, ...ticket }, i): Command => ({
        do: 'addTicket',
        ticket: {
          ...ticket,
          id: demoId(index, 400 + i),
          playerId,
          clubId: idOf(club),
          eventId: event === undefined ? null : eventId(event),
          dueOn: dueInDays === null ? null : dayFromNow(dueInDays),
        },
      })),
      ...wishes.map(({ of: club, expected, boughtDaysAgo, ...wish }, i): Command => ({
        do: 'addWish',
        wish: {
          ...wish,
          id: demoId(index, 450 + i),
          playerId,
          clubId: club === undefined ? null : idOf(club),
          expected: expected ?? null,
          boughtOn: boughtDaysAgo === undefined ? null : dayFromNow(-boughtDaysAgo),
        },
      })),
      ...(season ? [seasonOfDemo(playerId, index, season, idOf)] : []),
      ...(balls.length > 0
        ? [
            {
              do: 'editPlayer' as const,
              playerId,
              version: 1,
              set: { balls: balls.map((ball) => ({ name: ball.name, from: dayFromNow(-ball.daysAgo) })) },
            },
          ]
        : []),
    ],
  });
}

function seasonOfDemo(
  playerId: string,
  index: number,
  { items, trials }: NonNullable<DemoPlayer['season']>,
  idOf: (club: string) => string,
): Command {
  return {
    do: 'editPlayer',
    playerId,
    version: 1,
    set: {
      season: {
        rules: DEFAULT_SEASON_RULES,
        items: items.map(({ inDays, lasts, ...item }, i) => ({
          ...item,
          id: demoId(index, 500 + i),
          from: dayFromNow(inDays),
          to: dayFromNow(inDays + lasts),
        })),
        trials: trials.map(({ club, against, shots, inDays }, i) => ({
          id: demoId(index, 550 + i),
          clubId: idOf(club),
          againstId: idOf(against),
          shots,
          by: dayFromNow(inDays),
          outcome: 'open' as const,
          notes: '',
        })),
      },
    },
  };
}
