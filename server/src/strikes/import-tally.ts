import {
  guessClub,
  labelKey,
  MAX_FILE_DAYS,
  MAX_LABELS,
  MAX_REFUSALS_NAMED,
  type ClubMatch,
  type RowRefusal,
  type StrikeFileSpec,
  type StrikeImportReport,
} from '@tasche/contract';
import { isFullSwing } from '@tasche/core';
import type { Club } from '../clubs/club.js';
import { badInput } from '../http/http-error.js';

/** What came of a club's label so far. */
interface LabelCount {
  label: string;
  rows: number;
  match: ClubMatch;
  /** Rows that give a carry, and their sum in metres. */
  carries: number;
  carrySumM: number;
}

/**
 * Counts what happens to a file's rows. @throws HttpError where they hold more clubs or days than a file may
 */
export class ImportTally {
  rows = 0;
  taken = 0;
  duplicates = 0;
  otherClubs = 0;
  refused = 0;
  otherPlayers = 0;
  readonly days = new Map<string, number>();
  readonly #refusals: ({ line: number } & RowRefusal)[] = [];
  readonly #reasons = new Map<string, { column: string; reason: string; count: number }>();
  readonly #labels = new Map<string, LabelCount>();
  readonly #players = new Map<string, { label: string; rows: number }>();

  /** Putts are not measured by their carry: rows of a putter are left out unless a person says otherwise. */
  readonly #fullSwingClubs: readonly Club[];

  constructor(
    clubs: readonly Club[],
    readonly order: StrikeFileSpec,
  ) {
    this.#fullSwingClubs = clubs.filter(({ kind }) => isFullSwing(kind));
  }

  /** Counts a row as a player's. @returns whether it is one of those asked for */
  isAsked(player: string): boolean {
    const key = labelKey(player);
    const entry = this.#players.get(key) ?? { label: player, rows: 0 };
    if (entry.rows === 0 && this.#players.size >= MAX_LABELS)
      throw badInput(
        `The player column holds more than ${MAX_LABELS} different names; is it the right column?`,
        [{ field: 'mapping.columns', message: 'player' }],
      );
    entry.rows += 1;
    this.#players.set(key, entry);
    const isOther = this.order.player !== undefined && labelKey(this.order.player) !== key;
    if (isOther) this.otherPlayers += 1;
    return !isOther;
  }

  /** @throws HttpError where the file holds shots of several players and nobody said whose to import */
  mustBeOfOnePlayer(): void {
    if (this.order.player === undefined && this.#players.size > 1)
      throw badInput(
        `The file holds the shots of ${this.#players.size} players; say whose to import. Nothing was imported.`,
        [{ field: 'player', message: 'is missing' }],
      );
  }

  /**
   * The club a label is: as the person said, or as guessed until then; null where its rows are left
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
          match: said === undefined ? guessClub(label, this.#fullSwingClubs) : said,
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
    const { rows, taken, duplicates, otherClubs, refused, otherPlayers } = this;
    return {
      rows,
      taken,
      duplicates,
      otherClubs,
      refused,
      otherPlayers,
      players: [...this.#players.values()],
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
