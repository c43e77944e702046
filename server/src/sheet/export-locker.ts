import type { LockerDocument, SheetView } from '@tasche/contract';
import type { Reading } from '@tasche/core';
import type { EntityManager } from '@mikro-orm/postgresql';

/** A player's locker with its whole history, as docs/formats/locker.schema.json describes it. */
export async function exportLocker(em: EntityManager, sheet: SheetView): Promise<LockerDocument> {
  const { name, hand, distanceUnit, notes, gapSettings, baseline } = sheet.player;
  const rows = await em.execute<(Reading & { clubId: string })[]>(
    `select club_id as "clubId", key, value, taken_on::text as "takenOn" from reading
     where removed_at is null and club_id in (select id from club where player_id = ? and removed_at is null)
     order by seq limit 500000`, [sheet.player.id]);
  const readings = new Map<string, Reading[]>();
  for (const { clubId, ...reading } of rows) readings.set(clubId, [...(readings.get(clubId) ?? []), reading]);
  return {
    format: 'tasche-locker',
    version: 1,
    player: { name, hand, distanceUnit, notes, gapSettings, baseline },
    clubs: sheet.clubs.map((club) => ({ id: club.id, name: club.name, kind: club.kind, readings: readings.get(club.id) ?? [] })),
    bags: sheet.bags.map((bag) => ({ name: bag.name, note: bag.note, gamer: bag.gamer, ready: bag.ready, clubIds: [...bag.clubIds] })),
  };
}
