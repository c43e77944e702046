import * as yup from './yup.js';
import { ballsSchema } from './ball-schemas.js';
import { datesInOrder, planDetails } from './commands/plan/plan-details.js';
import { courseDetails } from './course-schemas.js';
import { eventDetails } from './event-schemas.js';
import { MAX_CLUBS_A_PLAYER } from './limits.js';
import {
  planRoundSet,
  planChoosingSchema,
  roundBagSchema,
  swapsSchema,
  bagPreferencesSchema,
} from './plan-choosing.js';
import { playerSeasonSchema } from './player-season.js';
import {
  clubKindSchema,
  dateSchema,
  distanceUnitSchema,
  finite,
  gapSettingsSchema,
  handSchema,
  handicapSchema,
  idSchema,
  nameSchema,
  readingSchema,
  required,
  shape,
  strategySchema,
  textSchema,
  shotKindSchema,
} from './schemas.js';
import { aimSchema, basketSchema, sessionDetails, strikeParts } from './session-schemas.js';
import { keptConditionsSchema } from './setting-schemas.js';
import { benchValuesSchema, ticketDetails, ticketStateSchema } from './ticket-schemas.js';
import { roundPlayedDetails } from './round-played-schemas.js';
import { newerWishFields, wishDetails } from './wish-schemas.js';

/**
 * A player with everything, as a file: a line of JSON for each row (JSON Lines), the first of which says what
 * it is and how many rows follow. What a row does not know is left out; a reading that took a value back
 * holds null. Described in docs/formats/player-file.md.
 */
export const PLAYER_FILE_FORMAT = 'tasche-player';
export const PLAYER_FILE_VERSION = 1;

/** Rows of one file; a player of ten busy years has fewer. */
export const MAX_PLAYER_ROWS = 200_000;
export const MAX_PLAYER_FILE_BYTES = 128_000_000;
/** One row of a file; a change made to five hundred shots is the longest. */
export const MAX_PLAYER_LINE_CHARACTERS = 4_000_000;

const MOMENT = /^\d{4}-\d\d-\d\dT\d\d:\d\d:\d\d(\.\d{1,6})?(Z|[+-]\d\d:\d\d)$/;
const momentSchema = yup
  .string()
  .strict()
  .test(
    'moment',
    '${path} must be a moment, such as 2026-11-27T09:30:00Z',
    (text) => text === undefined || (MOMENT.test(text) && !Number.isNaN(Date.parse(text))),
  );
const truth = yup.boolean().strict();
const count = finite(0, 1_000_000).integer('${path} must be a whole number');
const clubIds = yup.array(required(idSchema)).max(MAX_CLUBS_A_PLAYER);
const label = textSchema(200);
/** What was said of a change, by people and by Tasche. */
const sayingSchema = textSchema(4000);

/**
 * Fields that may be set of what a player owns, by kind: what a row holds, and what a change's diff may put
 * back.
 */
const OWNED = {
  player: {
    name: required(nameSchema),
    hand: required(handSchema),
    distanceUnit: required(distanceUnitSchema),
    notes: textSchema(4000).defined(),
    handicap: handicapSchema,
    gapSettings: required(gapSettingsSchema),
    baseline: keptConditionsSchema.default(undefined),
    preferences: bagPreferencesSchema.default(undefined),
    balls: ballsSchema.required('${path} is missing'),
    season: playerSeasonSchema.default(undefined),
    archived: required(truth),
  },
  club: { name: required(nameSchema), kind: required(clubKindSchema) },
  bag: {
    planId: idSchema,
    name: required(nameSchema),
    note: textSchema(2000).defined(),
    ready: required(truth),
    gamer: required(truth),
    strategy: required(strategySchema),
  },
  plan: {
    bagId: required(idSchema),
    name: required(planDetails.name),
    course: planDetails.course.defined(),
    startsOn: required(planDetails.startsOn),
    endsOn: required(planDetails.endsOn),
    ground: planDetails.ground.defined(),
    weather: planDetails.weather.defined(),
    baseClubIds: clubIds.required('${path} is missing'),
    swaps: swapsSchema.required('${path} is missing'),
    choosing: planChoosingSchema.default(undefined),
    eventId: idSchema,
    rounds: yup
      .array(
        shape({
          ...planRoundSet,
          roundId: required(idSchema),
          bagId: idSchema.nullable(),
          swaps: roundBagSchema.swaps,
          triggers: roundBagSchema.triggers,
        }),
      )
      .required('${path} is missing'),
  },
  session: {
    name: required(sessionDetails.name),
    heldOn: required(sessionDetails.heldOn),
    conditions: required(sessionDetails.conditions),
    surface: required(sessionDetails.surface),
    hitOff: required(sessionDetails.hitOff),
    ball: sessionDetails.ball.defined(),
    notes: sessionDetails.notes.defined(),
    source: label.defined(),
    live: required(truth),
    aim: aimSchema.default(undefined),
    basket: basketSchema,
  },
  ticket: {
    clubId: required(idSchema),
    name: required(ticketDetails.name),
    job: required(ticketDetails.job),
    wanted: ticketDetails.wanted.required('${path} is missing'),
    why: ticketDetails.why.defined(),
    eventId: idSchema,
    dueOn: dateSchema,
    state: required(ticketStateSchema),
    became: benchValuesSchema.required('${path} is missing'),
    misses: yup
      .array(
        shape({
          key: required(label),
          wanted: required(yup.mixed<number | string>().test(...numberOrText())),
          became: required(yup.mixed<number | string>().test(...numberOrText())),
        }),
      )
      .required('${path} is missing'),
    doneOn: dateSchema,
  },
  wish: {
    name: required(wishDetails.name),
    purpose: required(wishDetails.purpose),
    state: required(wishDetails.state),
    price: wishDetails.price,
    club: wishDetails.club.default(undefined),
    clubId: idSchema,
    expected: newerWishFields.expected,
    boughtOn: dateSchema,
    notes: wishDetails.notes.defined(),
  },
  roundPlayed: {
    playedOn: required(roundPlayedDetails.playedOn),
    name: roundPlayedDetails.name.defined(),
    courseId: idSchema,
    bagId: idSchema,
    after: required(roundPlayedDetails.after),
  },
} as const satisfies Record<string, yup.ObjectShape>;
type OwnedKind = keyof typeof OWNED;

function numberOrText(): [string, string, (value: unknown) => boolean] {
  return [
    'value',
    '${path} must be a number or a text',
    (value) =>
      value === undefined || typeof value === 'number' || (typeof value === 'string' && value.length < 400),
  ];
}

const kept = { id: required(idSchema), version: required(count), removedAt: momentSchema };

const mark = shape({
  id: required(idSchema),
  clubId: idSchema.nullable().defined('${path} is missing'),
  shot: required(shotKindSchema),
  leftOut: label.nullable().defined('${path} is missing'),
});
const diffBase = { of: required(label), id: required(idSchema) };
const DIFFS: Record<string, yup.AnyObjectSchema> = {
  bagClubs: shape({ ...diffBase, before: required(clubIds), after: required(clubIds) }),
  readings: shape({ ...diffBase, withdrawn: required(truth), clubIds }),
  strikes: shape({ ...diffBase, changeId: required(idSchema), withdrawn: required(truth) }),
  strikeMarks: shape({
    ...diffBase,
    before: yup.array(required(mark)).required('${path} is missing'),
    after: yup.array(required(mark)).required('${path} is missing'),
  }),
  ...Object.fromEntries(
    Object.entries(OWNED).map(([kind, fields]) => {
      const some = shape({
        ...Object.fromEntries(
          Object.entries(fields).map(([field, schema]) => [
            field,
            (schema as yup.Schema).nullable().optional(),
          ]),
        ),
        removedAt: momentSchema.nullable(),
      }).default(undefined);
      return [
        kind,
        shape({
          ...diffBase,
          before: some.nullable().defined('${path} is missing'),
          after: required(some),
          version: count,
        }),
      ];
    }),
  ),
};

const KINDS_OF_DIFF = `\${path} must be one of ${Object.keys(DIFFS).join(', ')}`;

/** What one change did to one row: the kinds a player's rows are of, and no other. */
const diffSchema = yup.lazy((value: unknown) => {
  const of = (value as { of?: unknown } | null | undefined)?.of;
  return (
    (typeof of === 'string' && Object.hasOwn(DIFFS, of) ? DIFFS[of] : undefined) ??
    yup.object({ of: required(yup.string().strict().oneOf(Object.keys(DIFFS), KINDS_OF_DIFF)) })
  ).required('${path} is missing');
});

/** The kinds of row, in the order in which they stand in a file. */
export const PLAYER_FILE_ROWS = {
  course: shape({
    ...kept,
    name: required(courseDetails.name),
    tees: courseDetails.tees.required('${path} is missing'),
    holes: courseDetails.holes.required('${path} is missing'),
    altitudeM: required(courseDetails.altitudeM),
    latitudeDeg: finite(-90, 90),
    longitudeDeg: finite(-180, 180),
    grass: required(courseDetails.grass),
    sand: required(courseDetails.sand),
    seasons: courseDetails.seasons.required('${path} is missing'),
    notes: courseDetails.notes.defined(),
  }),
  event: shape({
    ...kept,
    name: required(eventDetails.name),
    rounds: eventDetails.rounds.required('${path} is missing'),
    zone: eventDetails.zone,
    limits: required(eventDetails.limits),
    notes: eventDetails.notes.defined(),
  }),
  player: shape({ ...kept, ...OWNED.player }),
  club: shape({ ...kept, ...OWNED.club }),
  bag: shape({ ...kept, ...OWNED.bag }),
  plan: shape({ ...kept, ...OWNED.plan }).test(
    'dates',
    '${path}: the week ends before it starts',
    datesInOrder,
  ),
  bagClub: shape({ bagId: required(idSchema), clubId: required(idSchema), place: required(count) }),
  change: shape({
    id: required(idSchema),
    at: required(momentSchema),
    who: label.defined(),
    why: sayingSchema.defined(),
    summary: sayingSchema.defined(),
    diffs: yup.array(diffSchema).required('${path} is missing'),
    undoesId: idSchema,
    undoneById: idSchema,
  }),
  reading: readingSchema.shape({
    id: required(idSchema),
    clubId: required(idSchema),
    changeId: required(idSchema),
    recordedAt: required(momentSchema),
    removedAt: momentSchema,
  }),
  session: shape({ ...kept, ...OWNED.session }),
  strike: shape({
    ...strikeParts,
    id: required(idSchema),
    sessionId: required(idSchema),
    clubId: idSchema,
    shot: required(shotKindSchema),
    number: required(count),
    hitAt: momentSchema,
    builtOn: required(dateSchema),
    leftOut: label,
    deviceKey: textSchema(400),
    changeId: idSchema,
    removedAt: momentSchema,
  }),
  ticket: shape({ ...kept, ...OWNED.ticket }),
  wish: shape({ ...kept, ...OWNED.wish }),
  roundPlayed: shape({ ...kept, ...OWNED.roundPlayed }),
} as const satisfies Record<string, yup.AnyObjectSchema>;
export type PlayerFileRowName = keyof typeof PLAYER_FILE_ROWS;
export const PLAYER_FILE_ROW_NAMES = Object.keys(PLAYER_FILE_ROWS) as PlayerFileRowName[];

/** A row of a file, or of the database, by the names a file uses. */
export type PlayerFileRow = Readonly<Record<string, unknown>> & { readonly id?: string };
export type PlayerFileRows = Record<PlayerFileRowName, PlayerFileRow[]>;

/** The first line. */
export interface PlayerFileHead {
  format: typeof PLAYER_FILE_FORMAT;
  version: typeof PLAYER_FILE_VERSION;
  /** The player's. */
  name: string;
  takenOutAt: string;
  rows: Partial<Record<PlayerFileRowName, number>>;
}

/** A whole file, read. */
export interface PlayerFile {
  head: PlayerFileHead;
  rows: PlayerFileRows;
}

export const playerFileHeadSchema = shape({
  format: required(
    yup
      .string()
      .strict()
      .oneOf([PLAYER_FILE_FORMAT] as const, 'this is not a player’s file'),
  ),
  version: required(
    yup
      .number()
      .strict()
      .oneOf(
        [PLAYER_FILE_VERSION] as const,
        `\${path} must be ${PLAYER_FILE_VERSION}: a file of a newer Tasche is read by that one`,
      ),
  ),
  name: required(nameSchema),
  takenOutAt: required(momentSchema),
  rows: required(shape(Object.fromEntries(PLAYER_FILE_ROW_NAMES.map((name) => [name, count])))),
});

/** Which rows the rows of a kind name, by field. */
export const PLAYER_FILE_REFERENCES: Partial<
  Record<PlayerFileRowName, Readonly<Record<string, PlayerFileRowName>>>
> = {
  bag: { planId: 'plan' },
  plan: { bagId: 'bag', eventId: 'event' },
  bagClub: { bagId: 'bag', clubId: 'club' },
  change: { undoesId: 'change', undoneById: 'change' },
  reading: { clubId: 'club', changeId: 'change' },
  strike: { sessionId: 'session', clubId: 'club' },
  ticket: { clubId: 'club', eventId: 'event' },
  wish: { clubId: 'club' },
  roundPlayed: { courseId: 'course', bagId: 'bag' },
};

/** Whether a change's diffs may be about rows of that kind. */
export function isOwnedKind(kind: string): kind is OwnedKind {
  return Object.hasOwn(OWNED, kind);
}
