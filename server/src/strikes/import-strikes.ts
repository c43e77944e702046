import { hash } from 'node:crypto';
import { setImmediate } from 'node:timers/promises';
import {
  givenWithSmash,
  MAX_FILE_DAYS,
  MAX_FILE_ROWS,
  MAX_LABELS,
  MAX_REFUSALS_NAMED,
  guessClub,
  headsKey,
  labelKey,
  parseStrikeFileSpec,
  strikeRowReader,
  type ClubMatch,
  type RowRefusal,
  type StrikeFileSpec,
  type StrikeImportReport,
  type StrikeRow,
} from '@tasche/contract';
import { STRIKE_PARTS, type StrikePart } from '@tasche/core';
import type { EntityManager, MikroORM } from '@mikro-orm/postgresql';
import { v4 as newId } from 'uuid';
import { finish } from '../changes/apply-change.js';
import { doneBefore } from '../changes/done-before.js';
import { latestDay } from '../changes/latest-day.js';
import { ChangeRecorder } from '../changes/change-recorder.js';
import { Club } from '../clubs/club.js';
import { badInput, notFound } from '../http/http-error.js';
import { stopIfHungUp } from '../http/route-context.js';
import type { Session } from '../sessions/session.js';
import type { Scope } from '../people/scope.js';
import { inWorkspace } from '../workspaces/in-workspace.js';
import { fileRows, splitOrder } from './file-rows.js';
import type { ReceivedFile } from './received-file.js';
import {
  keepStrikes,
  knownKeys,
  strikesToKeep,
  type KeptStrike,
  type StrikesToKeep,
} from './insert-strikes.js';

interface StrikeImportRequest {
  playerId: string;
  /** 'none' only looks; 'good' takes the good rows. */
  take: 'none' | 'good';
  /** Id of the change it becomes. */
  changeId: string;
  /** The order as one line of JSON, then the file; read once for each try of the transaction. */
  received: Pick<ReceivedFile, 'read'>;
  /** Given when whoever sent it hangs up: nothing is taken then. */
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
const TELLING_PARTS = 4;

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
    const count = new Tally(clubs, order);
    const known = await knownKeys(em, playerId);
    const keeper = new Keeper(recorder, playerId, order);
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
      // Whoever waits for it hears of its failure; until then it is nobody's.
      writing.catch(() => undefined);
    };
    const takeRows = async (rows: readonly string[][]) => {
      for (const cells of rows) {
        line += 1;
        if (line > MAX_LINES)
          throw badInput(
            `The file has more than ${MAX_LINES.toLocaleString('en')} lines; nothing was taken.`,
            [{ field: 'file', message: 'too many lines' }],
          );
        if (line % ROWS_A_TURN === 0) {
          await setImmediate();
          if (signal) stopIfHungUp(signal);
        }
        if (line <= linesAbove || cells.every((cell) => cell.trim() === '')) continue;
        count.rows += 1;
        if (count.rows > MAX_FILE_ROWS)
          throw badInput(
            `The file has more than ${MAX_FILE_ROWS.toLocaleString('en')} rows; nothing was taken. Split it.`,
            [{ field: 'file', message: 'too many rows' }],
          );
        const answer = read(cells);
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
const TOLD_BY: readonly StrikePart[] = STRIKE_PARTS.filter((part) => part !== 'attackDeg');

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
  let told = 0;
  for (const part of TOLD_BY) {
    const value = given[part];
    text += value === undefined ? '|' : `|${value}`;
    if (value !== undefined) told += 1;
  }
  if (time === undefined && told < TELLING_PARTS) {
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

/** What came of a club's label so far. */
interface LabelCount {
  label: string;
  rows: number;
  match: ClubMatch;
  /** Rows that give a carry, and their sum in metres. */
  carries: number;
  carrySumM: number;
}

/** Counts what happens to a file's rows. */
class Tally {
  rows = 0;
  taken = 0;
  duplicates = 0;
  otherClubs = 0;
  refused = 0;
  readonly days = new Map<string, number>();
  readonly #refusals: ({ line: number } & RowRefusal)[] = [];
  readonly #reasons = new Map<string, { column: string; reason: string; count: number }>();
  readonly #labels = new Map<string, LabelCount>();

  constructor(
    readonly clubs: readonly Club[],
    readonly order: StrikeFileSpec,
  ) {}

  /**
   * The club a label is: as the person said, or as it looks while nobody has; null where its rows are left
   * out.
   */
  matchOf(label: string, key: string, carryM: number | undefined): ClubMatch {
    let entry = this.#labels.get(key);
    if (!entry) {
      if (this.#labels.size >= MAX_LABELS)
        throw badInput(
          `The club column holds more than ${MAX_LABELS} different names; is it the right column?`,
          [{ field: 'mapping.columns', message: 'club' }],
        );
      const said = Object.hasOwn(this.order.clubs, key) ? this.order.clubs[key]! : undefined;
      this.#labels.set(
        key,
        (entry = {
          label,
          rows: 0,
          carries: 0,
          carrySumM: 0,
          match: said === undefined ? guessClub(label, this.clubs) : said,
        }),
      );
    }
    entry.rows += 1;
    if (carryM !== undefined) {
      entry.carries += 1;
      entry.carrySumM += carryM;
    }
    if (!entry.match) this.otherClubs += 1;
    return entry.match;
  }

  on(day: string): void {
    if (!this.days.has(day) && this.days.size >= MAX_FILE_DAYS)
      throw badInput(`The file's shots fall on more than ${MAX_FILE_DAYS} days; split it.`, [
        { field: 'file', message: 'too many days' },
      ]);
    this.days.set(day, (this.days.get(day) ?? 0) + 1);
  }

  kept(offered: number, fresh: number): void {
    this.taken += fresh;
    this.duplicates += offered - fresh;
  }

  refuse(line: number, refusal: RowRefusal): void {
    this.refused += 1;
    if (this.#refusals.length < MAX_REFUSALS_NAMED) this.#refusals.push({ line, ...refusal });
    const key = `${refusal.column} ${refusal.reason}`;
    const reason = this.#reasons.get(key) ?? { column: refusal.column, reason: refusal.reason, count: 0 };
    reason.count += 1;
    this.#reasons.set(key, reason);
  }

  report(changeId: string | null): StrikeImportReport {
    const { rows, taken, duplicates, otherClubs, refused } = this;
    return {
      rows,
      taken,
      duplicates,
      otherClubs,
      refused,
      changeId,
      refusals: this.#refusals,
      reasons: [...this.#reasons.values()].sort((a, b) => b.count - a.count),
      labels: [...this.#labels.values()].map(({ label, rows: labelled, match, carries, carrySumM }) => ({
        label,
        rows: labelled,
        match,
        carryM: carries === 0 ? null : carrySumM / carries,
      })),
      days: [...this.days]
        .map(([day, count]) => ({ day, rows: count }))
        .sort((a, b) => (a.day < b.day ? -1 : 1)),
    };
  }
}

type Waiting = readonly { row: StrikeRow; match: NonNullable<ClubMatch>; day: string; key: string }[];

/** Keeps the balls, in a session for each day. */
class Keeper {
  readonly #sessions = new Map<string, Session>();
  readonly #numbers = new Map<string, number>();

  constructor(
    readonly recorder: ChangeRecorder,
    readonly playerId: string,
    readonly order: StrikeFileSpec,
  ) {}

  /** The balls by day, numbered, made ready for the database. */
  ready(waiting: Waiting): Map<string, StrikesToKeep> {
    const byDay = new Map<string, KeptStrike[]>();
    for (const { row, match, day, key } of waiting) {
      const number = (this.#numbers.get(day) ?? 0) + 1;
      this.#numbers.set(day, number);
      const kept = byDay.get(day) ?? [];
      if (kept.length === 0) byDay.set(day, kept);
      kept.push({
        clubId: match.clubId,
        shot: row.shot ?? match.shot,
        number,
        hitAt: row.time === undefined ? null : `${day}T${row.time}${zone(this.order.zoneMinutes)}`,
        builtOn: day,
        given: givenWithSmash(row),
        deviceKey: key,
        changeId: null,
      });
    }
    return new Map([...byDay].map(([day, strikes]) => [day, strikesToKeep(strikes)]));
  }

  async keep(ready: ReadonlyMap<string, StrikesToKeep>): Promise<void> {
    const fresh = [...ready.keys()].filter((day) => !this.#sessions.has(day));
    for (const day of fresh)
      this.#sessions.set(
        day,
        this.recorder.create('session', {
          ...this.order.session,
          id: newId(),
          playerId: this.playerId,
          heldOn: day,
          source: this.order.source,
          live: false,
          aim: null,
          basket: null,
        }),
      );
    if (fresh.length > 0) await this.recorder.em.flush();
    for (const [day, strikes] of ready)
      await keepStrikes(this.recorder.em, this.#sessions.get(day)!, strikes);
  }
}

function zone(minutes: number): string {
  const part = (value: number) => String(Math.trunc(value)).padStart(2, '0');
  return `${minutes < 0 ? '-' : '+'}${part(Math.abs(minutes) / 60)}:${part(Math.abs(minutes) % 60)}`;
}

/** The next file of this source is read like this one; in SQL, for clubs known before are joined by those of now. */
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
