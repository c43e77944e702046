import { createEventHook } from '@vueuse/core';
import { withRenamedFields, type Problem, type SignedInView } from '@tasche/contract';
import { LAST_SEEN_HEADER } from '../../service-worker/last-seen';
import { isElsewhere, leavePlace } from './leave-place';
import { signedIn, signedOut, writeHeaders } from './signed-in';

/** The server said no, in its own words. */
export class ApiError extends Error {
  override readonly name = 'ApiError';

  constructor(
    readonly status: number,
    readonly problem: Problem,
  ) {
    super(problem.message);
  }
}

/** No answer, an unreadable answer, or a fault of the server: worth trying again. */
export class NetworkError extends Error {
  override readonly name: string = 'NetworkError';
}

/** No one is signed in: after signing in it is worth trying again. */
export class SignedOutError extends NetworkError {
  override readonly name = 'SignedOutError';
}

/** Called with every response before it is read. */
export const answered = createEventHook<Response>();

/** An answer that takes longer is given up. */
const MAX_WAIT_MS = 30_000;
/** Statuses below 500 that say "not now" rather than "no". */
const NOT_NOW = [408, 425, 429];

/**
 * Asks the server.
 * @throws ApiError when it answers no and says why, NetworkError when it does not answer, or its answer settles
 * nothing
 */
export async function request<T>(path: string, init?: RequestInit): Promise<T> {
  let { response, answer } = await ask(path, init);
  if (response.status === 403 && problemIn(answer)?.error === 'page-too-old') {
    // The session started again, perhaps in another tab: its token has changed.
    const again = await ask('/signed-in');
    if (again.response.ok) await takeAgain(again.answer as SignedInView);
    ({ response, answer } = await ask(path, init));
  }
  if (response.ok) return answer as T;
  const problem = problemIn(answer);
  if (response.status === 401) {
    await signedOut.trigger();
    throw new SignedOutError(problem?.message ?? 'Sign in first.');
  }
  if (!problem || response.status >= 500 || NOT_NOW.includes(response.status)) {
    throw new NetworkError(problem?.message ?? `The server answered ${response.status}.`);
  }
  throw new ApiError(response.status, problem);
}

/**
 * Asks who is signed in after the page stood aside: perhaps nobody any more, or somebody else.
 * @throws NetworkError as `request`
 */
export async function readSignedInAgain(): Promise<void> {
  await takeAgain(await request<SignedInView>('/signed-in'));
}

/**
 * Who is signed in, read again. If that is another person or workspace, the page reloads, and nothing of it is
 * sent.
 */
async function takeAgain(now: SignedInView): Promise<void> {
  const before = signedIn.value;
  if (before && isElsewhere(before, now)) {
    await leavePlace({ to: '/roster', isOtherPerson: before.personId !== now.personId });
    throw new NetworkError('This browser is in another workspace now; the page reloads.');
  }
  signedIn.value = now;
}

/**
 * A request made before signing in: a 401 is its answer, and not a sign of having been signed out.
 */
export async function requestSignedOut<T>(path: string, body: unknown): Promise<T> {
  const { response, answer } = await ask(path, writing(body));
  if (response.ok) return answer as T;
  const problem = problemIn(answer);
  if (!problem || response.status >= 500)
    throw new NetworkError(problem?.message ?? `The server answered ${response.status}.`);
  throw new ApiError(response.status, problem);
}

async function ask(path: string, init?: RequestInit): Promise<{ response: Response; answer: unknown }> {
  const isRead = (init?.method ?? 'GET') === 'GET';
  const headers = {
    ...(init?.headers as Record<string, string> | undefined),
    ...(isRead ? {} : writeHeaders()),
  };
  const patience = AbortSignal.timeout(MAX_WAIT_MS);
  const signal = init?.signal ? AbortSignal.any([init.signal, patience]) : patience;
  let response: Response;
  try {
    response = await fetch(`/api${path}`, { ...init, headers, signal });
  } catch {
    throw new NetworkError('The server does not answer.');
  }
  void answered.trigger(response);
  try {
    const answer: unknown = await response.json();
    // What was last seen may be of an older version.
    const isLastSeen = response.headers.has(LAST_SEEN_HEADER);
    return { response, answer: isLastSeen ? withRenamedFields(answer) : answer };
  } catch {
    throw new NetworkError('The server’s answer could not be read.');
  }
}

/** The problem an answer names; undefined for an answer of some proxy. */
export function problemIn(answer: unknown): Problem | undefined {
  const problem = answer as Problem | null;
  return typeof problem?.error === 'string' && typeof problem.message === 'string' ? problem : undefined;
}

export function post<T>(path: string, body: unknown): Promise<T> {
  return request<T>(path, writing(body));
}

function writing(body: unknown): RequestInit {
  return {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(body),
  };
}
