/** A letter of a name on the rail is about so wide. */
const LETTER_PX = 7;
const MIN_LETTERS = 3;

/** A name in the room there is for it: cut at its end, with a sign that it was, where it is longer. */
export function fitName(name: string, roomPx: number): string {
  const letters = [...name];
  const room = Math.max(MIN_LETTERS, Math.floor(roomPx / LETTER_PX));
  return letters.length <= room
    ? name
    : `${letters
        .slice(0, room - 1)
        .join('')
        .trimEnd()}…`;
}
