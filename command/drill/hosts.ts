import { spawn, spawnSync, type ChildProcess, type SpawnOptions } from 'node:child_process';
import { createWriteStream } from 'node:fs';
import path from 'node:path';
import { CliError } from '../stop.js';

/** Where a host's address begins; nothing of it is seen outside the drill's own network. */
const NETWORK = '10.77.0';
const SWITCH = 'tasche-switch';
/** A service that ended is started again after so long, as a service manager does. */
const AGAIN_MS = 2000;

/** What a host runs for as long as it is up. */
interface Service {
  name: string;
  program: string;
  args: readonly string[];
  /** Debian's `postgres` user, who may not be root; root where it is left out. */
  asPostgres?: boolean;
  environment?: NodeJS.ProcessEnv;
}

function ip(...args: string[]): void {
  const done = spawnSync('ip', args, { encoding: 'utf8' });
  if (done.status !== 0) throw new CliError(`ip ${args.join(' ')}: ${done.stderr.trim()}`);
}

/**
 * A network of its own within this machine: a switch, and hosts that reach each other through it and
 * nothing else.
 */
export class Network {
  readonly hosts: Host[] = [];

  constructor(private readonly folder: string) {
    Network.clear();
    ip('netns', 'add', SWITCH);
    ip('-n', SWITCH, 'link', 'add', 'switch', 'type', 'bridge');
    ip('-n', SWITCH, 'link', 'set', 'switch', 'up');
  }

  /** Takes away what an earlier drill left behind. */
  static clear(): void {
    const names = spawnSync('ip', ['netns', 'list'], { encoding: 'utf8' })
      .stdout.split('\n')
      .map((line) => line.split(' ')[0]!)
      .filter((name) => name.startsWith('tasche-'));
    for (const name of names) {
      endAllIn(name);
      spawnSync('ip', ['netns', 'delete', name]);
    }
  }

  host(name: string): Host {
    const host = new Host(name, `${NETWORK}.${10 + this.hosts.length}`, this.folder);
    this.hosts.push(host);
    return host;
  }

  close(): void {
    for (const host of this.hosts) host.retire();
    Network.clear();
  }
}

function pidsIn(namespace: string): number[] {
  return spawnSync('ip', ['netns', 'pids', namespace], { encoding: 'utf8' })
    .stdout.split('\n')
    .map(Number)
    .filter((pid) => pid > 1);
}

function endAllIn(namespace: string): void {
  for (const pid of pidsIn(namespace)) kill(pid);
}

/** Ends a process without warning. */
export function kill(pid: number): void {
  try {
    process.kill(pid, 'SIGKILL');
  } catch {
    // It is gone already.
  }
}

/** One host: a network namespace with an address, and what runs in it. */
export class Host {
  private readonly services: Service[] = [];
  private readonly running = new Map<string, ChildProcess>();
  private isUp = true;

  constructor(
    readonly name: string,
    readonly address: string,
    private readonly folder: string,
  ) {
    const [namespace, link] = [this.namespace, this.link];
    ip('netns', 'add', namespace);
    ip('-n', namespace, 'link', 'set', 'lo', 'up');
    ip('-n', SWITCH, 'link', 'add', link, 'type', 'veth', 'peer', 'name', 'eth0', 'netns', namespace);
    ip('-n', SWITCH, 'link', 'set', link, 'master', 'switch', 'up');
    ip('-n', namespace, 'address', 'add', `${address}/24`, 'dev', 'eth0');
    ip('-n', namespace, 'link', 'set', 'eth0', 'up');
  }

  private get namespace(): string {
    return `tasche-${this.name}`;
  }
  private get link(): string {
    return `to-${this.name}`;
  }

  /** Runs something once, in this host. */
  spawn(program: string, args: readonly string[], options: SpawnOptions, asPostgres = false): ChildProcess {
    const who = asPostgres
      ? ['setpriv', '--reuid=postgres', '--regid=postgres', '--init-groups', '--reset-env', '--']
      : [];
    return spawn('ip', ['netns', 'exec', this.namespace, ...who, program, ...args], options);
  }

  /** Starts a service now, and whenever it ended while the host is up. */
  keep(service: Service): void {
    this.services.push(service);
    this.start(service);
  }

  private start(service: Service): void {
    if (!this.isUp) return;
    const { name, program, args, asPostgres, environment } = service;
    const child = this.spawn(
      program,
      args,
      { cwd: '/', stdio: ['ignore', 'pipe', 'pipe'], env: { ...process.env, ...environment } },
      asPostgres,
    );
    const log = createWriteStream(path.join(this.folder, `${this.name}-${name}.log`), { flags: 'a' });
    child.stdout!.pipe(log, { end: false });
    child.stderr!.pipe(log, { end: false });
    this.running.set(name, child);
    child.once('exit', (code, signal) => {
      log.end(`-- ended: ${code ?? signal}\n`);
      this.running.delete(name);
      if (this.isUp) setTimeout(() => this.start(service), AGAIN_MS).unref();
    });
  }

  /** Ends one service without warning, and all it started; it is started again as usual. */
  killService(name: string): void {
    const pid = this.running.get(name)?.pid;
    if (pid === undefined) return;
    const children = spawnSync('ps', ['-o', 'pid=', '--ppid', String(pid)], { encoding: 'utf8' }).stdout;
    kill(pid);
    children
      .split('\n')
      .map(Number)
      .filter((child) => child > 1)
      .forEach(kill);
  }

  /** The first process whose command line has this in it. */
  pidOf(pattern: RegExp): number | undefined {
    return pidsIn(this.namespace).find((pid) => {
      const words = spawnSync('ps', ['-o', 'args=', '-p', String(pid)], { encoding: 'utf8' }).stdout;
      return pattern.test(words);
    });
  }

  /** The power goes: everything ends at once and nothing comes back by itself. */
  powerOff(): void {
    this.isUp = false;
    endAllIn(this.namespace);
  }

  powerOn(): void {
    this.isUp = true;
    for (const service of this.services) if (!this.running.has(service.name)) this.start(service);
  }

  /** The cable is pulled: no host can be reached any more, and none is notified. */
  unplug(): void {
    ip('-n', SWITCH, 'link', 'set', this.link, 'down');
  }

  plug(): void {
    ip('-n', SWITCH, 'link', 'set', this.link, 'up');
  }

  /** What goes to some hosts and comes from them is dropped; all others are reached. */
  cutFrom(others: readonly Host[]): void {
    const list = others.map(({ address }) => address).join(', ');
    const rules = `table ip cut {
      chain in { type filter hook input priority 0; ip saddr { ${list} } drop; }
      chain out { type filter hook output priority 0; ip daddr { ${list} } drop; }
    }`;
    const done = spawnSync('ip', ['netns', 'exec', this.namespace, 'nft', '-f', '-'], {
      input: rules,
      encoding: 'utf8',
    });
    if (done.status !== 0) throw new CliError(`nft: ${done.stderr.trim()}`);
  }

  repair(): void {
    spawnSync('ip', ['netns', 'exec', this.namespace, 'nft', 'delete', 'table', 'ip', 'cut']);
  }

  retire(): void {
    this.isUp = false;
    endAllIn(this.namespace);
  }
}
