import { createHash, randomBytes, timingSafeEqual } from 'node:crypto';

const KEY_BYTES = 32;

/** An unguessable key, for a link or a token: 256 bits as URL-safe text. */
export function newKey(): string {
  return randomBytes(KEY_BYTES).toString('base64url');
}

/** What is kept of a key: useless to a reader of the database. */
export function hashOfKey(key: string): string {
  return createHash('sha256').update(key).digest('base64url');
}

/** Whether two texts are the same, in a time that does not tell how much of them is. */
export function isSameText(a: string, b: string): boolean {
  const [one, other] = [a, b].map((text) => createHash('sha256').update(text).digest());
  return timingSafeEqual(one!, other!);
}
