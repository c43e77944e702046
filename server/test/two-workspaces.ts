import type { MikroORM } from '@mikro-orm/postgresql';
import { pino } from 'pino';
import { throwAwayCluster, type Cluster } from '../../command/cluster.js';
import { asTableOwner, migrate, openDatabase, roleIn } from '../src/database/database.js';
import { loadDemo } from '../src/demo/load-demo.js';
import { createApp } from '../src/http/app.js';
import { browserSessions } from '../src/people/browser-sessions.js';
import { identifyBy } from '../src/people/identify.js';
import { FailedTries } from '../src/people/sign-in.js';
import { firstPersonLink } from '../src/workspaces/first-workspace.js';
import { Browser, PASSWORD, keyOf } from './sign-in-server.js';

export const DEMO = '7a5c4e00-0000-4000-8000-00000000de30';
export const DAVOR = '7a5c4e00-0001-4000-8000-000000000000';

/** One server with a database of its own: the demo's workspace with its owner, and the owner of another. */
export interface TwoWorkspaces {
  cluster: Cluster;
  orm: MikroORM;
  /** Owns the demo. */
  rep: Browser;
  other: Browser;
  close: () => Promise<void>;
}

export async function twoWorkspaces(): Promise<TwoWorkspaces> {
  const cluster = await throwAwayCluster();
  await migrate(cluster.ownerUrl, roleIn(cluster.url));
  const orm = await openDatabase(cluster.url);
  await loadDemo(orm);
  const sessions = await browserSessions(cluster.url, 'a secret of this test');
  const app = createApp({
    orm,
    identify: identifyBy(orm),
    people: { sessions, tries: new FailedTries(sessions.pool) },
    proxies: ['loopback'],
    log: pino({ level: process.env.LOUD ?? 'silent' }),
  });
  const rep = new Browser(app);
  const other = new Browser(app, '198.51.100.8');
  const link = await asTableOwner(cluster.ownerUrl, (owner) =>
    firstPersonLink(owner, DEMO, 'https://van.example'),
  );
  await rep.enter('/links/use', {
    key: keyOf(link!),
    name: 'Jonas',
    email: 'jonas@van.example',
    password: PASSWORD,
  });
  const { body } = await rep
    .post('/people/invite', { name: 'Ida', email: 'ida@fjord.example', role: 'caddie' })
    .expect(200);
  await other.enter('/links/use', {
    key: keyOf((body as { url: string }).url),
    name: 'Ida',
    password: PASSWORD,
  });
  await other.enter('/workspaces', { name: 'Fjord van' });
  const close = async () => {
    await sessions.close();
    await orm.close(true);
    cluster.stop();
  };
  return { cluster, orm, rep, other, close };
}
