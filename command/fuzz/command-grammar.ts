import { randomUUID } from 'node:crypto';
import type { CommandName } from '@tasche/contract';
import { BASELINE } from '@tasche/core';
import type { Chance } from './chance.js';
import {
  AIR,
  UNDERFOOT,
  clubDocument,
  courseDocument,
  eventDocument,
  planDocument,
  roundPlayedDocument,
  seasonDocument,
  sessionDocument,
  ticketDocument,
  wishDocument,
  type KnownIds,
} from './known-rows.js';
import { brokenJson } from './nasty.js';

interface Made {
  chance: Chance;
  ids: KnownIds;
  /** A version the row may have. */
  version: number;
}

/** Shots there are, a player's own among them, and an unknown one. */
const SHOTS = ['full', 'soft', 'choked: into the wind', 'full: cut', 'full: :', 'bump'];

/** What is taken away is mostly a row that is not there: else there would soon be none to do something with. */
const taken = (chance: Chance, id: string) => (chance.is(0.05) ? id : randomUUID());

/** A document of every command there is; one that is missing here does not compile. */
const COMMANDS: Record<CommandName, (made: Made) => object> = {
  addPlayer: () => ({ player: { id: randomUUID(), name: 'Fuzz', hand: 'left', distanceUnit: 'm' } }),
  editPlayer: ({ chance, ids: { playerId }, version }) => ({
    playerId,
    version,
    set: chance.one<object>([
      { notes: 'x' },
      { gapSettings: { clubLimit: 13 } },
      { baseline: BASELINE },
      { baseline: null },
      { handicap: chance.below(60) - 10 },
      { archived: chance.is(0.1) },
    ]),
  }),
  addClub: ({ chance, ids }) => ({ club: clubDocument(randomUUID(), ids), readings: [reading(chance)] }),
  editClub: ({ chance, ids: { clubId }, version }) => ({
    clubId,
    version,
    ...(chance.is(0.7) ? { readings: [reading(chance), reading(chance)] } : { set: { name: '8 iron' } }),
  }),
  removeClub: ({ chance, ids, version }) => ({ clubId: taken(chance, ids.clubId), version }),
  addBag: ({ ids: { playerId, clubId } }) => ({
    bag: { id: randomUUID(), playerId, name: 'Bag' },
    clubIds: [clubId],
  }),
  editBag: ({ ids: { bagId }, version }) => ({ bagId, version, set: { ready: true } }),
  removeBag: ({ chance, ids, version }) => ({ bagId: taken(chance, ids.bagId), version }),
  putIn: ({ ids: { bagId, clubId } }) => ({ bagId, clubId }),
  takeOut: ({ ids: { bagId, clubId } }) => ({ bagId, clubId }),
  makeGamer: ({ ids: { bagId } }) => ({ bagId }),
  addPlan: ({ ids }) => ({ plan: { ...planDocument(randomUUID(), ids), eventId: ids.eventId } }),
  editPlan: ({ ids: { planId }, version }) => ({
    planId,
    version,
    set: { ground: 'firm', endsOn: '2026-12-09' },
  }),
  removePlan: ({ chance, ids, version }) => ({ planId: taken(chance, ids.planId), version }),
  setSwaps: ({ ids: { planId, clubId }, version }) => ({
    planId,
    version,
    swaps: [{ outId: clubId, why: '' }],
  }),
  rebasePlan: ({ ids: { planId }, version }) => ({ planId, version }),
  editRound: ({ ids: { planId, roundId }, version }) => ({ planId, version, roundId, set: { notes: [] } }),
  setRoundBag: ({ ids: { planId, roundId, clubId }, version }) => ({
    planId,
    version,
    roundId,
    bagId: randomUUID(),
    clubIds: [clubId],
    swaps: [],
    triggers: [],
  }),
  addCourse: () => ({ course: courseDocument(randomUUID()) }),
  editCourse: ({ chance, ids: { courseId }, version }) => ({
    courseId,
    version,
    set: chance.one<object>([{ notes: 'y' }, { tees: ['Back', 'Front'] }, { altitudeM: 1800 }]),
  }),
  removeCourse: ({ chance, ids, version }) => ({ courseId: taken(chance, ids.courseId), version }),
  addSeason: () => ({ season: seasonDocument(randomUUID()) }),
  editSeason: ({ chance, ids: { seasonId }, version }) => ({
    seasonId,
    version,
    set: { fromMonth: chance.below(14) },
  }),
  removeSeason: ({ chance, ids, version }) => ({ seasonId: taken(chance, ids.seasonId), version }),
  addEvent: ({ ids }) => ({ event: eventDocument(randomUUID(), randomUUID(), ids) }),
  editEvent: ({ chance, ids: { eventId }, version }) => ({
    eventId,
    version,
    set: chance.one<object>([{ notes: 'z' }, { zone: 'Europe/Oslo' }, { zone: 'Mars' }]),
  }),
  editEventRound: ({ chance, ids: { eventId, roundId }, version }) => ({
    eventId,
    version,
    roundId,
    set: chance.one<object>([
      { air: AIR },
      { forecast: null },
      { ground: { ...UNDERFOOT, grass: 'rye', sand: 'medium' } },
    ]),
  }),
  removeEvent: ({ chance, ids, version }) => ({ eventId: taken(chance, ids.eventId), version }),
  addSession: ({ chance, ids }) => ({
    session: { ...sessionDocument(randomUUID(), ids), hitOff: chance.one(['mat', 'grass', 'tees', 'ice']) },
  }),
  editSession: ({ chance, ids: { sessionId, clubId }, version }) => ({
    sessionId,
    version,
    set: chance.one<object>([
      { live: true },
      { hitOff: 'tees' },
      { aim: { clubId, shot: chance.one(SHOTS) } },
      { basket: [{ clubId, shot: chance.one(SHOTS), balls: 5, usualM: 4, nowM: 3, thenM: 2 }] },
    ]),
  }),
  removeSession: ({ chance, ids, version }) => ({ sessionId: taken(chance, ids.sessionId), version }),
  addStrikes: ({ chance, ids: { sessionId, clubId } }) => ({
    sessionId,
    strikes: [{ id: randomUUID(), clubId, shot: chance.one(SHOTS), given: { carryM: 150 } }],
  }),
  editStrikes: ({ chance, ids: { sessionId, strikeId, clubId } }) => ({
    sessionId,
    strikeIds: [strikeId],
    set: chance.one<object>([
      { leftOut: 'topped' },
      { leftOut: null },
      { shot: chance.one(SHOTS) },
      { clubId },
    ]),
  }),
  addTicket: ({ ids }) => ({ ticket: ticketDocument(randomUUID(), ids) }),
  editTicket: ({ chance, ids: { ticketId, eventId }, version }) => ({
    ticketId,
    version,
    set: chance.one<object>([{ state: 'on the bench' }, { state: 'done' }, { dueOn: null }, { eventId }]),
  }),
  finishTicket: ({ chance, ids: { ticketId }, version }) => ({
    ticketId,
    version,
    takenOn: '2026-11-24',
    became: chance.one<object[]>([[], [{ key: 'loftSetDeg', value: 33 }], [{ key: 'shaft', value: 'Siv' }]]),
  }),
  removeTicket: ({ chance, ids, version }) => ({ ticketId: taken(chance, ids.ticketId), version }),
  addWish: ({ ids }) => ({ wish: wishDocument(randomUUID(), ids) }),
  editWish: ({ chance, ids: { wishId }, version }) => ({
    wishId,
    version,
    set: chance.one<object>([
      { state: 'bought', boughtOn: '2026-11-20' },
      { expected: { shot: chance.one(SHOTS), scatterShare: 0.8 } },
      { club: { kind: 'wedge', loftDeg: 50 } },
    ]),
  }),
  removeWish: ({ chance, ids, version }) => ({ wishId: taken(chance, ids.wishId), version }),
  addRoundPlayed: ({ chance, ids }) => ({
    round: {
      ...roundPlayedDocument(randomUUID(), ids),
      ...(chance.is(0.3) && { courseId: null, bagId: null }),
    },
  }),
  editRoundPlayed: ({ ids: { roundPlayedId }, version }) => ({
    roundId: roundPlayedId,
    version,
    set: { name: 'Medal' },
  }),
  removeRoundPlayed: ({ chance, ids, version }) => ({ roundId: taken(chance, ids.roundPlayedId), version }),
};
const NAMES = Object.keys(COMMANDS) as CommandName[];

/** A change of some commands, some of their values spoilt. */
export function changeBody(chance: Chance, ids: KnownIds): { body: string; type: string } {
  return brokenJson(chance, {
    id: randomUUID(),
    ...(chance.is(0.3) && { why: 'fuzzed' }),
    commands: Array.from({ length: 1 + chance.below(3) }, () => fuzzedCommand(chance, ids)),
  });
}

function fuzzedCommand(chance: Chance, ids: KnownIds): object {
  if (chance.is(0.03)) return { do: chance.one(['toString', 'nothing', '__proto__']) };
  return commandMade(chance.one(NAMES), chance, ids);
}

/** One command of a kind, nothing of it spoilt. */
export function commandMade(name: CommandName, chance: Chance, ids: KnownIds): object {
  return { do: name, ...COMMANDS[name]({ chance, ids, version: 1 + chance.below(4) }) };
}

function reading(chance: Chance): object {
  return chance.one<object>([
    { key: 'lieDeg', value: 55 + chance.below(40) / 4, takenOn: '2026-11-01' },
    { key: 'swingWeight', value: 'D3', takenOn: '2026-11-02' },
    {
      key: `shot.${chance.one(SHOTS)}`,
      value: {
        carryM: 100 + chance.below(100),
        source: 'stated',
        ...(chance.is(0.2) && { startDeg: -2, curveM: 4 }),
      },
      takenOn: '2026-11-03',
    },
    { key: 'lieDeg', value: null, takenOn: '2026-11-26' },
  ]);
}
