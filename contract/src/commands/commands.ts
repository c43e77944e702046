import * as yup from '../yup.js';
import { idSchema, required, shape, textSchema, wholeDocument } from '../schemas.js';
import { addPlayer } from './player/add-player.js';
import { editPlayer } from './player/edit-player.js';
import { addClub } from './club/add-club.js';
import { editClub } from './club/edit-club.js';
import { removeClub } from './club/remove-club.js';
import { addBag } from './bag/add-bag.js';
import { editBag } from './bag/edit-bag.js';
import { makeGamer } from './bag/make-gamer.js';
import { putIn } from './bag/put-in.js';
import { removeBag } from './bag/remove-bag.js';
import { takeOut } from './bag/take-out.js';
import { addPlan } from './plan/add-plan.js';
import { editPlan } from './plan/edit-plan.js';
import { editRound } from './plan/edit-round.js';
import { removePlan } from './plan/remove-plan.js';
import { setRoundBag } from './plan/set-round-bag.js';
import { rebasePlan } from './plan/rebase-plan.js';
import { setSwaps } from './plan/set-swaps.js';
import { addCourse } from './course/add-course.js';
import { editCourse } from './course/edit-course.js';
import { removeCourse } from './course/remove-course.js';
import { addSeason } from './season/add-season.js';
import { editSeason } from './season/edit-season.js';
import { removeSeason } from './season/remove-season.js';
import { addEvent } from './event/add-event.js';
import { editEvent } from './event/edit-event.js';
import { editEventRound } from './event/edit-event-round.js';
import { removeEvent } from './event/remove-event.js';
import { addSession } from './session/add-session.js';
import { addStrikes } from './session/add-strikes.js';
import { editSession } from './session/edit-session.js';
import { editStrikes } from './session/edit-strikes.js';
import { removeSession } from './session/remove-session.js';
import { addTicket } from './ticket/add-ticket.js';
import { editTicket } from './ticket/edit-ticket.js';
import { finishTicket } from './ticket/finish-ticket.js';
import { removeTicket } from './ticket/remove-ticket.js';
import { addWish } from './wish/add-wish.js';
import { editWish } from './wish/edit-wish.js';
import { removeWish } from './wish/remove-wish.js';
import { addRoundPlayed } from './round-played/add-round-played.js';
import { editRoundPlayed } from './round-played/edit-round-played.js';
import { removeRoundPlayed } from './round-played/remove-round-played.js';
import type { Checked, CommandDefinition, NameOf, Subject, Views } from './define-command.js';
import type { DistanceUnit } from '@tasche/core';

/** Everything that can be done to the data. Whatever else knows of commands is derived from this list. */
export const COMMANDS = {
  addPlayer,
  editPlayer,
  addClub,
  editClub,
  removeClub,
  addBag,
  editBag,
  removeBag,
  putIn,
  takeOut,
  makeGamer,
  addPlan,
  editPlan,
  setSwaps,
  rebasePlan,
  removePlan,
  editRound,
  setRoundBag,
  addCourse,
  editCourse,
  removeCourse,
  addSeason,
  editSeason,
  removeSeason,
  addEvent,
  editEvent,
  editEventRound,
  removeEvent,
  addSession,
  editSession,
  removeSession,
  addStrikes,
  editStrikes,
  addTicket,
  editTicket,
  finishTicket,
  removeTicket,
  addWish,
  editWish,
  removeWish,
  addRoundPlayed,
  editRoundPlayed,
  removeRoundPlayed,
};

export type CommandName = keyof typeof COMMANDS;

/** A command of that name as it is sent: what to do, and its fields. */
export type CommandOf<N extends CommandName> = { readonly do: N } & Checked<
  yup.InferType<(typeof COMMANDS)[N]['schema']>
>;

export type Command = { [N in CommandName]: CommandOf<N> }[CommandName];

/**
 * What is asked of the server: one or more commands. They happen whole or not at all, carry who, when and
 * why, and can be undone. The id is made by the sender, so that sending twice does it once.
 */
export interface ChangeRequest {
  id: string;
  why?: string;
  commands: readonly Command[];
}

const MAX_COMMANDS = 2000;

/** A command's definition, as code that works with any of them sees it. */
type AnyDefinition = CommandDefinition<string, keyof Views> & {
  subject: (command: Command) => Subject;
  words: (command: Command, nameOf: NameOf, unit: DistanceUnit) => string;
  apply: (view: Views[keyof Views], command: Command) => Views[keyof Views];
};

function definitionOf(name: CommandName): AnyDefinition {
  return COMMANDS[name] as unknown as AnyDefinition;
}

/** The view a command of that name changes. */
export function viewOf(name: CommandName): keyof Views {
  return definitionOf(name).view;
}

/** The row a command is about. */
export function subjectOf(command: Command): Subject {
  return definitionOf(command.do).subject(command);
}

/** What a command asks for, in words, for when it was refused. */
export function commandWords(command: Command, nameOf: NameOf, unit: DistanceUnit): string {
  return definitionOf(command.do).words(command, nameOf, unit);
}

/**
 * A view as it will be when the server has done these commands; those that are not about it are passed over.
 * Commands that it shows already change nothing, so what is still waiting can be laid over a fresh answer.
 */
export function withCommands<V extends keyof Views>(
  name: V,
  view: Views[V],
  commands: readonly Command[],
): Views[V] {
  return commands.reduce((standing, command) => {
    const definition = definitionOf(command.do);
    return definition.view === name ? (definition.apply(standing, command) as Views[V]) : standing;
  }, view);
}

const commandSchema = yup.lazy((command: unknown) => {
  const name = (command as { do?: unknown } | null)?.do;
  return typeof name === 'string' && Object.hasOwn(COMMANDS, name)
    ? definitionOf(name as CommandName).schema.shape({ do: yup.string().strict().required() })
    : yup.mixed().test('do', '${path}.do is not something that can be done', () => false);
});

const changeRequestSchema = wholeDocument(
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
 * A change request as it is described to those who write one: a command is any of the schemas of `COMMANDS`.
 */
export const changeRequestDocument = shape({
  id: required(idSchema),
  why: textSchema(500),
  commands: yup.array(yup.object()).min(1).max(MAX_COMMANDS).required(),
});

/**
 * The change request in `body`, checked.
 * @throws yup.ValidationError naming every bad field
 */
export function parseChangeRequest(body: unknown): ChangeRequest {
  return changeRequestSchema.validateSync(body, { abortEarly: false, strict: true }) as ChangeRequest;
}
