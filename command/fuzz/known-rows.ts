import { randomUUID } from 'node:crypto';
import { BASELINE, MEDIUM_FAIRWAY } from '@tasche/core';

/** Rows there are, by what they are. */
const KINDS = [
  'playerId',
  'clubId',
  'bagId',
  'planId',
  'sessionId',
  'strikeId',
  'courseId',
  'seasonId',
  'eventId',
  'roundId',
  'ticketId',
  'wishId',
  'roundPlayedId',
  'changeId',
] as const;
export type KnownIds = Record<(typeof KINDS)[number], string>;

export function newIds(): KnownIds {
  return Object.fromEntries(KINDS.map((kind) => [kind, randomUUID()])) as KnownIds;
}

export const AIR = { temperatureC: 15, humidityPct: 60, windMps: 4, windFromDeg: 90 };
export const UNDERFOOT = {
  fairways: 'medium',
  greens: 'medium',
  rough: 'medium',
  wet: false,
  greenSpeedM: 3,
};
const HOLE = {
  par: 4,
  lengthsM: [350],
  bearingDeg: 90,
  elevationChangeM: 0,
  corridorM: 30,
  greenM: 25,
  front: 'open',
  slope: 'flat',
  hazards: [],
};

/* Whole documents of every kind of row, as the commands that make them hold them. */

export const clubDocument = (id: string, { playerId }: KnownIds) => ({
  id,
  playerId,
  name: '7 iron',
  kind: 'iron',
});

export const planDocument = (id: string, { playerId }: KnownIds) => ({
  id,
  bagId: randomUUID(),
  playerId,
  name: 'Week',
  course: '',
  startsOn: '2026-12-01',
  endsOn: '2026-12-03',
  ground: '',
  weather: '',
});

export const sessionDocument = (id: string, { playerId }: KnownIds) => ({
  id,
  playerId,
  name: 'Range',
  heldOn: '2026-11-20',
  conditions: BASELINE,
  surface: MEDIUM_FAIRWAY,
  hitOff: 'mat',
  ball: '',
  notes: '',
});

export const courseDocument = (id: string) => ({
  id,
  name: 'Course',
  altitudeM: 5,
  latitudeDeg: null,
  longitudeDeg: null,
  grass: 'rye',
  sand: 'medium',
  tees: ['Back'],
  holes: Array.from({ length: 9 }, () => HOLE),
  seasons: [],
  notes: '',
});

export const seasonDocument = (id: string) => ({
  id,
  name: 'Winter',
  fromMonth: 11,
  temperatureC: 6,
  humidityPct: 80,
  windMps: 5,
  ground: UNDERFOOT,
});

export const eventDocument = (id: string, roundId: string, { courseId }: KnownIds) => ({
  id,
  name: 'Event',
  notes: '',
  limits: { clubs: 14, lengthIn: 48 },
  rounds: [
    {
      id: roundId,
      name: 'Round 1',
      day: '2026-12-01',
      courseId,
      tee: 0,
      air: AIR,
      ground: { ...UNDERFOOT, grass: 'rye', sand: 'medium' },
      forecast: null,
    },
  ],
});

export const ticketDocument = (id: string, { playerId, clubId }: KnownIds) => ({
  id,
  playerId,
  clubId,
  name: 'Bend it',
  job: 'bend',
  wanted: [{ key: 'loftSetDeg', value: 33 }],
  why: '',
  eventId: null,
  dueOn: '2026-12-01',
});

export const wishDocument = (id: string, { playerId, clubId }: KnownIds) => ({
  id,
  playerId,
  clubId,
  name: 'A softer one',
  purpose: 'learn',
  state: 'wished',
  price: 120,
  club: null,
  expected: { shot: 'soft', carryM: 130 },
  boughtOn: null,
  notes: '',
});

export const roundPlayedDocument = (id: string, { playerId, courseId, bagId, clubId }: KnownIds) => ({
  id,
  playerId,
  playedOn: '2026-11-21',
  name: '',
  courseId,
  bagId,
  after: { hits: { [clubId]: 3 }, says: '', keep: '' },
});
