import { expect, inject, it } from 'vitest';
import { openDatabase } from '../src/database/database.js';
import { perDatabase } from '../src/database/per-database.js';

it('what is kept of a database is kept for its forks too, and for no other database', async () => {
  const [one, other] = await Promise.all([1, 2].map(() => openDatabase(inject('databaseUrl'))));
  try {
    const kept = perDatabase(() => new Map<string, string>());
    kept(one!.em).set('a player', 'of one');
    expect(kept(one!.em.fork()).get('a player')).toBe('of one');
    expect(kept(other!.em).size).toBe(0);
  } finally {
    await Promise.all([one, other].map((orm) => orm!.close(true)));
  }
});
