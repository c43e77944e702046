import type { Server } from 'node:http';
import { pino } from 'pino';
import { asTableOwner, migrate, openDatabase, roleIn } from './database/database.js';
import { createApp } from './http/app.js';
import { metricsOf } from './http/metrics.js';
import { linkGauge } from './gauge/gauge-link.js';
import { mailThrough } from './mail/mail-service.js';
import { linkMonitor } from './monitor/monitor-link.js';
import { listenForNews } from './news/listen-for-news.js';
import { closeThreads } from './threads/thread-pool.js';
import { weatherAt as weatherServiceAt } from './weather/forecast-source.js';
import { browserSessions } from './people/browser-sessions.js';
import { identifyBy } from './people/identify.js';
import { FailedTries } from './people/sign-in.js';
import { firstPersonLink, firstWorkspace, machinePerson } from './workspaces/first-workspace.js';

export interface ServerOptions {
  /** As the application. */
  databaseUrl: string;
  /** As the owner of the tables, where that is another role. */
  ownerUrl?: string;
  /** Signs cookies; all servers of one database share it. Left out, the database keeps one. */
  secret?: string;
  /** Lets the user of this machine in without signing in: for the demo, benchmarks, tests. */
  letMachineIn: boolean;
  /** Addresses of proxies in front. */
  proxies?: readonly string[];
  /** Lets anyone who has it read the metrics from another machine. */
  metricsKey?: string;
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
  /** Where letters are sent through, and the address they come from. */
  mail?: { address: string; from: string };
  /** Host names to serve besides loopback. */
  hosts?: readonly string[];
}

/**
 * A machine that has just started may stand still for longer than a request should wait: its first
 * connection is tried a few times.
 */
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

export interface StartedServer {
  close: () => Promise<void>;
  /** While nobody owns the workspace: where the first person makes their account. */
  firstPersonAt: string | null;
}

/** Opens the database, brings it up to date, and listens. */
export async function startServer({
  databaseUrl,
  ownerUrl = databaseUrl,
  secret,
  letMachineIn,
  proxies = [],
  metricsKey,
  host,
  port,
  webFolder,
  demo,
  monitor: monitorAt,
  gauge: gaugeAt,
  weatherAt,
  mail: mailAt,
  hosts = [],
}: ServerOptions): Promise<StartedServer> {
  const log = pino({ level: process.env.TASCHE_LOG ?? 'error' });
  const orm = await openDatabase(databaseUrl);
  try {
    await patiently(() =>
      migrate(ownerUrl, roleIn(ownerUrl) === roleIn(databaseUrl) ? undefined : roleIn(databaseUrl)),
    );
    if (demo) await (await import('./demo/load-demo.js')).loadDemo(orm);
    const { workspace, firstPersonAt } = await asTableOwner(ownerUrl, async (owner) => {
      const first = await firstWorkspace(owner);
      return {
        workspace: first,
        firstPersonAt: letMachineIn ? null : await firstPersonLink(owner, first.id, `http://${host}:${port}`),
      };
    });
    const sessions = await browserSessions(databaseUrl, secret);
    const people = { sessions, tries: new FailedTries(sessions.pool) };
    const identify = identifyBy(
      orm,
      letMachineIn ? () => Promise.resolve(machinePerson(workspace)) : undefined,
    );
    const news = listenForNews(databaseUrl, log);
    // One van, one monitor: its balls go to the workspace everybody is signed in to.
    const monitor = monitorAt && linkMonitor({ orm, log, workspaceId: workspace.id, ...monitorAt });
    const gauge = gaugeAt && linkGauge({ log, ...gaugeAt });
    const mail = mailAt && mailThrough(mailAt.address, mailAt.from, log);
    const app = createApp({
      orm,
      identify,
      people,
      proxies,
      metrics: metricsOf(orm, metricsKey),
      log,
      news,
      hosts: [host, ...hosts],
      devicesOf: workspace.id,
      ...(monitor && { monitor }),
      ...(gauge && { gauge }),
      ...(mail && { mail }),
      ...(weatherAt && { weather: weatherServiceAt(weatherAt) }),
      ...(webFolder !== undefined && { webFolder }),
    });
    const server = await new Promise<Server>((resolve, reject) => {
      const listening = app.listen(port, host, (error?: Error) =>
        error ? reject(error) : resolve(listening),
      );
      // A slow sender holds a socket, and nothing more, for no longer than this.
      listening.headersTimeout = 15_000;
      listening.requestTimeout = 240_000;
    });
    const close = async () => {
      await monitor?.close();
      gauge?.close();
      mail?.close();
      await news.close();
      server.closeAllConnections();
      await new Promise((resolve) => {
        server.close(resolve);
      });
      await closeThreads();
      await sessions.close();
      await orm.close(true);
    };
    return { close, firstPersonAt };
  } catch (error) {
    await orm.close(true);
    throw error;
  }
}
