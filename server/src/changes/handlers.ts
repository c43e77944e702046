import type { CommandName, CommandOf, Conflict } from '@tasche/contract';
import { conflict } from '../http/http-error.js';
import { versionBefore, type ChangeRecorder } from './change-recorder.js';

export interface ChangeContext {
  recorder: ChangeRecorder;
  changeId: string;
  /** Nothing may be dated after it; asked of the database once, by the first who wants to know. */
  latestDay: () => Promise<string>;
}

/** What a command did, in one line for the history. */
export interface Done {
  /** Whose it was; null where it was no single player's. */
  playerId: string | null;
  summary: string;
}

export type Handlers<N extends CommandName> = {
  [K in N]: (command: CommandOf<K>, context: ChangeContext) => Promise<Done>;
};

/**
 * Refuses to overwrite another person's work.
 * @throws HttpError 409 with both values of everything that was to be set
 */
export function requireVersion(
  row: { id: string; version: number },
  version: number,
  name: string,
  values: readonly Pick<Conflict, 'field' | 'yours' | 'theirs'>[],
): void {
  if (row.version === version || versionBefore(row) === version) return;
  throw conflict(
    `${name} was changed by someone else meanwhile.`,
    values.map((value) => ({ id: row.id, name, version: row.version, ...value })),
  );
}
