import * as yup from './yup.js';
import { JsonLimitError, checkJsonLimits } from './json-limits.js';
import { withRenamedFields } from './renamed-fields.js';
import {
  MAX_BAGS_A_PLAYER,
  MAX_CLUBS_A_PLAYER,
  MAX_PLANS_A_PLAYER,
  MAX_TICKETS_A_PLAYER,
  MAX_ROUNDS_A_PLAYER,
  MAX_WISHES_A_PLAYER,
} from './limits.js';
import {
  MAX_PLAYER_LINE_CHARACTERS,
  MAX_PLAYER_ROWS,
  PLAYER_FILE_REFERENCES,
  PLAYER_FILE_ROWS,
  PLAYER_FILE_ROW_NAMES,
  isOwnedKind,
  playerFileHeadSchema,
  type PlayerFile,
  type PlayerFileHead,
  type PlayerFileRow,
  type PlayerFileRowName,
  type PlayerFileRows,
} from './player-file.js';

/** Something in a player's file that cannot be taken: where, and why. */
export class PlayerFileError extends Error {
  override readonly name = 'PlayerFileError';

  /**
   * @param line counted from 1
   * @param field of that line's row, such as `plan.startsOn`; empty where it is about the line
   */
  constructor(
    readonly line: number,
    readonly field: string,
    readonly reason: string,
  ) {
    super(`Line ${line}: ${reason}`);
  }
}

/** Of rows that were not deleted. */
const MOST: Partial<Record<PlayerFileRowName, number>> = {
  player: 1,
  club: MAX_CLUBS_A_PLAYER,
  // Every plan has a bag, and one for each round of an event.
  bag: MAX_BAGS_A_PLAYER + 9 * MAX_PLANS_A_PLAYER,
  plan: MAX_PLANS_A_PLAYER,
  ticket: MAX_TICKETS_A_PLAYER,
  wish: MAX_WISHES_A_PLAYER,
  roundPlayed: MAX_ROUNDS_A_PLAYER,
};

/** Something a row names that has not been seen yet. */
interface Awaited {
  line: number;
  field: string;
  kind: PlayerFileRowName;
  id: string;
}

/**
 * Reads a player's file line by line. Every row is checked as what a person types is, and everything a row
 * names must be in the file: it cannot refer to anyone else's rows.
 */
export class PlayerFileReader {
  head: PlayerFileHead | undefined;
  readonly #rows = Object.fromEntries(
    PLAYER_FILE_ROW_NAMES.map((name) => [name, []]),
  ) as unknown as PlayerFileRows;
  readonly #kindOf = new Map<string, PlayerFileRowName>();
  readonly #awaited: Awaited[] = [];
  readonly #living: Partial<Record<PlayerFileRowName, number>> = {};
  readonly #once = new Set<string>();
  #line = 0;
  #count = 0;

  /** @throws PlayerFileError */
  add(text: string): void {
    this.#line += 1;
    if (text.length > MAX_PLAYER_LINE_CHARACTERS)
      throw this.#problem('', `is longer than ${MAX_PLAYER_LINE_CHARACTERS.toLocaleString('en')} characters`);
    if (text.trim() === '') return;
    const value = this.#parsed(text);
    if (!this.head) {
      // What it is first: of another file, nothing else is worth saying.
      for (const part of ['format', 'version'] as const)
        this.#checked('', () => playerFileHeadSchema.validateSyncAt(part, value));
      this.head = this.#checked('', () => playerFileHeadSchema.validateSync(value)) as PlayerFileHead;
      return;
    }
    this.#count += 1;
    if (this.#count > MAX_PLAYER_ROWS)
      throw this.#problem('', `the file has more than ${MAX_PLAYER_ROWS.toLocaleString('en')} rows`);
    const { row: name, ...fields } = value as { row?: unknown };
    if (typeof name !== 'string' || !Object.hasOwn(PLAYER_FILE_ROWS, name))
      throw this.#problem('row', `row must be one of ${PLAYER_FILE_ROW_NAMES.join(', ')}`);
    const kind = name as PlayerFileRowName;
    const schema: yup.AnyObjectSchema = PLAYER_FILE_ROWS[kind];
    const row = this.#checked(kind, () => schema.validateSync(fields)) as PlayerFileRow;
    this.#take(kind, row);
  }

  /**
   * All rows, once the file has ended.
   * @throws PlayerFileError where it is not whole
   */
  finish(): PlayerFile {
    const { head } = this;
    if (!head) throw this.#problem('', 'the file is empty');
    for (const name of PLAYER_FILE_ROW_NAMES) {
      const [is, said] = [this.#rows[name].length, head.rows[name] ?? 0];
      if (is !== said)
        throw this.#problem('', `the file has ${is} of its ${said} rows of ${name}; it did not come whole`);
    }
    if (this.#rows.player.length !== 1 || this.#rows.player[0]!.removedAt !== undefined)
      throw this.#problem('', 'the file must hold one player');
    for (const { line, field, kind, id } of this.#awaited)
      if (this.#kindOf.get(id) !== kind)
        throw new PlayerFileError(
          line,
          field,
          `${field} names a row (${kind}) that is not in the file: ${id}`,
        );
    return { head, rows: this.#rows };
  }

  #take(kind: PlayerFileRowName, row: PlayerFileRow): void {
    if (row.id !== undefined) {
      if (this.#kindOf.has(row.id)) throw this.#problem(`${kind}.id`, `id ${row.id} is in the file already`);
      this.#kindOf.set(row.id, kind);
    }
    for (const [field, named] of Object.entries(PLAYER_FILE_REFERENCES[kind] ?? {}))
      this.#await(`${kind}.${field}`, named, row[field] as string | undefined);
    if (row.removedAt === undefined) {
      const living = (this.#living[kind] = (this.#living[kind] ?? 0) + 1);
      const most = MOST[kind];
      if (most !== undefined && living > most) throw this.#problem(kind, `more than ${most} rows of ${kind}`);
    }
    switch (kind) {
      case 'event':
        for (const [i, { courseId }] of (row.rounds as { courseId: string }[]).entries())
          this.#await(`event.rounds[${i}].courseId`, 'course', courseId);
        break;
      case 'bag':
        if (row.gamer && row.removedAt === undefined) this.#onlyOnce('gamer', 'bag.gamer', 'two gamer bags');
        break;
      case 'bagClub':
        this.#onlyOnce(
          `${String(row.bagId)} ${String(row.clubId)}`,
          'bagClub.clubId',
          'one club twice in a bag',
        );
        break;
      case 'strike':
        if (row.deviceKey !== undefined)
          this.#onlyOnce(
            `${String(row.sessionId)} ${String(row.deviceKey)}`,
            'strike.deviceKey',
            'one ball twice in a session',
          );
        break;
      case 'change':
        this.#takeDiffs(row.diffs as { of: string; id: string; clubIds?: string[]; changeId?: string }[]);
        break;
    }
    this.#rows[kind].push(row);
  }

  #takeDiffs(diffs: readonly { of: string; id: string; clubIds?: string[]; changeId?: string }[]): void {
    for (const [i, diff] of diffs.entries()) {
      const at = `change.diffs[${i}]`;
      if (isOwnedKind(diff.of)) this.#await(`${at}.id`, diff.of, diff.id);
      else if (diff.of === 'bagClubs') this.#await(`${at}.id`, 'bag', diff.id);
      else if (diff.of === 'readings') this.#await(`${at}.id`, 'change', diff.id);
      else this.#await(`${at}.id`, 'session', diff.id);
      for (const clubId of diff.clubIds ?? []) this.#await(`${at}.clubIds`, 'club', clubId);
      if (diff.changeId !== undefined) this.#await(`${at}.changeId`, 'change', diff.changeId);
    }
  }

  #await(field: string, kind: PlayerFileRowName, id: string | undefined): void {
    if (id !== undefined && this.#kindOf.get(id) !== kind)
      this.#awaited.push({ line: this.#line, field, kind, id });
  }

  #onlyOnce(key: string, field: string, words: string): void {
    if (this.#once.has(key)) throw this.#problem(field, `the file holds ${words}`);
    this.#once.add(key);
  }

  #parsed(text: string): unknown {
    let value: unknown;
    try {
      value = withRenamedFields(JSON.parse(text));
    } catch {
      throw this.#problem(
        '',
        this.#line === 1 ? 'this is not a player’s file' : 'is not JSON; the file is damaged',
      );
    }
    if (typeof value !== 'object' || value === null || Array.isArray(value))
      throw this.#problem('', this.#line === 1 ? 'this is not a player’s file' : 'is not a JSON object');
    try {
      checkJsonLimits(value);
    } catch (error) {
      if (error instanceof JsonLimitError) throw this.#problem(error.field, error.message);
      throw error;
    }
    return value;
  }

  #checked<T>(kind: string, check: () => T): T {
    try {
      return check();
    } catch (error) {
      if (!(error instanceof yup.ValidationError)) throw error;
      const at = [kind, error.path].filter(Boolean).join('.');
      const said = error.errors[0] ?? error.message;
      throw this.#problem(at, kind === '' ? said : `${kind}: ${said}`);
    }
  }

  #problem(field: string, reason: string): PlayerFileError {
    return new PlayerFileError(Math.max(1, this.#line), field, reason);
  }
}
