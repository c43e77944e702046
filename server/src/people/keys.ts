import { createHash, randomBytes, timingSafeEqual } from 'node:crypto';

const KEY_BYTES = 32;

/** A key nobody guesses, for a link or a token: 256 bits as URL-safe text. */
export function newKey(): string {
  return randomBytes(KEY_BYTES).toString('base64url');
}

/** What is kept of a key: nobody who reads the database can use it. */
export function hashOfKey(key: string): string {
  return createHash('sha256').update(key).digest('base64url');
}

/** Whether two texts are the same, in a time that does not tell how much of them is. */
export function isSameText(a: string, b: string): boolean {
  const [one, other] = [a, b].map((text) => createHash('sha256').update(text).digest());
  return timingSafeEqual(one!, other!);
}
