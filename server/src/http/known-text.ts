import { createHash } from 'node:crypto';
import { promisify } from 'node:util';
import { gzip } from 'node:zlib';
import type { MikroORM } from '@mikro-orm/postgresql';
import { LRUCache } from 'lru-cache';
import { perDatabase } from '../database/per-database.js';

const pack = promisify(gzip);

/**
 * An answer as bytes, packed for the wire and plain, and a tag of its contents for clients that have it
 * already.
 */
export interface KnownText {
  text: Buffer;
  packed: Buffer;
  etag: string;
}

/**
 * Answers as they were last made. Every use asks the database for the revision first, so that many servers
 * may each keep their own.
 */
const known = perDatabase(
  () =>
    new LRUCache<string, KnownText & { revision: string }>({
      max: 500,
      maxSize: 64_000_000,
      sizeCalculation: ({ text, packed }) => text.length + packed.length,
    }),
);

/**
 * The answer of that key: the known one where it is of this revision, else made again.
 * @param make gives the whole answer as JSON text
 */
export async function knownText(
  { em }: MikroORM,
  key: string,
  revision: string,
  make: () => Promise<string>,
): Promise<KnownText> {
  const standing = known(em).get(key);
  if (standing?.revision === revision) return standing;
  const text = Buffer.from(await make());
  // A change may have come between the two questions: the older number only makes the next reader ask again.
  const answer = {
    revision,
    text,
    packed: await pack(text),
    etag: `"${createHash('sha256').update(text).digest('base64url')}"`,
  };
  known(em).set(key, answer);
  return answer;
}
