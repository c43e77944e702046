import type {
  ClubKind,
  Conditions,
  DistanceUnit,
  GapSettings,
  Reading,
  ShotKind,
  Strike,
  Swap,
} from '@tasche/core';
import * as yup from 'yup';
import {
  clubKindSchema,
  dateSchema,
  distanceUnitSchema,
  gapSettingsSchema,
  handSchema,
  handicapSchema,
  idSchema,
  nameSchema,
  readingSchema,
  textSchema,
  wholeDocument,
} from './schemas.js';
import {
  MAX_STRIKES_A_CHANGE,
  aimSchema,
  leftOutSchema,
  sessionDetails,
  shotKindSchema,
  strikeSchema,
  type Aim,
  type SessionDetails,
} from './session-schemas.js';
import { courseDetails, seasonDetails, type CourseDetails, type SeasonDetails } from './course-schemas.js';
import { eventDetails, eventRoundSet, type EventDetails, type EventRoundSet } from './event-schemas.js';
import {
  planChoosingSchema,
  planRoundSet,
  roundBagSchema,
  swapsSchema,
  type PlanChoosing,
  type PlanRoundSet,
  type Trigger,
} from './plan-choosing.js';
import { keptConditionsSchema } from './setting-schemas.js';

/**
 * Everything that can be done to the data. One change holds one or more commands, happens whole or not at all,
 * carries who, when and why, and can be undone. Its id is made by the sender, so that sending twice does it once.
 */
export interface ChangeRequest {
  id: string;
  why?: string;
  commands: readonly Command[];
}

export type Command =
  | {
      do: 'addPlayer';
      player: { id: string; name: string; hand: Hand; distanceUnit: DistanceUnit; notes?: string };
    }
  | { do: 'editPlayer'; playerId: string; version: number; set: PlayerSet }
  | {
      do: 'addClub';
      club: { id: string; playerId: string; name: string; kind: ClubKind };
      readings: readonly Reading[];
    }
  | { do: 'editClub'; clubId: string; version: number; set?: ClubSet; readings?: readonly Reading[] }
  | { do: 'removeClub'; clubId: string; version: number }
  | { do: 'addBag'; bag: { id: string; playerId: string; name: string }; clubIds: readonly string[] }
  | { do: 'editBag'; bagId: string; version: number; set: BagSet }
  | { do: 'removeBag'; bagId: string; version: number }
  | { do: 'putIn'; bagId: string; clubId: string }
  | { do: 'takeOut'; bagId: string; clubId: string }
  | { do: 'makeGamer'; bagId: string }
  | { do: 'addPlan'; plan: { id: string; bagId: string; playerId: string; eventId?: string } & PlanDetails }
  | { do: 'editPlan'; planId: string; version: number; set: PlanSet }
  | { do: 'setSwaps'; planId: string; version: number; swaps: readonly Swap[] }
  | { do: 'removePlan'; planId: string; version: number }
  | { do: 'editRound'; planId: string; version: number; roundId: string; set: PlanRoundSet }
  | {
      do: 'setRoundBag';
      planId: string;
      version: number;
      roundId: string;
      bagId: string;
      clubIds: readonly string[];
      swaps: readonly Swap[];
      triggers: readonly Trigger[];
    }
  | { do: 'addCourse'; course: { id: string } & CourseDetails }
  | { do: 'editCourse'; courseId: string; version: number; set: Partial<CourseDetails> }
  | { do: 'removeCourse'; courseId: string; version: number }
  | { do: 'addSeason'; season: { id: string } & SeasonDetails }
  | { do: 'editSeason'; seasonId: string; version: number; set: Partial<SeasonDetails> }
  | { do: 'removeSeason'; seasonId: string; version: number }
  | { do: 'addEvent'; event: { id: string } & EventDetails }
  | { do: 'editEvent'; eventId: string; version: number; set: Partial<EventDetails> }
  | { do: 'editEventRound'; eventId: string; version: number; roundId: string; set: EventRoundSet }
  | { do: 'removeEvent'; eventId: string; version: number }
  | { do: 'addSession'; session: { id: string; playerId: string } & SessionDetails }
  | { do: 'editSession'; sessionId: string; version: number; set: SessionSet }
  | { do: 'removeSession'; sessionId: string; version: number }
  | { do: 'addStrikes'; sessionId: string; strikes: readonly NewStrike[] }
  | { do: 'editStrikes'; sessionId: string; strikeIds: readonly string[]; set: StrikeSet };

export type CommandName = Command['do'];
export type Hand = 'right' | 'left';
export interface PlayerSet {
  name?: string;
  hand?: Hand;
  distanceUnit?: DistanceUnit;
  notes?: string;
  handicap?: number | null;
  gapSettings?: Partial<GapSettings>;
  baseline?: Conditions | null;
  archived?: boolean;
}
export interface ClubSet {
  name?: string;
  kind?: ClubKind;
}
export interface BagSet {
  name?: string;
  note?: string;
  ready?: boolean;
}
export type PlanSet = Partial<PlanDetails> & { choosing?: PlanChoosing | null };
export interface PlanDetails {
  name: string;
  course: string;
  startsOn: string;
  endsOn: string;
  ground: string;
  weather: string;
}

/** A live session takes what the monitor sees; its aim is the club in hand. */
export type SessionSet = Partial<SessionDetails> & { live?: boolean; aim?: Aim | null };
export interface NewStrike {
  id: string;
  clubId: string;
  shot: ShotKind;
  given: Strike;
}
/** `leftOut` is the reason, or null to count it again. */
export interface StrikeSet {
  leftOut?: string | null;
  clubId?: string;
  shot?: ShotKind;
}

/** A player owns 20 to 40 clubs; this is where a list stops being a locker. */
export const MAX_CLUBS_A_PLAYER = 200;
/** Bags a player keeps that belong to no plan. */
export const MAX_BAGS_A_PLAYER = 1500;
/** Two a week for fifty years. */
export const MAX_PLANS_A_PLAYER = 5000;
export const MAX_PLAYERS = 5000;
export const MAX_COMMANDS = 2000;
export const MAX_READINGS = 200;
export const MAX_SWAPS = 40;

const version = yup.number().strict().integer().min(1).required('${path} is missing');
const required = <S extends yup.Schema>(schema: S) => schema.required('${path} is missing');
const ids = (max: number) => yup.array(required(idSchema)).max(max);
const readings = yup
  .array(readingSchema.required())
  .max(MAX_READINGS, `\${path} holds more than ${MAX_READINGS} readings`);

const planDetails = {
  name: nameSchema,
  course: textSchema(200),
  startsOn: dateSchema,
  endsOn: dateSchema,
  ground: textSchema(500),
  weather: textSchema(500),
};
const datesInOrder = <T extends { startsOn?: string | undefined; endsOn?: string | undefined }>(
  plan: T | undefined,
) => !plan?.startsOn || !plan.endsOn || plan.startsOn <= plan.endsOn;

const shape = <T extends yup.ObjectShape>(fields: T) =>
  yup.object(fields).strict().noUnknown('${path} has an unknown field: ${unknown}');

/** The same fields with none left out; a null stands where one may be. */
const everyPart = <T extends Record<string, yup.Schema>>(fields: T) =>
  Object.fromEntries(
    Object.entries(fields).map(([key, schema]) => [key, schema.defined('${path} is missing')]),
  ) as T;

const COMMAND_SCHEMAS: Record<CommandName, yup.ObjectSchema<object>> = {
  addPlayer: shape({
    player: required(
      shape({
        id: required(idSchema),
        name: required(nameSchema),
        hand: required(handSchema),
        distanceUnit: required(distanceUnitSchema),
        notes: textSchema(4000),
      }),
    ),
  }),
  editPlayer: shape({
    playerId: required(idSchema),
    version,
    set: required(
      shape({
        name: nameSchema,
        hand: handSchema,
        distanceUnit: distanceUnitSchema,
        notes: textSchema(4000),
        handicap: handicapSchema.nullable(),
        gapSettings: gapSettingsSchema.default(undefined),
        baseline: keptConditionsSchema.nullable().default(undefined),
        archived: yup.boolean().strict(),
      }),
    ),
  }),
  addClub: shape({
    club: required(
      shape({
        id: required(idSchema),
        playerId: required(idSchema),
        name: required(nameSchema),
        kind: required(clubKindSchema),
      }),
    ),
    readings: required(readings),
  }),
  editClub: shape({
    clubId: required(idSchema),
    version,
    set: shape({ name: nameSchema, kind: clubKindSchema }).default(undefined),
    readings,
  }),
  removeClub: shape({ clubId: required(idSchema), version }),
  addBag: shape({
    bag: required(
      shape({ id: required(idSchema), playerId: required(idSchema), name: required(nameSchema) }),
    ),
    clubIds: ids(MAX_CLUBS_A_PLAYER).defined(),
  }),
  editBag: shape({
    bagId: required(idSchema),
    version,
    set: required(shape({ name: nameSchema, note: textSchema(2000), ready: yup.boolean().strict() })),
  }),
  removeBag: shape({ bagId: required(idSchema), version }),
  putIn: shape({ bagId: required(idSchema), clubId: required(idSchema) }),
  takeOut: shape({ bagId: required(idSchema), clubId: required(idSchema) }),
  makeGamer: shape({ bagId: required(idSchema) }),
  addPlan: shape({
    plan: required(
      shape({
        id: required(idSchema),
        bagId: required(idSchema),
        playerId: required(idSchema),
        name: required(planDetails.name),
        course: planDetails.course.defined(),
        startsOn: required(planDetails.startsOn),
        endsOn: required(planDetails.endsOn),
        ground: planDetails.ground.defined(),
        weather: planDetails.weather.defined(),
        eventId: idSchema,
      }).test('dates', '${path}: the week ends before it starts', datesInOrder),
    ),
  }),
  editPlan: shape({
    planId: required(idSchema),
    version,
    set: required(
      shape({ ...planDetails, choosing: planChoosingSchema.nullable().default(undefined) }).test(
        'dates',
        '${path}: the week ends before it starts',
        datesInOrder,
      ),
    ),
  }),
  setSwaps: shape({
    planId: required(idSchema),
    version,
    swaps: swapsSchema.max(MAX_SWAPS).defined('${path} is missing'),
  }),
  removePlan: shape({ planId: required(idSchema), version }),
  editRound: shape({
    planId: required(idSchema),
    version,
    roundId: required(idSchema),
    set: required(shape(planRoundSet)),
  }),
  setRoundBag: shape({
    planId: required(idSchema),
    version,
    roundId: required(idSchema),
    bagId: required(idSchema),
    ...roundBagSchema,
  }),
  addCourse: shape({ course: required(shape({ id: required(idSchema), ...everyPart(courseDetails) })) }),
  editCourse: shape({ courseId: required(idSchema), version, set: required(shape(courseDetails)) }),
  removeCourse: shape({ courseId: required(idSchema), version }),
  addSeason: shape({ season: required(shape({ id: required(idSchema), ...everyPart(seasonDetails) })) }),
  editSeason: shape({
    seasonId: required(idSchema),
    version,
    set: required(shape({ ...seasonDetails, ground: seasonDetails.ground.default(undefined) })),
  }),
  removeSeason: shape({ seasonId: required(idSchema), version }),
  addEvent: shape({ event: required(shape({ id: required(idSchema), ...everyPart(eventDetails) })) }),
  editEvent: shape({
    eventId: required(idSchema),
    version,
    set: required(shape({ ...eventDetails, limits: eventDetails.limits.default(undefined) })),
  }),
  editEventRound: shape({
    eventId: required(idSchema),
    version,
    roundId: required(idSchema),
    set: required(shape(eventRoundSet)),
  }),
  removeEvent: shape({ eventId: required(idSchema), version }),
  addSession: shape({
    session: required(
      shape({
        id: required(idSchema),
        playerId: required(idSchema),
        name: required(sessionDetails.name),
        heldOn: required(sessionDetails.heldOn),
        conditions: required(sessionDetails.conditions),
        surface: required(sessionDetails.surface),
        hitOff: required(sessionDetails.hitOff),
        ball: sessionDetails.ball.defined(),
        notes: sessionDetails.notes.defined(),
      }),
    ),
  }),
  editSession: shape({
    sessionId: required(idSchema),
    version,
    set: required(
      shape({
        ...sessionDetails,
        conditions: sessionDetails.conditions.default(undefined),
        surface: sessionDetails.surface.default(undefined),
        live: yup.boolean().strict(),
        aim: aimSchema.nullable().default(undefined),
      }),
    ),
  }),
  removeSession: shape({ sessionId: required(idSchema), version }),
  addStrikes: shape({
    sessionId: required(idSchema),
    strikes: yup
      .array(
        required(
          shape({
            id: required(idSchema),
            clubId: required(idSchema),
            shot: required(shotKindSchema),
            given: required(strikeSchema),
          }),
        ),
      )
      .min(1, '${path} is empty')
      .max(MAX_STRIKES_A_CHANGE, `\${path} holds more than ${MAX_STRIKES_A_CHANGE} shots`)
      .required('${path} is missing'),
  }),
  editStrikes: shape({
    sessionId: required(idSchema),
    strikeIds: ids(MAX_STRIKES_A_CHANGE).min(1, '${path} is empty').required('${path} is missing'),
    set: required(shape({ leftOut: leftOutSchema.nullable(), clubId: idSchema, shot: shotKindSchema })),
  }),
};

const commandSchema = yup.lazy((command: unknown) => {
  const name = (command as { do?: unknown } | null)?.do;
  const schema =
    typeof name === 'string' && Object.hasOwn(COMMAND_SCHEMAS, name)
      ? COMMAND_SCHEMAS[name as CommandName]
      : undefined;
  return schema
    ? schema.shape({ do: yup.string().strict().required() })
    : yup.mixed().test('do', '${path}.do is not something that can be done', () => false);
});

export const changeRequestSchema = wholeDocument(
  shape({
    id: required(idSchema),
    why: textSchema(500),
    commands: yup
      .array(commandSchema as unknown as yup.Schema)
      .min(1, '${path} is empty')
      .max(MAX_COMMANDS, `\${path} holds more than ${MAX_COMMANDS} commands`)
      .required('${path} is missing'),
  }),
);

/**
 * The change request in `body`, checked.
 * @throws yup.ValidationError naming every bad field
 */
export function parseChangeRequest(body: unknown): ChangeRequest {
  return changeRequestSchema.validateSync(body, {
    abortEarly: false,
    strict: true,
  }) as unknown as ChangeRequest;
}
