import type { Command, CommandName, Conflict } from '@tasche/contract';
import { conflict } from '../http/refusal.js';
import { versionBefore, type Trail } from './trail.js';

export interface ChangeContext {
  trail: Trail;
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
  [K in N]: (command: Extract<Command, { do: K }>, context: ChangeContext) => Promise<Done>;
};

/**
 * Refuses to write over somebody else's work.
 * @throws Refusal 409 with both values of everything that was to be set
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
