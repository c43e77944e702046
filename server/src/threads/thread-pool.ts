import os from 'node:os';
import { Piscina } from 'piscina';
import { HttpError } from '../http/http-error.js';

/** One core works while the other serves; more than so many waiting are sent away. */
const MAX_THREADS = Math.max(1, os.cpus().length - 1);
const MAX_WAITING = 10;
/** Whatever takes longer is given up. */
const MAX_MS = 30_000;
const IDLE_MS = 60_000;

let pool: Piscina | undefined;

/**
 * Runs a task beside the server, so that nobody else waits for it.
 * @param file the module whose default export does it
 * @param input what that function is given; copied, as for any worker
 * @param signal gives it up, in the queue or while it runs, once nobody waits for it any more
 * @throws HttpError 429 where too many wait, 422 where it took longer than 30 s; AbortError when given up
 */
export async function runInThread<Input, Output>(
  file: URL,
  input: Input,
  signal: AbortSignal,
): Promise<Output> {
  pool ??= new Piscina({
    minThreads: 0,
    maxThreads: MAX_THREADS,
    idleTimeout: IDLE_MS,
    execArgv: threadArguments(file),
  });
  if (pool.queueSize >= MAX_WAITING) {
    throw new HttpError(429, {
      error: 'too-many-requests',
      message: 'Too much is being worked out already; ask again in a moment.',
    });
  }
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
        message: `That took longer than ${MAX_MS / 1000} s to work out and was given up.`,
      });
    throw error;
  }
}

/** A thread that runs TypeScript is told how. Nothing else is handed on: a thread refuses flags that are for the process alone, such as those of the heap. */
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
