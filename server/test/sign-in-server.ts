import type { SignedInView } from '@tasche/contract';
import type { MikroORM } from '@mikro-orm/postgresql';
import type { Express } from 'express';
import { pino } from 'pino';
import request from 'supertest';
import { v4 as newId } from 'uuid';
import { inject } from 'vitest';
import { asTableOwner } from '../src/database/database.js';
import { createApp, type AppOptions } from '../src/http/app.js';
import { browserSessions, type BrowserSessions } from '../src/people/browser-sessions.js';
import { identifyBy } from '../src/people/identify.js';
import { FailedTries } from '../src/people/sign-in.js';
import { firstPersonLink } from '../src/workspaces/first-workspace.js';
import { workbench } from './workbench.js';

export const PASSWORD = 'seven iron off wet turf';

/**
 * A browser of somebody's, behind a proxy that ends TLS: it keeps its cookie and what goes back with
 * everything it writes.
 */
export class Browser {
  cookie = '';
  csrf: string | null = null;

  constructor(
    private readonly app: Express,
    /** Where it is. */
    readonly address = '198.51.100.7',
  ) {}

  get(path: string): request.Test {
    return this.sent(request(this.app).get(`/api${path}`));
  }

  post(path: string, body: object = {}): request.Test {
    return this.written(path).send(body);
  }

  /** Posts a file. */
  send(path: string, file: string): request.Test {
    return this.written(path).set('content-type', 'application/octet-stream').send(file);
  }

  /** Posts and keeps whom the answer says is signed in. */
  async enter(path: string, body: object): Promise<SignedInView> {
    const answer = await this.post(path, body).expect(200);
    const cookie = ([] as string[]).concat(answer.headers['set-cookie'] ?? [])[0];
    if (cookie !== undefined) this.cookie = cookie.split(';')[0]!;
    const view = answer.body as SignedInView;
    this.csrf = view.csrf;
    return view;
  }

  signIn(email: string, password = PASSWORD, more: object = {}): Promise<SignedInView> {
    return this.enter('/sign-in', { email, password, ...more });
  }

  private written(path: string): request.Test {
    const asked = this.sent(request(this.app).post(`/api${path}`));
    return this.csrf === null ? asked : asked.set('x-csrf-token', this.csrf);
  }

  private sent(asked: request.Test): request.Test {
    asked.set('x-forwarded-proto', 'https').set('x-forwarded-for', this.address);
    return this.cookie === '' ? asked : asked.set('cookie', this.cookie);
  }
}

/** A server people sign in to, with a workspace and its owner. */
export interface SignInServer {
  orm: MikroORM;
  workspaceId: string;
  sessions: BrowserSessions;
  app: Express;
  browser: (address?: string) => Browser;
  /** The owner's browser, and their address for signing in. */
  owner: Browser;
  ownerEmail: string;
  /** Somebody invited, who took it up. */
  invited: (
    role: string,
    playerIds?: readonly string[],
  ) => Promise<{ browser: Browser; email: string; personId: string }>;
  close: () => Promise<void>;
}

export function keyOf(url: string): string {
  return url.slice(url.indexOf('#') + 1);
}

export async function signInServer(more: Partial<AppOptions> = {}): Promise<SignInServer> {
  const { orm, workspaceId } = await workbench();
  const sessions = await browserSessions(inject('databaseUrl'), 'a secret of this test');
  const app = createApp({
    orm,
    identify: identifyBy(orm),
    people: { sessions, tries: new FailedTries(sessions.pool) },
    proxies: ['loopback'],
    log: pino({ level: 'silent' }),
    ...more,
  });
  const browser = (address?: string) => new Browser(app, address);
  const link = await asTableOwner(inject('ownerUrl'), (owner) =>
    firstPersonLink(owner, workspaceId, 'https://van.example'),
  );
  const owner = browser();
  const ownerEmail = `jonas-${newId()}@van.example`;
  await owner.enter('/links/use', {
    key: keyOf(link!),
    name: 'Jonas Brandl',
    email: ownerEmail,
    password: PASSWORD,
  });
  return {
    orm,
    workspaceId,
    sessions,
    app,
    browser,
    owner,
    ownerEmail,
    invited: async (role, playerIds) => {
      const email = `${role}-${newId()}@van.example`;
      const { body } = await owner
        .post('/people/invite', { name: `The ${role}`, email, role, ...(playerIds && { playerIds }) })
        .expect(200);
      const theirs = browser();
      const view = await theirs.enter('/links/use', {
        key: keyOf((body as { url: string }).url),
        name: `The ${role}`,
        password: PASSWORD,
      });
      return { browser: theirs, email, personId: view.personId! };
    },
    close: () => sessions.close(),
  };
}
