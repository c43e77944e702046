import { hash } from 'node:crypto';
import { setImmediate } from 'node:timers/promises';
import {
  MAX_FILE_ROWS,
  headsKey,
  labelKey,
  parseStrikeFileSpec,
  strikeRowReader,
  type ClubMatch,
  type StrikeFileSpec,
  type StrikeImportReport,
  type StrikeRow,
} from '@tasche/contract';
import { STRIKE_PARTS, type StrikePart } from '@tasche/core';
import type { EntityManager, MikroORM } from '@mikro-orm/postgresql';
import { finish } from '../changes/apply-change.js';
import { doneBefore } from '../changes/done-before.js';
import { latestDay } from '../changes/latest-day.js';
import { ChangeRecorder } from '../changes/change-recorder.js';
import { Club } from '../clubs/club.js';
import { badInput, notFound } from '../http/http-error.js';
import { stopIfHungUp } from '../http/route-context.js';
import type { Scope } from '../people/scope.js';
import { inWorkspace } from '../workspaces/in-workspace.js';
import { fileRows, splitOrder } from './file-rows.js';
import { ImportTally } from './import-tally.js';
import { ImportedSessions } from './imported-sessions.js';
import type { ReceivedFile } from './received-file.js';
import { knownKeys } from './insert-strikes.js';

interface StrikeImportRequest {
  playerId: string;
  /** 'none' only looks; 'good' takes the good rows. */
  take: 'none' | 'good';
  /** Id of the change it becomes. */
  changeId: string;
  /** The order as one line of JSON, then the file; read once for each try of the transaction. */
  received: Pick<ReceivedFile, 'read'>;
  /** Aborted when the sender disconnects: nothing is imported then. */
  signal?: AbortSignal;
}

/** Empty lines and all. */
const MAX_LINES = 2 * MAX_FILE_ROWS;
/** Rows sent to the database at once. */
const BATCH = 2000;
/**
 * Rows read without letting the sockets have a turn: the batch on its way to the database moves on only
 * then.
 */
const ROWS_A_TURN = 500;
/** A row that says this much of a ball, or when it was hit, is that ball and no other. */
const MIN_IDENTIFYING_PARTS = 4;

/**
 * Takes in a launch monitor's file: one transaction, one change, a session for each day. Sent again under
 * the same id, it is
 * answered with the first report.
 * @throws HttpError, yup.ValidationError
 */
export async function importStrikes(
  orm: MikroORM,
  scope: Scope,
  { playerId, take, changeId, received, signal }: StrikeImportRequest,
): Promise<StrikeImportReport> {
  const { order: sent, file: unread } = await splitOrder(received.read());
  await unread[Symbol.asyncIterator]().return?.();
  const order = parseStrikeFileSpec(sent);
  return inWorkspace(orm, scope, async (em) => {
    const { file } = await splitOrder(received.read());
    await em.execute('select pg_advisory_xact_lock(hashtextextended(?, 4))', [playerId]);
    const done = await doneBefore(em, changeId);
    if (done) {
      if (done.report) return done.report as unknown as StrikeImportReport;
      throw badInput('That id belongs to another change.', [{ field: 'changeId', message: 'used already' }]);
    }
    const recorder = new ChangeRecorder(em, scope.workspaceId);
    const player = await recorder.load('player', playerId);
    if (!player) throw notFound('player');
    const clubs = await em.find(Club, { playerId, removedAt: null }, { limit: 500 });
    for (const match of Object.values(order.clubs))
      if (match && !clubs.some((club) => club.id === match.clubId)) throw notFound('club');
    const count = new ImportTally(clubs, order);
    const known = await knownKeys(em, playerId);
    const keeper = new ImportedSessions(recorder, playerId, order);
    const read = strikeRowReader(order.mapping, order.heads);
    const lastDay = await latestDay(em);
    const occurrences = new Map<string, number>();
    const keyOfLabel = remembered(labelKey);
    const linesAbove = order.skipLines + (order.hasHeads === false ? 0 : 1) + order.mapping.unitRows;
    let line = 0;
    let waiting: { row: StrikeRow; match: NonNullable<ClubMatch>; day: string; key: string }[] = [];
    // The database writes one batch while the next is read.
    let writing = Promise.resolve();
    const send = async () => {
      const fresh = waiting.filter(({ key }) => !known.has(key) && known.add(key));
      count.kept(waiting.length, fresh.length);
      waiting = [];
      // Made ready while the last batch is still being written.
      const ready = take === 'good' ? keeper.ready(fresh) : undefined;
      await writing;
      if (ready) writing = keeper.keep(ready);
      // The failure is reported where the promise is awaited; until then it is ignored.
      writing.catch(() => undefined);
    };
    const takeRows = async (rows: readonly string[][]) => {
      for (const cells of rows) {
        line += 1;
        if (line > MAX_LINES)
          throw badInput(
            `The file has more than ${MAX_LINES.toLocaleString('en')} lines; nothing was imported.`,
            [{ field: 'file', message: 'too many lines' }],
          );
        if (line % ROWS_A_TURN === 0) {
          await setImmediate();
          if (signal) stopIfHungUp(signal);
        }
        if (cells.every((cell) => cell.trim() === '')) continue;
        if (line <= linesAbove) {
          // The club of the first rows may stand above the heads.
          if (order.mapping.clubLines) read(cells);
          continue;
        }
        const answer = read(cells);
        if (!answer) continue;
        count.rows += 1;
        if (count.rows > MAX_FILE_ROWS)
          throw badInput(
            `The file has more than ${MAX_FILE_ROWS.toLocaleString('en')} rows; nothing was imported. Split it.`,
            [{ field: 'file', message: 'too many rows' }],
          );
        const player = answer.ok ? answer.row.player : answer.player;
        if (player !== undefined && !count.isAsked(player)) continue;
        if (!answer.ok) {
          count.refuse(line, answer.refusal);
          continue;
        }
        const { row } = answer;
        const day = row.day ?? order.session.heldOn;
        if (day > lastDay) {
          count.refuse(line, { column: 'date', text: day, reason: 'is in the future' });
          continue;
        }
        const label = keyOfLabel(row.club);
        const match = count.matchOf(row.club, label, row.given.carryM);
        if (!match) continue;
        count.on(day);
        waiting.push({ row, match, day, key: keyOf(row, label, day, occurrences) });
        if (waiting.length >= BATCH) await send();
      }
    };
    try {
      for await (const rows of fileRows(file, order.encoding, order.delimiter)) await takeRows(rows);
      await send();
    } finally {
      // The connection is not given back while a batch is on its way.
      await writing.catch(() => undefined);
    }
    await writing;
    if (take === 'none' || count.taken === 0) return count.report(null);
    count.mustBeOfOnePlayer();
    await rememberMapping(em, scope.workspaceId, order);
    if (signal) stopIfHungUp(signal);
    const days = count.days.size;
    const report = count.report(changeId);
    await finish(recorder, {
      id: changeId,
      who: scope.who,
      personId: scope.personId,
      why: '',
      playerId,
      undoesId: null,
      report,
      summary: `${count.taken.toLocaleString('en')} shots on ${days} ${days === 1 ? 'day' : 'days'} from ${order.source}`,
    });
    return report;
  });
}

/** The angle of attack is read since later: a ball that was brought in before is still known by the rest. */
const IDENTIFYING_PARTS: readonly StrikePart[] = STRIKE_PARTS.filter((part) => part !== 'attackDeg');

/**
 * What tells a ball of a file from every other. Where too little is said of it, it is the second of its
 * kind, the third.
 */
function keyOf(
  { time, given }: StrikeRow,
  label: string,
  day: string,
  occurrences: Map<string, number>,
): string {
  let text = `${label}|${day}|${time ?? ''}`;
  let partsGiven = 0;
  for (const part of IDENTIFYING_PARTS) {
    const value = given[part];
    text += value === undefined ? '|' : `|${value}`;
    if (value !== undefined) partsGiven += 1;
  }
  if (time === undefined && partsGiven < MIN_IDENTIFYING_PARTS) {
    const nth = (occurrences.get(text) ?? 0) + 1;
    occurrences.set(text, nth);
    text += `#${nth}`;
  }
  // 96 bits of it: two balls in a million million million are taken for one.
  return `file:${hash('sha1', text, 'base64url').slice(0, 16)}`;
}

/** A function of few different texts, asked over and over. */
function remembered(of: (text: string) => string): (text: string) => string {
  const known = new Map<string, string>();
  return (text) => {
    let answer = known.get(text);
    if (answer === undefined) known.set(text, (answer = of(text)));
    return answer;
  };
}

/**
 * The next file of this source is read like this one; in SQL, for clubs known before are joined by those of
 * now.
 */
async function rememberMapping(
  em: EntityManager,
  workspaceId: string,
  { heads, mapping, clubs }: StrikeFileSpec,
): Promise<void> {
  await em.execute(
    `insert into file_mapping (workspace_id, heads_key, mapping, clubs) values (?, ?, ?::jsonb, ?::jsonb)
     on conflict (workspace_id, heads_key) do update set mapping = excluded.mapping, clubs = file_mapping.clubs || excluded.clubs, used_at = now()`,
    [workspaceId, headsKey(heads), JSON.stringify(mapping), JSON.stringify(clubs)],
  );
}
