import { createReadStream, createWriteStream } from 'node:fs';
import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import type { LockerDocument, SheetView } from '@tasche/contract';
import type { Reading } from '@tasche/core';
import { IsolationLevel, type EntityManager, type MikroORM } from '@mikro-orm/postgresql';
import type { Response } from 'express';
import { inWorkspace, type Sight } from '../workspaces/in-workspace.js';

/**
 * Sends a player's locker with its whole history, as docs/formats/locker.schema.json describes it. It is read
 * in one transaction, club by club, to a file first: no transaction waits for a slow receiver, and no more
 * than a club is held.
 */
export async function streamLocker(
  orm: MikroORM,
  sight: Sight,
  sheet: SheetView,
  response: Response,
): Promise<void> {
  const folder = await mkdtemp(path.join(tmpdir(), 'tasche-export-'));
  const file = path.join(folder, 'locker.json');
  try {
    const write = (em: EntityManager) =>
      pipeline(Readable.from(lockerText(em, sheet)), createWriteStream(file, { mode: 0o600 }));
    await inWorkspace(orm, sight, write, IsolationLevel.REPEATABLE_READ);
    await pipeline(createReadStream(file), response);
  } catch (error) {
    // A client that disconnected needs no answer.
    if (!response.destroyed) throw error;
  } finally {
    await rm(folder, { recursive: true, force: true });
  }
}

async function* lockerText(em: EntityManager, sheet: SheetView): AsyncGenerator<string> {
  const { name, hand, distanceUnit, notes, handicap, gapSettings, baseline } = sheet.player;
  const head: Pick<LockerDocument, 'format' | 'version' | 'player'> = {
    format: 'tasche-locker',
    version: 1,
    player: { name, hand, distanceUnit, notes, handicap, gapSettings, baseline },
  };
  yield `${JSON.stringify(head).slice(0, -1)},"clubs":[`;
  for (const [i, club] of sheet.clubs.entries()) {
    const readings = await em.execute<Reading[]>(
      `select key, value, taken_on::text as "takenOn" from reading where removed_at is null and club_id = ? order by seq`,
      [club.id],
    );
    const document: LockerDocument['clubs'][number] = {
      id: club.id,
      name: club.name,
      kind: club.kind,
      readings,
    };
    yield `${i > 0 ? ',' : ''}${JSON.stringify(document)}`;
  }
  const bags = await em.execute<LockerDocument['bags']>(
    `select name, note, gamer, ready, strategy, (
       select coalesce(json_agg(club_id order by bag_club.place, bag_club.id), '[]') from bag_club where bag_id = bag.id) as "clubIds"
     from bag where player_id = ? and removed_at is null order by place`,
    [sheet.player.id],
  );
  yield `],"bags":${JSON.stringify(bags)}}`;
}
