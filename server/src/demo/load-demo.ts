import {
  hitsOfShots,
  planImport,
  readClubText,
  type Command,
  type EventRound,
  type PlayedShot,
} from '@tasche/contract';
import {
  DEFAULT_SEASON_RULES,
  TIE_STROKES,
  playingLoft,
  shotIn,
  toMetres,
  type ShotDemand,
} from '@tasche/core';
import type { MikroORM } from '@mikro-orm/postgresql';
import { applyChange } from '../changes/apply-change.js';
import type { Scope } from '../people/scope.js';
import { asAsker, inWorkspace } from '../workspaces/in-workspace.js';
import { Workspace } from '../workspaces/workspace.js';
import { readSheet } from '../sheet/read-sheet.js';
import { DEMO_SESSIONS, demoStrikes } from './demo-sessions.js';
import { demoSheet } from './demo-sheet.js';
import { DEMO_COURSES, DEMO_EVENTS, DEMO_SEASONS } from './meridian-courses.js';
import { DEMO_PLAYERS, REP, WORKSPACE_NAME, type DemoPlayer } from './meridian-swing.js';

const DEMO_WORKSPACE = '7a5c4e00-0000-4000-8000-00000000de30';
const BY_REP: Scope = { workspaceId: DEMO_WORKSPACE, who: REP, personId: null, role: 'owner' };
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

/** Where ids of what is no single player's begin. */
const SCHEDULE = 8999;

/** Courses, seasons and events, each as a change of its own. */
async function loadSchedule(orm: MikroORM): Promise<void> {
  const scope = BY_REP;
  await applyChange(orm, scope, {
    id: demoId(SCHEDULE, 1),
    why: 'the courses of the swing, written down',
    commands: [
      ...DEMO_COURSES.map((course): Command => ({
        do: 'addCourse',
        course: { id: courseId(course.name), ...course },
      })),
      ...DEMO_SEASONS.map((season, i): Command => ({
        do: 'addSeason',
        season: { id: demoId(SCHEDULE, 200 + i), ...season },
      })),
    ],
  });
  await applyChange(orm, scope, {
    id: demoId(SCHEDULE, 2),
    why: '',
    commands: DEMO_EVENTS.map(
      (
        { name, inDays, courses, season: seasonName, tee, clubs, lengthIn, notes, windShare, zone, teeTimes },
        e,
      ): Command => ({
        do: 'addEvent',
        event: {
          id: eventId(name),
          name,
          notes,
          zone,
          limits: { clubs, lengthIn },
          rounds: courses.map((course, i): EventRound => {
            const { seasons } = DEMO_COURSES.find((one) => one.name === course)!;
            const { air, ground } = seasons.find((one) => one.name === seasonName) ?? seasons[0]!;
            return {
              id: demoId(SCHEDULE, 1000 + e * 10 + i),
              name: `Round ${i + 1}`,
              day: dayFromNow(inDays + i),
              teeTime: teeTimes?.[i],
              courseId: courseId(course),
              tee,
              air: { ...air, windMps: Math.round(air.windMps * (windShare?.[i] ?? 1) * 10) / 10 },
              ground,
              forecast: null,
            };
          }),
        },
      }),
    ),
  });
}

function courseId(name: string): string {
  return demoId(SCHEDULE, 100 + DEMO_COURSES.findIndex((course) => course.name === name));
}

function eventId(name: string): string {
  return demoId(SCHEDULE, 300 + DEMO_EVENTS.findIndex((event) => event.name === name));
}

/** Ids that are the same on every load, so that a second load does nothing and links into the demo keep working. */
function demoId(player: number, what: number): string {
  return `7a5c4e00-${String(player + 1).padStart(4, '0')}-4000-8000-${String(what).padStart(12, '0')}`;
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
    why: 'the bag written down, driver to putter',
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

/** The gamer before its swaps. */
function gamerBefore({ gamerSwaps = [] }: DemoPlayer, clubs: readonly string[]): string[] {
  return clubs.map((name) => gamerSwaps.findLast((swap) => swap.in === name)?.out ?? name);
}

/** A demo has a past: a change stands in the history on the day it is said to be of. */
async function backdate(orm: MikroORM, changeId: string, at: string): Promise<void> {
  await inWorkspace(orm, BY_REP, (em) => em.execute('update change set at = ? where id = ?', [at, changeId]));
}

/** What is asked of the bench, wished for, and played. */
async function loadBench(
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

/** Rounds outside any event, as the player wrote them down afterwards. */
async function loadRounds(
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

function demandOf([yd, weight, what, leftYd]: NonNullable<
  NonNullable<DemoPlayer['plan']>['needs']
>[number]): ShotDemand {
  const drive = what === 'drive';
  return {
    name: `${drive ? 'drive of ' : ''}${yd} yd${what === 'rough' ? ' from heavy rough' : what === 'tee' ? ' from tee' : ''}${what === 'hold' ? ', to hold' : ''}`,
    to: drive ? 'fairway' : 'green',
    distanceM: toMetres(yd, 'yd'),
    lie: what === 'rough' ? 'heavy rough' : drive || what === 'tee' ? 'tee' : 'fairway',
    mustHold: what === 'hold',
    weight,
    ...(leftYd !== undefined && { leftM: toMetres(leftYd, 'yd') }),
  };
}

/** What the player hit, through the same door as a session written down by hand. */
async function loadSessions(
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

function dayFromNow(days: number): string {
  return new Date(Date.now() + days * 86_400_000).toISOString().slice(0, 10);
}
