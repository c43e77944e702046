import { fieldProblems, type Problem } from '@tasche/contract';
import { UniqueConstraintViolationException } from '@mikro-orm/core';
import type { ErrorRequestHandler, RequestHandler } from 'express';
import type { Logger } from 'pino';
import * as yup from 'yup';
import { Refusal } from './refusal.js';

/** A page of another site may not write here, signed in or not. */
export const notForOthers: RequestHandler = (request, _response, next) => {
  const { origin } = request.headers;
  if (origin !== undefined && request.method !== 'GET' && !sameHost(origin, request.headers.host)) {
    next(new Refusal(403, { error: 'forbidden', message: 'Requests from other sites are refused.' }));
    return;
  }
  next();
};

function sameHost(origin: string, host: string | undefined): boolean {
  return URL.canParse(origin) && new URL(origin).host === host;
}

/** Turns whatever was thrown into a Problem with its status. */
export function answerProblem(log: Logger): ErrorRequestHandler {
  return (error: unknown, request, response, _next) => {
    const { status, problem } = problemOf(error);
    if (status >= 500 && status !== 503) log.error({ error, method: request.method, path: request.path });
    if (status === 503) response.setHeader('retry-after', '2');
    response.status(status).json(problem);
  };
}

function problemOf(error: unknown): { status: number; problem: Problem } {
  if (error instanceof Refusal) return { status: error.status, problem: error.problem };
  if (error instanceof yup.ValidationError) {
    const fields = fieldProblems(error);
    return { status: 400, problem: { error: 'bad-input', message: fields[0]?.message ?? error.message, fields } };
  }
  if (error instanceof UniqueConstraintViolationException) {
    return { status: 409, problem: { error: 'conflict', message: 'Something of that id, or in that place, exists already; nothing was saved.' } };
  }
  if (isAway(error)) {
    return { status: 503, problem: { error: 'database-away', message: 'The database is away. Nothing was lost; try again in a moment.' } };
  }
  const { type, status } = error as { type?: string; status?: number };
  if (type === 'entity.too.large') return { status: 413, problem: { error: 'too-large', message: 'That is more than 2 MB; nothing was taken.' } };
  if (type === 'entity.parse.failed') return { status: 400, problem: { error: 'bad-input', message: 'The body is not JSON.', fields: [{ field: 'body', message: 'not JSON' }] } };
  if (type === 'charset.unsupported' || type === 'encoding.unsupported') return { status: 415, problem: { error: 'wrong-type', message: 'Send UTF-8 text.' } };
  if (status === 404) return { status, problem: { error: 'not-found', message: 'There is nothing at this address.' } };
  if (status !== undefined && status >= 400 && status < 500) return { status, problem: { error: 'bad-input', message: 'The request could not be read.' } };
  return { status: 500, problem: { error: 'internal', message: 'Something went wrong on our side; nothing was saved.' } };
}

/** PostgreSQL's own words for "not now", and the network's for "nobody there". */
const AWAY_CODES = new Set([
  'ECONNREFUSED', 'ECONNRESET', 'EPIPE', 'ETIMEDOUT', 'ENOTFOUND', 'EHOSTUNREACH', 'ENOENT',
  '57P01', '57P02', '57P03', '53300', '08000', '08001', '08003', '08004', '08006',
]);
const AWAY_MESSAGES = /timeout expired|Connection terminated|connection timeout|timeout exceeded when trying to connect|Timeout acquiring a connection|Unable to acquire a connection|Client has encountered a connection error/i;

/** Whether the database, not what was asked of it, is at fault. */
export function isAway(error: unknown): boolean {
  for (let cause = error as { code?: string; message?: string; cause?: unknown; errors?: unknown[] } | undefined, depth = 0; cause && depth < 5; depth++) {
    if (cause.code !== undefined && AWAY_CODES.has(cause.code)) return true;
    if (cause.message !== undefined && AWAY_MESSAGES.test(cause.message)) return true;
    cause = (cause.cause ?? cause.errors?.[0]) as typeof cause;
  }
  return false;
}
