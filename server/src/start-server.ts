import type { Server } from 'node:http';
import { pino } from 'pino';
import { migrate, openDatabase } from './database/database.js';
import { createApp } from './http/app.js';
import { signInAsOwner } from './workspaces/sign-in-as-owner.js';

export interface ServerOptions {
  databaseUrl: string;
  host: string;
  port: number;
  webFolder?: string;
  demo: boolean;
}

/** Opens the database, brings it up to date, and listens. Answers with what closes it all again. */
export async function startServer({ databaseUrl, host, port, webFolder, demo }: ServerOptions): Promise<() => Promise<void>> {
  const log = pino({ level: process.env.TASCHE_LOG ?? 'error' });
  const orm = await openDatabase(databaseUrl);
  try {
    await migrate(orm);
    if (demo) await (await import('./demo/load-demo.js')).loadDemo(orm);
    const signIn = await signInAsOwner(orm);
    const app = createApp({ orm, signIn, log, ...(webFolder !== undefined && { webFolder }) });
    const server = await new Promise<Server>((resolve, reject) => {
      const listening = app.listen(port, host, (error?: Error) => (error ? reject(error) : resolve(listening)));
    });
    return async () => {
      server.closeAllConnections();
      await new Promise((resolve) => { server.close(resolve); });
      await orm.close(true);
    };
  } catch (error) {
    await orm.close(true);
    throw error;
  }
}
