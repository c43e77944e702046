import { MAX_PLAYERS, beginsWith, type FoundPlayer } from '@tasche/contract';
import type { EntityManager } from '@mikro-orm/postgresql';

/** So many are looked through by eye; more words find fewer. */
const MAX_FOUND = 30;

/** Players of whose names a word begins with one of these, by name; without words the first by name. */
export async function findPlayers(em: EntityManager, words: string): Promise<FoundPlayer[]> {
  const beginnings = words
    .split(/\s+/)
    .filter((word) => word !== '')
    .map(beginsWith);
  // Names are compared here as everywhere, with or without their marks. SQL: of up to five thousand, three columns.
  const players = await em.execute<FoundPlayer[]>(
    'select id, name, archived from player where removed_at is null order by archived, name, id limit ?',
    [beginnings.length === 0 ? MAX_FOUND : MAX_PLAYERS],
  );
  if (beginnings.length === 0) return players;
  const isBegun = (one: string) => beginnings.some((isFirst) => isFirst(one));
  return players.filter(({ name }) => name.split(/[\s-]+/).some(isBegun)).slice(0, MAX_FOUND);
}
