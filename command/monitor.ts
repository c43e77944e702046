import { fork, type ChildProcess } from 'node:child_process';
import { Stop } from './stop.js';

export interface StartedMonitor { host: string; port: number; stop: () => void }

/** Starts the simulated launch monitor as a program of its own; it ends with this one, however this one ends. */
export async function startMonitor(): Promise<StartedMonitor> {
  const every = process.env.TASCHE_MONITOR_EVERY;
  const child: ChildProcess = fork('standins/launch-monitor/main.ts', every ? ['--every', every] : [], { execArgv: ['--import', 'tsx'], stdio: ['ignore', 'pipe', 'inherit', 'ipc'] });
  const port = await new Promise<number>((resolve, reject) => {
    child.stdout!.on('data', (chunk: Buffer) => {
      const match = /listening on 127\.0\.0\.1:(\d+)/.exec(chunk.toString());
      if (match) resolve(Number(match[1]));
    });
    child.once('exit', (code) => { reject(new Stop(`the simulated launch monitor did not start (exit ${code}).`)); });
  });
  return { host: '127.0.0.1', port, stop: () => child.kill('SIGTERM') };
}

/** A launch monitor named by TASCHE_MONITOR as host:port. */
export function namedMonitor(): { host: string; port: number } | undefined {
  const named = process.env.TASCHE_MONITOR;
  if (!named) return undefined;
  const match = /^(.+):(\d{1,5})$/.exec(named);
  if (!match || Number(match[2]) > 65_535) throw new Stop(`TASCHE_MONITOR must be host:port, got "${named}".`, 2);
  return { host: match[1]!, port: Number(match[2]) };
}
