/** To the worker that serves a page, when a newer one is taken: it answers what it has begun, and nothing more. */
export const LEAVE = 'LEAVE';
