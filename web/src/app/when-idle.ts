/** The longest wait, however busy the page is. */
const MAX_WAIT_MS = 400;

const waiting: (() => void)[] = [];
let isAsked = false;

function next(): void {
  isAsked = false;
  waiting.shift()?.();
  ask();
}
function ask(): void {
  if (isAsked || waiting.length === 0) return;
  isAsked = true;
  // Not every browser has it.
  if (typeof requestIdleCallback === 'function') requestIdleCallback(next, { timeout: MAX_WAIT_MS });
  else setTimeout(next);
}

/**
 * Does something when the browser has nothing better to do, one thing at a time, in the order they were asked
 * for.
 * @returns a function that cancels it, if it is not done yet
 */
export function whenIdle(work: () => void): () => void {
  waiting.push(work);
  ask();
  return () => {
    const at = waiting.indexOf(work);
    if (at !== -1) waiting.splice(at, 1);
  };
}
