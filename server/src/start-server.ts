import type { Server } from 'node:http';
import { pino } from 'pino';
import { migrate, openDatabase } from './database/database.js';
import { createApp } from './http/app.js';
import { linkGauge } from './gauge/gauge-link.js';
import { linkMonitor } from './monitor/monitor-link.js';
import { listenForStrikes } from './monitor/strike-news.js';
import { closeThreads } from './threads/thread-pool.js';
import { weatherAt as weatherServiceAt } from './weather/forecast-source.js';
import { signInAsOwner } from './workspaces/sign-in-as-owner.js';

export interface ServerOptions {
  databaseUrl: string;
  host: string;
  port: number;
  webFolder?: string;
  demo: boolean;
  /** Where a launch monitor listens. */
  monitor?: { host: string; port: number };
  /** Where a loft-and-lie gauge listens. */
  gauge?: { host: string; port: number };
  /** Where a weather service answers. */
  weatherAt?: string;
  /** Host names to serve besides loopback. */
  hosts?: readonly string[];
}

/** A machine that has just started may stand still for longer than a request should wait: its first connection is tried a few times. */
const FIRST_TRIES = 5;
async function patiently(work: () => Promise<void>): Promise<void> {
  for (let tried = 1; ; tried++) {
    try {
      await work();
      return;
    } catch (error) {
      if (tried >= FIRST_TRIES || !/timeout expired/.test((error as Error).message)) throw error;
    }
  }
}

/** Opens the database, brings it up to date, and listens. Answers with what closes it all again. */
export async function startServer({
  databaseUrl,
  host,
  port,
  webFolder,
  demo,
  monitor: monitorAt,
  gauge: gaugeAt,
  weatherAt,
  hosts = [],
}: ServerOptions): Promise<() => Promise<void>> {
  const log = pino({ level: process.env.TASCHE_LOG ?? 'error' });
  const orm = await openDatabase(databaseUrl);
  try {
    await patiently(() => migrate(databaseUrl));
    if (demo) await (await import('./demo/load-demo.js')).loadDemo(orm);
    const signIn = await signInAsOwner(orm);
    const news = listenForStrikes(databaseUrl, log);
    // One van, one monitor: its balls go to the workspace everybody is signed in to.
    const monitor = monitorAt && linkMonitor({ orm, log, workspaceId: signIn.workspaceId, ...monitorAt });
    const gauge = gaugeAt && linkGauge({ log, ...gaugeAt });
    const app = createApp({
      orm,
      signIn: signIn.signIn,
      log,
      news,
      hosts: [host, ...hosts],
      ...(monitor && { monitor }),
      ...(gauge && { gauge }),
      ...(weatherAt && { weather: weatherServiceAt(weatherAt) }),
      ...(webFolder !== undefined && { webFolder }),
    });
    const server = await new Promise<Server>((resolve, reject) => {
      const listening = app.listen(port, host, (error?: Error) =>
        error ? reject(error) : resolve(listening),
      );
      // A sender that dawdles holds a socket, and no more than a socket, for no longer than this.
      listening.headersTimeout = 15_000;
      listening.requestTimeout = 240_000;
    });
    return async () => {
      await monitor?.close();
      gauge?.close();
      await news.close();
      server.closeAllConnections();
      await new Promise((resolve) => {
        server.close(resolve);
      });
      await closeThreads();
      await orm.close(true);
    };
  } catch (error) {
    await orm.close(true);
    throw error;
  }
}
