import { planImport, readClubText, type Command } from '@tasche/contract';
import { TIE_STROKES, toMetres, type ShotDemand } from '@tasche/core';
import type { MikroORM } from '@mikro-orm/postgresql';
import { applyChange } from '../changes/apply-change.js';
import { asAsker, inWorkspace } from '../workspaces/in-workspace.js';
import { Workspace } from '../workspaces/workspace.js';
import { BY_REP, dayFromNow, DEMO_WORKSPACE, demoId, eventId } from './demo-ids.js';
import { demoSheet } from './demo-sheet.js';
import { loadBench } from './load-bench.js';
import { loadRounds, loadSessions } from './load-played.js';
import { loadSchedule } from './load-schedule.js';
import { DEMO_PLAYERS, REP, WORKSPACE_NAME, type DemoPlayer } from './meridian-swing.js';

const SHEET_WRITTEN_ON = '2026-09-26';

/**
 * Loads the Meridian Swing, through the same door as everybody's changes, and marks its workspace when all of
 * it is there. Once marked it is never looked at again, whatever was renamed or deleted in it. Ids are fixed
 * and a known change is not done again, so a load that was cut short is finished by the next.
 */
export async function loadDemo(orm: MikroORM): Promise<void> {
  const loaded = await asAsker(orm, BY_REP, async (em) => {
    const standing = await em.findOne(Workspace, { id: DEMO_WORKSPACE });
    if (!standing)
      em.create(
        Workspace,
        { id: DEMO_WORKSPACE, name: WORKSPACE_NAME, person: REP, createdAt: new Date(0), demoLoadedAt: null },
        { persist: true },
      );
    return standing?.demoLoadedAt != null;
  });
  if (loaded) return;
  await loadSchedule(orm);
  for (const [i, player] of DEMO_PLAYERS.entries()) await loadPlayer(orm, player, i);
  await asAsker(orm, BY_REP, (em) =>
    em.nativeUpdate(Workspace, { id: DEMO_WORKSPACE }, { demoLoadedAt: new Date() }),
  );
}

async function loadPlayer(orm: MikroORM, player: DemoPlayer, index: number): Promise<void> {
  const scope = BY_REP;
  const playerId = demoId(index, 0);
  const { adds, rejected } = planImport(
    readClubText(demoSheet(player.file), { distanceUnit: player.distanceUnit, takenOn: SHEET_WRITTEN_ON }),
    [],
  );
  if (rejected.length > 0)
    throw new Error(
      `${player.file}: row ${rejected[0]!.row + 2}, ${rejected[0]!.head}: ${rejected[0]!.reason}`,
    );
  const clubIds = new Map(adds.map((add, i) => [add.name, demoId(index, 100 + i)]));
  const idOf = (name: string) => {
    const id = clubIds.get(name);
    if (!id) throw new Error(`${player.file} has no club "${name}"`);
    return id;
  };
  const { name, hand, distanceUnit, notes, handicap, gapSettings } = player;
  await applyChange(orm, scope, {
    id: demoId(index, 10),
    why: 'the bag entered, driver to putter',
    commands: [
      { do: 'addPlayer', player: { id: playerId, name, hand, distanceUnit, notes } },
      { do: 'editPlayer', playerId, version: 1, set: { handicap, gapSettings } },
      ...adds.map((add): Command => ({
        do: 'addClub',
        club: { id: idOf(add.name), playerId, name: add.name, kind: add.kind },
        readings: add.readings,
      })),
      ...player.bags.map((bag, i): Command => ({
        do: 'addBag',
        bag: { id: demoId(index, 20 + i), playerId, name: bag.name },
        clubIds: (bag.name === 'Gamer' ? gamerBefore(player, bag.clubs) : bag.clubs).map(idOf),
      })),
      ...player.bags.flatMap((bag, i): Command[] =>
        bag.note
          ? [{ do: 'editBag', bagId: demoId(index, 20 + i), version: 1, set: { note: bag.note } }]
          : [],
      ),
    ],
  });
  await backdate(orm, demoId(index, 10), `${SHEET_WRITTEN_ON}T09:00:00Z`);
  for (const [i, { out, in: into, daysAgo, why }] of (player.gamerSwaps ?? []).entries()) {
    const bagId = demoId(index, 20);
    await applyChange(orm, scope, {
      id: demoId(index, 40 + i),
      why,
      commands: [
        { do: 'takeOut', bagId, clubId: idOf(out) },
        { do: 'putIn', bagId, clubId: idOf(into) },
      ],
    });
    await backdate(orm, demoId(index, 40 + i), `${dayFromNow(-daysAgo)}T09:00:00Z`);
  }
  const version = new Map<string, number>();
  for (const [i, one] of player.changes.entries()) {
    const clubId = idOf(one.club);
    await applyChange(orm, scope, {
      id: demoId(index, 30 + i),
      why: one.why,
      commands: [
        {
          do: 'editClub',
          clubId,
          version: version.get(clubId) ?? 1,
          readings: [{ key: one.key, value: one.value, takenOn: dayFromNow(-one.daysAgo) }],
        },
      ],
    });
    await backdate(orm, demoId(index, 30 + i), `${dayFromNow(-one.daysAgo)}T09:00:00Z`);
    version.set(clubId, (version.get(clubId) ?? 1) + 1);
  }
  await loadBench(orm, player, index, idOf);
  await loadRounds(orm, player, index, idOf);
  await loadSessions(orm, player.name, index, idOf);
  if (!player.plan) return;
  const { swaps, inDays, lasts, needs, event, choosing, ...plan } = player.plan;
  const planId = demoId(index, 50);
  await applyChange(orm, scope, {
    id: demoId(index, 60),
    why: '',
    commands: [
      {
        do: 'addPlan',
        plan: {
          ...plan,
          id: planId,
          bagId: demoId(index, 25),
          playerId,
          startsOn: dayFromNow(inDays),
          endsOn: dayFromNow(inDays + lasts),
          ...(event && { eventId: eventId(event) }),
        },
      },
      {
        do: 'setSwaps',
        planId,
        version: 1,
        swaps: swaps.map((swap) => ({
          why: swap.why,
          ...(swap.out && { outId: idOf(swap.out) }),
          ...(swap.in && { inId: idOf(swap.in) }),
        })),
      },
      ...(needs || choosing
        ? [
            {
              do: 'editPlan' as const,
              planId,
              version: 1,
              set: {
                choosing: {
                  needs: (needs ?? []).map(demandOf),
                  limit: 14,
                  changeStrokes: TIE_STROKES,
                  always: [],
                  never: [],
                  ...choosing,
                },
              },
            },
          ]
        : []),
    ],
  });
}

/** The gamer before its swaps. */
function gamerBefore({ gamerSwaps = [] }: DemoPlayer, clubs: readonly string[]): string[] {
  return clubs.map((name) => gamerSwaps.findLast((swap) => swap.in === name)?.out ?? name);
}

const DEMAND_WORDS = { drive: '', rough: ' from heavy rough', tee: ' from tee', hold: ', to hold' } as const;

function demandOf([yd, weight, what, leftYd]: NonNullable<
  NonNullable<DemoPlayer['plan']>['needs']
>[number]): ShotDemand {
  const drive = what === 'drive';
  return {
    name: `${drive ? 'drive of ' : ''}${yd} yd${what ? DEMAND_WORDS[what] : ''}`,
    to: drive ? 'fairway' : 'green',
    distanceM: toMetres(yd, 'yd'),
    lie: what === 'rough' ? 'heavy rough' : drive || what === 'tee' ? 'tee' : 'fairway',
    mustHold: what === 'hold',
    weight,
    ...(leftYd !== undefined && { leftM: toMetres(leftYd, 'yd') }),
  };
}

/** A demo has a past: a change stands in the history on the day it is said to be of. */
async function backdate(orm: MikroORM, changeId: string, at: string): Promise<void> {
  await inWorkspace(orm, BY_REP, (em) => em.execute('update change set at = ? where id = ?', [at, changeId]));
}
