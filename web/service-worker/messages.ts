/**
 * To the worker that serves a page, when a newer one is taken: for a while it answers what it has begun, and
 * nothing more.
 */
export const LEAVE = 'LEAVE';
