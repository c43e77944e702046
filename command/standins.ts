import { fork, type ChildProcess } from 'node:child_process';
import { CliError } from './stop.js';

export interface StartedStandIn {
  host: string;
  port: number;
  stop: () => void;
}

/** Starts a stand-in as a program of its own; it ends with this one, however this one ends. */
async function start(
  name: 'launch-monitor' | 'gauge' | 'weather',
  args: readonly string[],
): Promise<StartedStandIn> {
  const child: ChildProcess = fork(`standins/${name}/main.ts`, [...args], {
    execArgv: ['--import', 'tsx'],
    stdio: ['ignore', 'pipe', 'inherit', 'ipc'],
  });
  const port = await new Promise<number>((resolve, reject) => {
    child.stdout!.on('data', (chunk: Buffer) => {
      const match = /listening on 127\.0\.0\.1:(\d+)/.exec(chunk.toString());
      if (match) resolve(Number(match[1]));
    });
    child.once('exit', (code) => {
      reject(new CliError(`the stand-in ${name} did not start (exit ${code}).`));
    });
  });
  return { host: '127.0.0.1', port, stop: () => child.kill('SIGTERM') };
}

export function startMonitor(): Promise<StartedStandIn> {
  const every = process.env.TASCHE_MONITOR_EVERY;
  return start('launch-monitor', every ? ['--every', every] : []);
}

export function startGauge(): Promise<StartedStandIn> {
  return start('gauge', []);
}

export function startWeather(): Promise<StartedStandIn> {
  return start('weather', []);
}
