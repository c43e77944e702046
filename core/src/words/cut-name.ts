/** A name in the room there is for it: cut at its end, with a sign that it was, where it has more letters. */
export function cutName(name: string, maxLetters: number): string {
  const letters = [...name];
  if (letters.length <= maxLetters) return name;
  const kept = letters.slice(0, Math.max(1, maxLetters - 1)).join('');
  return `${kept.trimEnd()}…`;
}
