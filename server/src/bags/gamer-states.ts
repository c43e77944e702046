import type { EntityManager } from '@mikro-orm/postgresql';

/** What the gamer held from a moment on. */
interface GamerState {
  /** ISO; null from the beginning. */
  from: string | null;
  /** Null where there was no gamer. */
  gamer: { bagId: string; name: string; clubIds: readonly string[] } | null;
}

interface BagRow {
  id: string;
  name: string;
  gamer: boolean;
  removedAt: string | null;
  clubIds: readonly string[];
}
interface BagImage {
  at: string;
  of: 'bag' | 'bagClubs';
  id: string;
  before: unknown;
}

/** So many changes of bags are gone back over; more than a player makes in years. */
const MAX_IMAGES = 20_000;

/**
 * What the gamer held, the newest first, read off the changes of bags from now back to a moment. Which bag is
 * the gamer may change, and so may its clubs; what was undone has put itself back.
 * @param since ISO; the last state is the one that stood just before. All of it where it is not given
 */
export async function readGamerStates(
  em: EntityManager,
  playerId: string,
  since?: string,
): Promise<GamerState[]> {
  const rows = await em.execute<BagRow[]>(
    `select id, name, gamer, removed_at as "removedAt",
       (select coalesce(jsonb_agg(club_id order by place, id), '[]') from bag_club where bag_id = bag.id) as "clubIds"
     from bag where player_id = ?`,
    [playerId],
  );
  const images = await em.execute<BagImage[]>(
    `select to_char(change.at at time zone 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS.MS"Z"') as at,
       image ->> 'of' as of, image ->> 'id' as id, image -> 'before' as before
     from change, jsonb_array_elements(change.images) with ordinality as one (image, place)
     where change.player_id = ? and image ->> 'of' in ('bag', 'bagClubs') ${since ? 'and change.at >= ?::timestamptz' : ''}
     order by change.at desc, change.id desc, place desc limit ${MAX_IMAGES}`,
    [playerId, ...(since ? [since] : [])],
  );
  const bags = new Map(rows.map((row) => [row.id, row]));
  const states: GamerState[] = [];
  const stood = (): GamerState['gamer'] => {
    const gamer = [...bags.values()].find((bag) => bag.gamer && bag.removedAt === null);
    return gamer ? { bagId: gamer.id, name: gamer.name, clubIds: gamer.clubIds } : null;
  };
  let now = stood();
  for (const [i, { at, of, id, before }] of images.entries()) {
    const bag = bags.get(id);
    if (bag && of === 'bagClubs') bags.set(id, { ...bag, clubIds: before as readonly string[] });
    else if (bag && before === null) bags.delete(id);
    else if (bag) bags.set(id, { ...bag, ...(before as Partial<BagRow>) });
    // What one change did at once is one state.
    if (images[i + 1]?.at === at) continue;
    const then = stood();
    if (isSame(now, then)) continue;
    states.push({ from: at, gamer: now });
    now = then;
  }
  states.push({ from: null, gamer: now });
  return states;
}

function isSame(a: GamerState['gamer'], b: GamerState['gamer']): boolean {
  return a?.bagId === b?.bagId && a?.clubIds.join() === b?.clubIds.join();
}

/**
 * When a club was in the gamer, the newest first; `to` is null while it still is. ISO; `from` is null where
 * it was from the beginning.
 */
export function stintsOf(
  states: readonly GamerState[],
  clubId: string,
): { from: string | null; to: string | null }[] {
  const stints: { from: string | null; to: string | null }[] = [];
  let open: { from: string | null; to: string | null } | undefined;
  for (const [i, { from, gamer }] of states.entries()) {
    if (!gamer?.clubIds.includes(clubId)) {
      open = undefined;
      continue;
    }
    if (open) open.from = from;
    else stints.push((open = { from, to: i === 0 ? null : states[i - 1]!.from }));
  }
  return stints;
}
