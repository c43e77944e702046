import type { FoundPlayer } from '@tasche/contract';
import type { EntityManager } from '@mikro-orm/postgresql';
import { Player } from './player.js';

/** So many are looked through by eye; more words find fewer. */
const MAX_FOUND = 30;

/** Players of whose names a word begins with one of these, by name; without words the first by name. */
export async function findPlayers(em: EntityManager, words: string): Promise<FoundPlayer[]> {
  const beginnings = words
    .split(/\s+/)
    .filter((word) => word !== '')
    .map((word) => word.replace(/[\\%_]/g, '\\$&'));
  const found = await em.find(
    Player,
    {
      removedAt: null,
      ...(beginnings.length > 0 && {
        $or: beginnings.flatMap((word) =>
          [`${word}%`, `% ${word}%`, `%-${word}%`].map((like) => ({ name: { $ilike: like } })),
        ),
      }),
    },
    { fields: ['name', 'archived'], orderBy: { archived: 'asc', name: 'asc', id: 'asc' }, limit: MAX_FOUND },
  );
  return found.map(({ id, name, archived }) => ({ id, name, archived }));
}
