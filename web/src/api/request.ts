import type { Problem } from '@tasche/contract';

/** The server said no, in its own words. */
export class Refused extends Error {
  override readonly name = 'Refused';

  constructor(readonly status: number, readonly problem: Problem) {
    super(problem.message);
  }
}

/** Nobody answered, or the database behind the server is away: worth trying again. */
export class Away extends Error {
  override readonly name = 'Away';
}

/**
 * Asks the server.
 * @throws Refused when it answers no, Away when it does not answer or its database is away
 */
export async function request<T>(path: string, init?: RequestInit): Promise<T> {
  let response: Response;
  try {
    response = await fetch(`/api${path}`, init);
  } catch {
    throw new Away('The server does not answer.');
  }
  if (response.ok) return await response.json() as T;
  const problem = await response.json().catch(() => undefined) as Problem | undefined;
  if (response.status === 503 || response.status === 502 || response.status === 504) {
    throw new Away(problem?.message ?? 'The server is busy.');
  }
  throw new Refused(response.status, problem ?? { error: 'internal', message: `The server answered ${response.status}.` });
}

export function post<T>(path: string, body: unknown): Promise<T> {
  return request<T>(path, { method: 'POST', headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) });
}
