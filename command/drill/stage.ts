import { spawnSync, type ChildProcess } from 'node:child_process';
import { once } from 'node:events';
import { readFileSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { setTimeout as wait } from 'node:timers/promises';
import { postgresPrograms } from '../as-postgres.js';
import { chromiumProgram } from '../browser.js';
import { CliError } from '../stop.js';
import type { ClientAsks, DatabaseMember, Passwords } from './clients.js';
import { databaseProxyOf, serverProxyOf, startDatabaseHosts } from './database-hosts.js';
import { Network, type Host } from './hosts.js';

const STARTS_WITHIN_MS = 120_000;
/** A replica that is further behind has not caught up. */
const FOLLOWS_WITHIN_BYTES = 1_000_000;

interface StageOptions {
  /** Where everything is written; the postgres user can enter it. */
  folder: string;
  webFolder: string;
  serverFolder: string;
  passwords: Passwords;
}

/**
 * Everything the drill runs on, each on a host of its own: three databases, two servers, a proxy before
 * each kind, and the clients.
 */
export class Stage {
  readonly databases: readonly Host[];
  readonly databaseProxy: Host;
  readonly servers: readonly Host[];
  readonly serverProxy: Host;
  private readonly network: Network;
  private readonly clientHost: Host;
  private clients: ChildProcess | undefined;

  constructor(private readonly options: StageOptions) {
    const network = (this.network = new Network(options.folder));
    this.databases = ['a', 'b', 'c'].map((name) => network.host(name));
    this.databaseProxy = network.host('db');
    this.servers = ['x', 'y'].map((name) => network.host(name));
    this.serverProxy = network.host('front');
    this.clientHost = network.host('clients');
  }

  /** Brings everything up, in the order a person would. @throws CliError where something does not come up */
  async start(): Promise<void> {
    const { folder, passwords } = this.options;
    startDatabaseHosts({
      hosts: this.databases,
      folder: path.join(folder, 'databases'),
      postgresBin: postgresPrograms(),
    });
    const { certificate, both } = makeCertificate(folder, this.serverProxy.address);
    this.proxy(this.databaseProxy, databaseProxyOf(this.databases));
    this.proxy(this.serverProxy, serverProxyOf(this.servers, this.serverProxy.address, both));
    await this.startClients(certificate);
    await until('the databases', STARTS_WITHIN_MS, () => this.databasesAreWhole());
    await this.ask('prepare', passwords);
    for (const server of this.servers) this.startServer(server);
    await until('the servers', STARTS_WITHIN_MS, () => this.serversAreUp());
    await this.ask('begin', this.firstPersonAt());
  }

  close(): void {
    this.clients?.disconnect();
    this.network.close();
  }

  private proxy(host: Host, settings: string): void {
    const file = path.join(this.options.folder, `${host.name}.cfg`);
    writeFileSync(file, settings);
    host.keep({ name: 'haproxy', program: 'haproxy', args: ['-f', file] });
  }

  private startServer(host: Host): void {
    const { passwords, serverFolder, webFolder } = this.options;
    const as = (role: string, password: string) =>
      `postgresql://${role}:${password}@${this.databaseProxy.address}:5432/tasche`;
    host.keep({
      name: 'tasche',
      program: process.execPath,
      args: [path.join(serverFolder, 'main.js')],
      environment: {
        DATABASE_URL: as('tasche_app', passwords.application),
        DATABASE_OWNER_URL: as('tasche', passwords.owner),
        TASCHE_HOST: '0.0.0.0',
        TASCHE_HOSTS: `${this.serverProxy.address},${host.address}`,
        TASCHE_PROXIES: this.serverProxy.address,
        TASCHE_MONITOR: `${this.clientHost.address}:9000`,
        TASCHE_WEB: webFolder,
        TASCHE_LOG: 'warn',
        NODE_ENV: 'production',
        PORT: '4310',
      },
    });
  }

  /** The address the first server to start has printed; those of later ones replace it. */
  private firstPersonAt(): string {
    const said = this.servers.flatMap(({ name }) => {
      const text = readFileSync(path.join(this.options.folder, `${name}-tasche.log`), 'utf8');
      return [...text.matchAll(/\/welcome#[\w-]+/g)].map(([link]) => link);
    });
    return said.join(' ');
  }

  private async startClients(certificate: string): Promise<void> {
    this.clients = this.clientHost.spawn(
      process.execPath,
      [
        ...['--import', 'tsx', 'command/drill/clients.ts'],
        ...[this.databaseProxy.address, `https://${this.serverProxy.address}`, this.clientHost.address],
        ...[chromiumProgram(), this.options.folder],
      ],
      {
        stdio: ['ignore', 'inherit', 'inherit', 'ipc'],
        env: { ...process.env, NODE_EXTRA_CA_CERTS: certificate },
      },
    );
    await once(this.clients, 'message');
  }

  /** Asks the clients something. @throws Error as they did */
  async ask<K extends keyof ClientAsks>(
    ask: K,
    ...args: Parameters<ClientAsks[K]>
  ): Promise<Awaited<ReturnType<ClientAsks[K]>>> {
    this.clients!.send({ ask, args });
    const [{ answer, error }] = (await once(this.clients!, 'message')) as [
      { answer: unknown; error?: string },
    ];
    if (error !== undefined) throw new Error(error);
    return answer as Awaited<ReturnType<ClientAsks[K]>>;
  }

  private members(): Promise<readonly DatabaseMember[]> {
    return this.ask(
      'databases',
      this.databases.map(({ address }) => address),
    );
  }

  /** A primary and two replicas that follow it, one of them confirming every commit. */
  async databasesAreWhole(): Promise<boolean> {
    const members = await this.members();
    const leader = members.find(({ role }) => role === 'leader');
    const followers = members.filter(
      ({ role, timeline, lag }) =>
        (role === 'sync_standby' || role === 'replica') &&
        timeline === leader?.timeline &&
        typeof lag === 'number' &&
        lag < FOLLOWS_WITHIN_BYTES,
    );
    return (
      members.every(({ state }) => /running|streaming/.test(state)) &&
      followers.length === this.databases.length - 1 &&
      followers.some(({ role }) => role === 'sync_standby')
    );
  }

  async serversAreUp(): Promise<boolean> {
    const ready = await this.ask(
      'ready',
      this.servers.map(({ address }) => `http://${address}:4310`),
    );
    return ready === this.servers.length;
  }

  /** Which database is what now. @throws CliError where there is no primary */
  async roles(): Promise<Record<'primary' | 'synchronous' | 'other', Host>> {
    const members = await this.members();
    const host = (role: string) => {
      const name = members.find((one) => one.role === role)?.name;
      const found = this.databases.find((one) => one.name === name);
      if (!found) throw new CliError(`there is no ${role} among the databases.`);
      return found;
    };
    return { primary: host('leader'), synchronous: host('sync_standby'), other: host('replica') };
  }
}

/** Waits for something. @throws CliError naming it, where it does not come to be in time */
export async function until(what: string, withinMs: number, done: () => Promise<boolean>): Promise<void> {
  for (const start = Date.now(); !(await done());) {
    if (Date.now() - start > withinMs)
      throw new CliError(`${what}: not within ${Math.round(withinMs / 1000)} s.`);
    await wait(300);
  }
}

/** A certificate for the drill's own address, made and thrown away with it. */
function makeCertificate(folder: string, address: string): { certificate: string; both: string } {
  const [key, certificate, both] = ['key.pem', 'certificate.pem', 'both.pem'].map((name) =>
    path.join(folder, name),
  ) as [string, string, string];
  const done = spawnSync(
    'openssl',
    [
      ...['req', '-x509', '-newkey', 'rsa:2048', '-nodes', '-days', '2', '-keyout', key, '-out', certificate],
      ...['-subj', '/CN=tasche-drill', '-addext', `subjectAltName=IP:${address}`],
    ],
    { encoding: 'utf8' },
  );
  if (done.status !== 0) throw new CliError(`openssl: ${done.stderr}`);
  writeFileSync(both, readFileSync(certificate, 'utf8') + readFileSync(key, 'utf8'));
  return { certificate, both };
}
