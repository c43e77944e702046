import { ROLE_WORDS, mayUndoOthers, type ChangeResult } from '@tasche/contract';
import { LockMode, type MikroORM } from '@mikro-orm/postgresql';
import { ReadingRow, type Club } from '../clubs/club.js';
import { removeClub } from '../clubs/commands.js';
import { conflict, forbidden, notFound } from '../http/http-error.js';
import type { Scope } from '../people/scope.js';
import { StrikeRow, lockMarks } from '../strikes/strike-rows.js';
import { inWorkspace } from '../workspaces/in-workspace.js';
import { finish, resultOf, touchedBy } from './apply-change.js';
import { Change, rowDiffsOf } from './change.js';
import { revertedValue } from './reverted-value.js';
import { lockFirst, rowsOfDiffs } from './lock-players.js';
import { ChangeRecorder, plain, type RowDiff } from './change-recorder.js';

/**
 * Takes a change back, as a change of its own; undoing that one is redo. What others did since stays:
 * where it stands in the way, the undo is refused and says so.
 * @param id of the change that undoes; sending it twice undoes once
 * @throws HttpError 404 or 409
 */
export async function undoChange(
  orm: MikroORM,
  scope: Scope,
  changeId: string,
  id: string,
): Promise<ChangeResult> {
  return inWorkspace(orm, scope, async (em) => {
    const found = await em.findOne(Change, { id: changeId });
    if (!found) throw notFound('change');
    if (!mayUndoOthers(scope.role) && found.personId !== scope.personId)
      throw forbidden(
        `${ROLE_WORDS[scope.role].name}: can undo only their own changes. This was done by ${found.who}.`,
      );
    await lockFirst(em, scope.workspaceId, rowsOfDiffs(rowDiffsOf(found)));
    const change = (await em.findOne(
      Change,
      { id: changeId },
      { lockMode: LockMode.PESSIMISTIC_WRITE, refresh: true },
    ))!;
    if (change.undoneById === id) {
      const undoing = await em.findOneOrFail(Change, { id });
      return resultOf(em, undoing, await touchedBy(em, undoing));
    }
    if (change.undoneById) throw conflict(`"${change.summary}" is undone already.`);
    const recorder = new ChangeRecorder(em, scope.workspaceId);
    for (const image of [...rowDiffsOf(change)].reverse()) await revert(recorder, image, change);
    change.undoneById = id;
    if (change.undoesId) {
      const first = await em.findOneOrFail(Change, { id: change.undoesId });
      first.undoneById = null;
    }
    const summary = change.undoesId
      ? change.summary.replace(/^Undone: /, 'Redone: ')
      : `Undone: ${change.summary.replace(/^Redone: /, '')}`;
    return finish(recorder, {
      id,
      who: scope.who,
      personId: scope.personId,
      why: '',
      summary,
      playerId: change.playerId ?? null,
      undoesId: change.id,
      report: null,
    });
  });
}

async function revert(recorder: ChangeRecorder, image: RowDiff, change: Change): Promise<void> {
  switch (image.of) {
    case 'readings':
      return revertReadings(recorder, image);
    case 'bagClubs':
      return revertBagClubs(recorder, image, change);
    case 'strikes':
      return revertStrikes(recorder, image);
    case 'strikeMarks':
      return revertStrikeMarks(recorder, image, change);
    default:
      return revertRow(recorder, image, change);
  }
}

async function revertReadings(
  recorder: ChangeRecorder,
  { id, withdrawn }: Extract<RowDiff, { of: 'readings' }>,
): Promise<void> {
  const rows = await recorder.em.find(ReadingRow, { changeId: id }, { fields: ['clubId'] });
  await recorder.em.execute('update reading set removed_at = ? where change_id = ?', [
    withdrawn ? null : new Date(),
    id,
  ]);
  for (const clubId of new Set(rows.map((row) => row.clubId))) {
    const club = await recorder.load('club', clubId);
    if (!club) continue;
    recorder.reread.add(clubId);
    recorder.bump('club', club);
  }
  recorder.rowDiffs.push({
    of: 'readings',
    id,
    withdrawn: !withdrawn,
    clubIds: [...new Set(rows.map((row) => row.clubId))],
  });
}

async function revertBagClubs(
  recorder: ChangeRecorder,
  image: Extract<RowDiff, { of: 'bagClubs' }>,
  change: Change,
): Promise<void> {
  const bag = await recorder.load('bag', image.id);
  if (!bag) throw notFound('bag');
  const standing = await recorder.clubIdsOf(bag);
  const added = image.after.filter((id) => !image.before.includes(id));
  const removed = image.before.filter((id) => !image.after.includes(id));
  if (added.some((id) => !standing.includes(id)) || removed.some((id) => standing.includes(id))) {
    throw conflict(
      `"${change.summary}" can't be undone: ${bag.name} was changed since. Undo the later change first.`,
    );
  }
  for (const id of removed) {
    const club = await recorder.load('club', id);
    if (!club || club.removedAt)
      throw conflict(`"${change.summary}" can't be undone: a club it took out was deleted since.`);
  }
  const untouchedSince =
    image.after.length === standing.length && image.after.every((id, i) => id === standing[i]);
  await recorder.setBagClubs(
    bag,
    untouchedSince ? image.before : [...standing.filter((id) => !added.includes(id)), ...removed],
  );
}

async function revertStrikes(
  recorder: ChangeRecorder,
  { id, changeId, withdrawn }: Extract<RowDiff, { of: 'strikes' }>,
): Promise<void> {
  const session = await recorder.load('session', id);
  if (!session) throw notFound('session');
  await recorder.em.nativeUpdate(
    StrikeRow,
    { changeId, sessionId: id },
    { removedAt: withdrawn ? null : new Date() },
  );
  recorder.bump('session', session);
  recorder.rowDiffs.push({ of: 'strikes', id, changeId, withdrawn: !withdrawn });
}

async function revertStrikeMarks(
  recorder: ChangeRecorder,
  image: Extract<RowDiff, { of: 'strikeMarks' }>,
  change: Change,
): Promise<void> {
  const session = await recorder.load('session', image.id);
  if (!session) throw notFound('session');
  const standing = await lockMarks(
    recorder.em,
    session.id,
    image.after.map(({ id }) => id),
    'all',
  );
  const untouched = image.after.every((mark) =>
    standing.some(
      (one) =>
        one.id === mark.id &&
        one.clubId === mark.clubId &&
        one.shot === mark.shot &&
        one.leftOut === mark.leftOut,
    ),
  );
  if (!untouched)
    throw conflict(
      `"${change.summary}" can't be undone: the shots were changed since. Undo the later change first.`,
    );
  await recorder.setStrikes(session, image.after, image.before);
}

async function revertRow(
  recorder: ChangeRecorder,
  image: Exclude<RowDiff, { of: 'readings' | 'bagClubs' | 'strikes' | 'strikeMarks' }>,
  change: Change,
): Promise<void> {
  const row = await recorder.load(image.of, image.id);
  if (!row) throw notFound(image.of);
  if (image.before === null) {
    if (row.removedAt) return;
    if (image.of === 'club') return removeClub(recorder, row as Club);
    recorder.edit(image.of, row as never, { removedAt: new Date() });
    return;
  }
  const values = row as unknown as Record<string, unknown>;
  const before = Object.fromEntries(
    Object.entries(image.before).map(([field, value]) => {
      if (field === 'removedAt') return [field, value === null ? null : new Date(value as string)];
      const back = revertedValue(image.of, field, value, image.after[field], plain(values[field]));
      if (back) return [field, back.value];
      throw conflict(
        `"${change.summary}" can't be undone: ${row.name} was changed since. Undo the later change first.`,
        [
          {
            id: row.id,
            name: row.name,
            field,
            yours: value,
            theirs: plain(values[field]),
            version: row.version,
          },
        ],
      );
    }),
  );
  recorder.edit(image.of, row as never, before);
  // One gamer at a time: the row that gives it up is written before the row that takes it back.
  if (image.of === 'bag' && 'gamer' in before) await recorder.em.flush();
}
