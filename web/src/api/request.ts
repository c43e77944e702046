import { createEventHook } from '@vueuse/core';
import type { Problem } from '@tasche/contract';

/** The server said no, in its own words. */
export class ApiError extends Error {
  override readonly name = 'Refused';

  constructor(
    readonly status: number,
    readonly problem: Problem,
  ) {
    super(problem.message);
  }
}

/** Nobody answered, or not so that it can be understood, or the fault was not ours: worth trying again. */
export class NetworkError extends Error {
  override readonly name = 'Away';
}

/** Told every answer to a question, before it is read. */
export const answered = createEventHook<Response>();

/** An answer that takes longer does not come. */
const MAX_WAIT_MS = 30_000;
/** Statuses below 500 that say "not now" rather than "no". */
const NOT_NOW = [408, 425, 429];

/**
 * Asks the server.
 * @throws ApiError when it answers no and says why, Away when it does not answer, or its answer settles nothing
 */
export async function request<T>(path: string, init?: RequestInit): Promise<T> {
  let response: Response;
  let answer: unknown;
  try {
    response = await fetch(`/api${path}`, { signal: AbortSignal.timeout(MAX_WAIT_MS), ...init });
  } catch {
    throw new NetworkError('The server does not answer.');
  }
  void answered.trigger(response);
  try {
    answer = await response.json();
  } catch {
    throw new NetworkError('What the server answered could not be read.');
  }
  if (response.ok) return answer as T;
  const problem = problemIn(answer);
  if (!problem || response.status >= 500 || NOT_NOW.includes(response.status)) {
    throw new NetworkError(problem?.message ?? `The server answered ${response.status}.`);
  }
  throw new ApiError(response.status, problem);
}

/** The problem an answer names; undefined for one some proxy wrote. */
export function problemIn(answer: unknown): Problem | undefined {
  const problem = answer as Problem | null;
  return typeof problem?.error === 'string' && typeof problem.message === 'string' ? problem : undefined;
}

export function post<T>(path: string, body: unknown): Promise<T> {
  return request<T>(path, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(body),
  });
}
