import type { Conflict, FieldProblem, Problem } from '@tasche/contract';

/** A request that is refused, with the status and the words it is refused with. */
export class HttpError extends Error {
  override readonly name = 'Refusal';

  constructor(
    readonly status: number,
    readonly problem: Problem,
  ) {
    super(problem.message);
  }
}

export function notFound(what: string): HttpError {
  return new HttpError(404, { error: 'not-found', message: `There is no such ${what} here.` });
}

export function forbidden(message: string): HttpError {
  return new HttpError(403, { error: 'forbidden', message });
}

export function badInput(message: string, fields: readonly FieldProblem[] = []): HttpError {
  return new HttpError(400, { error: 'bad-input', message, fields });
}

/** A rule of the trade stands against it. */
export function ruleBroken(message: string): HttpError {
  return new HttpError(422, { error: 'rule', message });
}

export function conflict(message: string, conflicts: readonly Conflict[] = []): HttpError {
  return new HttpError(409, { error: 'conflict', message, conflicts });
}
