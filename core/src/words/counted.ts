/**
 * A whole number with its thousands apart: 12,000. By hand: the first number a browser formats costs it a
 * tenth of a second, in which it looks up how English does so.
 */
export function digits(count: number): string {
  let text = String(Math.abs(count));
  for (let at = text.length - 3; at > 0; at -= 3) text = `${text.slice(0, at)},${text.slice(at)}`;
  return count < 0 ? `-${text}` : text;
}

/** A number with so many places: "0.4", "−0.4"; what rounds to zero has no sign. */
export function decimals(value: number, places: number): string {
  const text = Math.abs(value).toFixed(places);
  return value < 0 && Number(text) !== 0 ? `−${text}` : text;
}

/** "1 club", "14 clubs". */
export function counted(count: number, one: string, many = `${one}s`): string {
  return `${digits(count)} ${count === 1 ? one : many}`;
}
