/** Where the browser keeps what was last seen. */
export const LAST_SEEN_CACHE = 'tasche-last-seen';

/** The header that says an answer is not the server's but what was last seen of it, and when: an ISO time. */
export const LAST_SEEN_HEADER = 'x-tasche-last-seen';

/**
 * Asked of the server itself or not at all: streams, which would keep this worker busy for as long as a page
 * is open, so that no newer one ever took its place; whether the server is there; and a forecast, which an
 * older one does not replace.
 */
const NEVER_KEPT = [/^\/api\/health$/, /^\/api\/ready$/, /^\/api\/news$/, /\/live$/, /\/forecast$/];
/** What of an address does not change what is read, but for the day it was read on. */
const DAY_OF_READING = 'today';

/** Where the schedule was before: what was last seen there is shown still. */
const BEFORE_0_2 = '/api/circuit';

/** Whether an address of the server is kept to be read without a network. */
export function isKept(url: URL): boolean {
  return url.pathname.startsWith('/api/') && !NEVER_KEPT.some((pattern) => pattern.test(url.pathname));
}

/** The address an answer is kept under: the roster of yesterday is better than none. */
export function keptUnder(url: URL): string {
  const kept = new URL(url);
  kept.searchParams.delete(DAY_OF_READING);
  if (kept.pathname === '/api/schedule') kept.pathname = BEFORE_0_2;
  return kept.href;
}

/** Whether an answer is worth keeping: read whole, and data rather than a file. */
export function isWorthKeeping(response: Response): boolean {
  return response.ok && (response.headers.get('content-type') ?? '').includes('application/json');
}

/** A kept answer, marked as what was last seen. */
export function asLastSeen(response: Response): Response {
  const headers = new Headers(response.headers);
  headers.set(LAST_SEEN_HEADER, headers.get('date') ?? '');
  return new Response(response.body, { status: response.status, statusText: response.statusText, headers });
}
