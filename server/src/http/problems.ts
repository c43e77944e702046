import { JsonLimitError, MAX_PROBLEMS_LISTED, fieldProblems, type Problem } from '@tasche/contract';
import { UniqueConstraintViolationException } from '@mikro-orm/core';
import type { ErrorRequestHandler } from 'express';
import type { Logger } from 'pino';
import * as yup from 'yup';
import { databaseState } from '../database/database-state.js';
import { HttpError } from './http-error.js';

const RETRY_AFTER_S = 2;
/** No message is longer, whatever was sent. */
const MAX_MESSAGE = 1000;

/** Turns whatever was thrown into a Problem with its status: always JSON, never a path or a stack. */
export function answerProblem(log: Logger): ErrorRequestHandler {
  return (error: unknown, request, response, next) => {
    let answer: Answer;
    try {
      answer = problemOf(error);
    } catch (err) {
      log.error({ err }, 'an error could not be put into words');
      answer = INTERNAL;
    }
    const { status, problem } = answer;
    if (status >= 500 && status !== 503)
      log.error({ err: error, method: request.method, path: request.path });
    if (response.headersSent) {
      next(error);
      return;
    }
    if (status === 503) response.setHeader('retry-after', String(RETRY_AFTER_S));
    // What is still being sent is not read to its end.
    if (!request.complete) response.setHeader('connection', 'close');
    response.status(status).json(bounded(problem));
  };
}

interface Answer {
  status: number;
  problem: Problem;
}

const INTERNAL: Answer = {
  status: 500,
  problem: { error: 'internal', message: 'Something went wrong on our side; nothing was saved.' },
};

const DATABASE_PROBLEMS: Record<NonNullable<ReturnType<typeof databaseState>>, Answer> = {
  away: {
    status: 503,
    problem: {
      error: 'database-away',
      message: 'The database cannot be reached. Nothing was lost; try again in a moment.',
    },
  },
  busy: {
    status: 503,
    problem: { error: 'busy', message: 'The database is busy. Nothing was lost; try again in a moment.' },
  },
  full: {
    status: 503,
    problem: {
      error: 'disk-full',
      message: 'The disk of the database is full; nothing was saved. Free some space, then try again.',
    },
  },
};

function problemOf(error: unknown): Answer {
  if (error instanceof HttpError) return { status: error.status, problem: error.problem };
  if (error instanceof yup.ValidationError) {
    const fields = fieldProblems(error);
    return {
      status: 400,
      problem: {
        error: 'bad-input',
        message: fields[0]?.message ?? 'The request could not be read.',
        fields,
      },
    };
  }
  if (error instanceof JsonLimitError) {
    return {
      status: 400,
      problem: {
        error: 'bad-input',
        message: error.message,
        fields: [{ field: error.field, message: error.message }],
      },
    };
  }
  if (error instanceof UniqueConstraintViolationException) {
    return {
      status: 409,
      problem: {
        error: 'conflict',
        message: 'Something with that id, or in that place, exists already; nothing was saved.',
      },
    };
  }
  const requested = requestProblem(error as { type?: string; status?: number });
  if (requested) return requested;
  const state = databaseState(error);
  return state ? DATABASE_PROBLEMS[state] : INTERNAL;
}

/** What express and its body readers say of a request they could not read. */
function requestProblem({ type, status }: { type?: string; status?: number }): Answer | undefined {
  switch (type) {
    case 'entity.too.large':
      return {
        status: 413,
        problem: { error: 'too-large', message: 'That is more than 2 MB; nothing was saved.' },
      };
    case 'entity.parse.failed':
      return {
        status: 400,
        problem: {
          error: 'bad-input',
          message: 'The body is not JSON.',
          fields: [{ field: 'body', message: 'not JSON' }],
        },
      };
    case 'charset.unsupported':
    case 'encoding.unsupported':
      return { status: 415, problem: { error: 'wrong-type', message: 'Send UTF-8 text.' } };
  }
  if (status === 404)
    return { status, problem: { error: 'not-found', message: 'There is nothing at this address.' } };
  if (status !== undefined && status >= 400 && status < 500)
    return { status, problem: { error: 'bad-input', message: 'The request could not be read.' } };
  return undefined;
}

function bounded(problem: Problem): Problem {
  return {
    ...problem,
    message: problem.message.slice(0, MAX_MESSAGE),
    ...(problem.fields && { fields: problem.fields.slice(0, MAX_PROBLEMS_LISTED + 1) }),
    ...(problem.conflicts && { conflicts: problem.conflicts.slice(0, MAX_PROBLEMS_LISTED) }),
  };
}
