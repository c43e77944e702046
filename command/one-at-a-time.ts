import { readFileSync, rmSync, writeFileSync } from 'node:fs';
import { setTimeout as pause } from 'node:timers/promises';

const LOOK_AGAIN_MS = 200;

/**
 * Runs `work` while no other code, in this process or another, runs what has the same lock. Whoever holds
 * it and was killed holds it no longer.
 * @param lock a file that is there while it is held; it names the process
 */
export async function oneAtATime<T>(lock: string, work: () => Promise<T>): Promise<T> {
  while (!take(lock)) {
    if (isLeftBehind(lock)) rmSync(lock, { force: true });
    else await pause(LOOK_AGAIN_MS);
  }
  try {
    return await work();
  } finally {
    rmSync(lock, { force: true });
  }
}

function take(lock: string): boolean {
  try {
    writeFileSync(lock, String(process.pid), { flag: 'wx' });
    return true;
  } catch (error) {
    if ((error as NodeJS.ErrnoException).code === 'EEXIST') return false;
    throw error;
  }
}

function isLeftBehind(lock: string): boolean {
  try {
    const holder = Number(readFileSync(lock, 'utf8'));
    // Being taken just now: its process is not written yet.
    if (!holder) return false;
    process.kill(holder, 0);
    return false;
  } catch (error) {
    // Gone meanwhile, it is free.
    return (error as NodeJS.ErrnoException).code === 'ESRCH';
  }
}
