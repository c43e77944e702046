import os from 'node:os';
import { Piscina } from 'piscina';
import { HttpError } from '../http/http-error.js';

/** One core works while the other serves; more than so many waiting are sent away. */
const MAX_THREADS = Math.max(1, os.cpus().length - 1);
const MAX_WAITING = 10;
/** Of one workspace at once, so that no workspace blocks the others. */
const MAX_OF_ONE = 6;
/** Anything that takes longer is aborted. */
const MAX_MS = 30_000;
const IDLE_MS = 60_000;

let pool: Piscina | undefined;
/** Tasks that run or wait, by workspace. */
const asked = new Map<string, number>();

/**
 * Runs a task beside the server, so that no other request waits for it.
 * @param file the module whose default export does it
 * @param input what that function is given; copied, as for any worker
 * @param signal gives it up, in the queue or while it runs, once no client waits for it any more
 * @param workspaceId whose it is; so many of one at once
 * @throws HttpError 503 where too many wait, to be tried again; 422 where it took longer than 30 s;
 * AbortError when given up
 */
export async function runInThread<Input, Output>(
  file: URL,
  input: Input,
  signal: AbortSignal,
  workspaceId: string,
): Promise<Output> {
  pool ??= new Piscina({
    minThreads: 0,
    maxThreads: MAX_THREADS,
    idleTimeout: IDLE_MS,
    execArgv: threadArguments(file),
  });
  const own = asked.get(workspaceId) ?? 0;
  if (pool.queueSize >= MAX_WAITING || own >= MAX_OF_ONE) {
    throw new HttpError(503, {
      error: 'busy',
      message: 'The server is busy with other calculations; try again in a moment.',
    });
  }
  asked.set(workspaceId, own + 1);
  const tooLong = AbortSignal.timeout(MAX_MS);
  try {
    return (await pool.run(input, {
      filename: file.href,
      signal: AbortSignal.any([signal, tooLong]),
    })) as Output;
  } catch (error) {
    if (tooLong.aborted)
      throw new HttpError(422, {
        error: 'rule',
        message: `That took longer than ${MAX_MS / 1000} s to work out and was stopped.`,
      });
    throw error;
  } finally {
    const left = (asked.get(workspaceId) ?? 1) - 1;
    if (left > 0) asked.set(workspaceId, left);
    else asked.delete(workspaceId);
    startAgain();
  }
}

/**
 * A task that is given up takes its thread with it, and a pool that may have none then starts no other for
 * those who wait: something new, which does nothing, has it do so.
 */
function startAgain(): void {
  if (!pool || asked.size === 0 || pool.threads.length >= MAX_THREADS) return;
  pool.run(null, { filename: new URL('./do-nothing.ts', import.meta.url).href }).catch(() => undefined);
}

/**
 * A thread that runs TypeScript is told how. Nothing else is handed on: a thread refuses flags that are for
 * the process alone, such as those of the heap.
 */
function threadArguments(file: URL): string[] {
  return file.pathname.endsWith('.ts') ? ['--import', 'tsx'] : [];
}

/** How busy the threads are. */
export function threadState(): { queued: number; done: number; meanS: number } {
  const mean = pool?.histogram.runTime.mean ?? 0;
  return {
    queued: pool?.queueSize ?? 0,
    done: pool?.completed ?? 0,
    meanS: Number.isFinite(mean) ? mean / 1000 : 0,
  };
}

/** Ends the threads there are; a later task starts new ones. */
export async function closeThreads(): Promise<void> {
  const open = pool;
  pool = undefined;
  await open?.destroy();
}
