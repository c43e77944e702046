import { cutName } from '@tasche/core';

/** A letter of a name on the rail is about so wide. */
const LETTER_PX = 6.3;
const MIN_LETTERS = 3;

/** A name in so many pixels; something of it stands however few they are. */
export function fitName(name: string, roomPx: number): string {
  return cutName(name, Math.max(MIN_LETTERS, Math.floor(roomPx / LETTER_PX)));
}
