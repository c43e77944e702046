import {
  TableError,
  checkJsonLimits,
  fieldProblems,
  lineOfRow,
  parseLockerDocument,
  planImport,
  readClubText,
  type ChangeResult,
  type Command,
  type ImportPlan,
  type LockerDocument,
  type SheetView,
  withRenamedFields,
} from '@tasche/contract';
import { sameValue } from '@tasche/core';
import type { MikroORM } from '@mikro-orm/postgresql';
import { v4 as newId } from 'uuid';
import * as yup from 'yup';
import { applyChange, resultOf, touchedBy } from '../changes/apply-change.js';
import { doneBefore } from '../changes/done-before.js';
import { badInput, ruleBroken } from '../http/http-error.js';
import type { Scope } from '../people/scope.js';
import { inWorkspace } from '../workspaces/in-workspace.js';
import { readSheet } from './read-sheet.js';

interface ImportRequest {
  playerId: string;
  format: 'csv' | 'json';
  text: string;
  /** 'none' shows what would happen; 'all' does it unless a row is bad; 'good' leaves the bad rows out. */
  take: 'none' | 'good' | 'all';
  /** Id of the change it becomes. */
  changeId: string;
  takenOn: string;
}

interface ImportAnswer {
  plan: ImportPlan;
  result: ChangeResult | null;
}

/**
 * Reads a file, says what it would change, and changes it when told to; the whole import is one change.
 * @throws HttpError when the file cannot be read, or has bad rows and only all of it would do
 */
export async function importSheet(
  orm: MikroORM,
  scope: Scope,
  request: ImportRequest,
): Promise<ImportAnswer> {
  const answered = request.take === 'none' ? null : await answeredBefore(orm, scope, request.changeId);
  if (answered) return answered;
  const sheet = await readSheet(orm, scope, request.playerId, null);
  const { plan, extra } =
    request.format === 'csv' ? planCsv(request, sheet) : await planJson(orm, scope, request, sheet);
  if (request.take === 'none') return { plan, result: null };
  if (plan.rejected.length > 0 && request.take === 'all') {
    const [first] = plan.rejected;
    throw badInput(
      `${plan.rejected.length} cell${plan.rejected.length === 1 ? '' : 's'} can't be read; nothing was imported. First: row ${lineOfRow(plan, first!.row)}, ${first!.head}: ${first!.reason}.`,
      plan.rejected.map((cell) => ({
        field: `row ${lineOfRow(plan, cell.row)}, ${cell.head}`,
        message: cell.reason,
      })),
    );
  }
  const commands = [...commandsOf(plan, request), ...extra];
  if (commands.length === 0) return { plan, result: null };
  const result = await applyChange(
    orm,
    scope,
    { id: request.changeId, why: `import of ${request.format.toUpperCase()}`, commands },
    plan,
  );
  return { plan, result };
}

/** What an import answered when it was first sent. */
async function answeredBefore(orm: MikroORM, scope: Scope, changeId: string): Promise<ImportAnswer | null> {
  return inWorkspace(orm, scope, async (em) => {
    const done = await doneBefore(em, changeId);
    return done?.report
      ? {
          plan: done.report as unknown as ImportPlan,
          result: await resultOf(em, done, await touchedBy(em, done)),
        }
      : null;
  });
}

function planCsv({ text, takenOn }: ImportRequest, sheet: SheetView): { plan: ImportPlan; extra: Command[] } {
  try {
    const { name, distanceUnit } = sheet.player;
    const table = readClubText(text, { distanceUnit, takenOn }, name);
    const plan = planImport(table, sheet.clubs);
    const rejected = plan.rejected.map((cell) =>
      cell.asks === 'kind' ? { ...cell, reason: `${cell.reason} Add a column "kind"` } : cell,
    );
    return { plan: { ...plan, rejected }, extra: [] };
  } catch (error) {
    if (error instanceof TableError)
      throw badInput(error.message, [{ field: 'file', message: error.message }]);
    throw error;
  }
}

/** Good rows of a plan: a rejected cell leaves its whole row out, so that no club comes in half. */
function commandsOf(plan: ImportPlan, { playerId }: ImportRequest): Command[] {
  const badRows = new Set(plan.rejected.map((cell) => cell.row));
  return [
    ...plan.adds
      .filter((add) => !badRows.has(add.row))
      .map(({ id, name, kind, readings }: ImportPlan['adds'][number] & { id?: string }): Command => ({
        do: 'addClub',
        club: { id: id ?? newId(), playerId, name, kind },
        readings,
      })),
    ...plan.edits
      .filter((edit) => !badRows.has(edit.row))
      .map(({ club, readings }): Command => ({
        do: 'editClub',
        clubId: club.id,
        version: club.version,
        readings: readings.map(({ key, value, takenOn }) => ({ key, value, takenOn })),
      })),
  ];
}

/**
 * A locker document brings histories: readings already known are left alone, whole clubs and bags that are
 * missing are added.
 */
async function planJson(
  orm: MikroORM,
  scope: Scope,
  request: ImportRequest,
  sheet: SheetView,
): Promise<{ plan: ImportPlan; extra: Command[] }> {
  const document = readDocument(request.text);
  const known = await inWorkspace(orm, scope, (em) =>
    em.execute<{ clubId: string; key: string; value: never; takenOn: string }[]>(
      `select club_id as "clubId", key, value, taken_on::text as "takenOn" from reading
     where removed_at is null and club_id in (select id from club where player_id = ? and removed_at is null)`,
      [request.playerId],
    ),
  );
  const knownReadings = new Map<string, unknown[]>();
  for (const { clubId, key, takenOn, value } of known) {
    const place = `${clubId} ${key} ${takenOn}`;
    const values = knownReadings.get(place);
    if (values) values.push(value);
    else knownReadings.set(place, [value]);
  }
  const adds: (ImportPlan['adds'][number] & { id: string })[] = [];
  const edits: ImportPlan['edits'][number][] = [];
  const same: ImportPlan['same'][number][] = [];
  const idHere = new Map<string, string>();
  document.clubs.forEach((club, row) => {
    const here = sheet.clubs.find((one) => one.id === club.id);
    idHere.set(club.id, here?.id ?? newId());
    if (!here) {
      adds.push({ row, id: idHere.get(club.id)!, name: club.name, kind: club.kind, readings: club.readings });
      return;
    }
    const readings = club.readings
      .filter(
        ({ key, value, takenOn }) =>
          !knownReadings.get(`${here.id} ${key} ${takenOn}`)?.some((one) => sameValue(one as never, value)),
      )
      .map((reading) => ({ ...reading, before: here.spec[reading.key]?.value ?? null }));
    if (readings.length > 0) edits.push({ row, club: here, readings });
    else same.push({ row, club: here });
  });
  return {
    plan: { adds, edits, same, rejected: [], unknownColumns: [], firstLine: 1 },
    extra: bagsOf(document, sheet, idHere, request.playerId),
  };
}

function bagsOf(
  document: LockerDocument,
  sheet: SheetView,
  idHere: ReadonlyMap<string, string>,
  playerId: string,
): Command[] {
  return document.bags
    .filter((bag) => !sheet.bags.some((one) => one.name === bag.name))
    .map((bag): Command => ({
      do: 'addBag',
      bag: { id: newId(), playerId, name: bag.name, ...(bag.strategy && { strategy: bag.strategy }) },
      clubIds: bag.clubIds.map((id) => {
        const here = idHere.get(id);
        if (!here) throw ruleBroken(`Bag "${bag.name}" names a club the document does not hold: ${id}.`);
        return here;
      }),
    }));
}

function readDocument(text: string): LockerDocument {
  let body: unknown;
  try {
    body = withRenamedFields(JSON.parse(text));
  } catch {
    throw badInput('The file is not JSON.', [{ field: 'file', message: 'not JSON' }]);
  }
  checkJsonLimits(body);
  try {
    return parseLockerDocument(body);
  } catch (error) {
    if (!(error instanceof yup.ValidationError)) throw error;
    const fields = fieldProblems(error);
    throw badInput(fields[0]?.message ?? 'The file is not a locker document.', fields);
  }
}
