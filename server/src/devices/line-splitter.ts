/**
 * Cuts what arrives into lines; a line that grows past the limit is thrown away up to its end, and told of once
 * with its beginning. The usual package for it, which the stand-ins use, throws such a line away silently, and
 * here nothing a device says is dropped silently.
 */
export function lineSplitter(
  max: number,
  onLine: (line: string) => void,
  onTooLong: (start: string) => void,
): (piece: string) => void {
  let held = '';
  let skipping = false;
  return (piece) => {
    let rest = piece;
    for (let end = rest.indexOf('\n'); end !== -1; end = rest.indexOf('\n')) {
      const line = held + rest.slice(0, end);
      held = '';
      rest = rest.slice(end + 1);
      if (skipping) skipping = false;
      else if (line.length > max) onTooLong(line.slice(0, 200));
      else if (line.trim() !== '') onLine(line.trim());
    }
    if (skipping) return;
    held += rest;
    if (held.length > max) {
      onTooLong(held.slice(0, 200));
      held = '';
      skipping = true;
    }
  };
}
