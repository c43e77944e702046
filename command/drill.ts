import { existsSync, rmSync } from 'node:fs';
import { randomBytes } from 'node:crypto';
import { setTimeout as wait } from 'node:timers/promises';
import { percentile } from './bench/figure.js';
import { chromiumProgram } from './browser.js';
import { buildServer, buildWeb } from './build.js';
import { throwAwayFolder } from './data-folder.js';
import { ensureDebian } from './debian.js';
import { drillTable, worseOf, type Outcome } from './drill/drill-table.js';
import { FAULTS } from './drill/faults.js';
import { Stage, until } from './drill/stage.js';
import { fuzzWords } from './fuzz.js';
import { fuzzRequests } from './fuzz/fuzz-requests.js';
import { chanceFrom, type Chance } from './fuzz/chance.js';
import { CliError } from './stop.js';

const FUZZED = 10_000;
/** Time without writes at the 95th percentile. */
const MAX_PAUSE_MS = 30_000;
/** Until all is well again after a fault. */
const RECOVERS_WITHIN_MS = 180_000;
/** A host whose power went, or a cable that was pulled, comes back after so long. */
const BACK_AFTER_MS = [25_000, 45_000] as const;
/** Writes flow again when one was acknowledged so lately. */
const LATELY_MS = 1500;

interface DrillOptions {
  /** How often each fault. */
  rounds: number;
  seed: number;
  /** Only faults whose names have this in them. */
  only?: string | undefined;
}

/**
 * `./tasche drill`: three databases, two servers and two proxies on hosts of their own within this machine;
 * each is killed or cut off at random
 * moments while clients work, and what became of their work is counted.
 */
export async function drill({ rounds, seed, only = '' }: DrillOptions): Promise<void> {
  requireParts();
  const chance = chanceFrom(seed);
  const faults = FAULTS.filter(({ name }) => name.includes(only));
  if (faults.length === 0) throw new CliError(`no fault has "${only}" in its name.`, 2);
  const folder = throwAwayFolder();
  const [webFolder, serverFolder] = await Promise.all([buildWeb(process.cwd()), buildServer(process.cwd())]);
  const passwords = { owner: secret(), application: secret(), backup: secret() };
  const stage = new Stage({ folder, webFolder, serverFolder, passwords });
  const started = Date.now();
  const say = (line: string) => {
    console.log(`${String(Math.round((Date.now() - started) / 1000)).padStart(5)} s  ${line}`);
  };
  const leave = () => {
    stage.close();
    process.exit(130);
  };
  process.once('SIGINT', leave);
  let isWell = false;
  try {
    say(`three databases, two servers, two proxies; each fault ${rounds} times, seed ${seed}`);
    await stage.start();
    say('clients type, bring files in, hit balls, choose bags and watch');
    await wait(5000);
    const outcomes: Outcome[] = [];
    let worst = await stage.ask('standing');
    for (const fault of shuffled(Array.from({ length: rounds }, () => faults).flat(), chance)) {
      await wait(1000 + chance.below(6000));
      const at = Date.now();
      const back = await fault.do(stage, chance);
      if (back) {
        await wait(BACK_AFTER_MS[0] + chance.below(BACK_AFTER_MS[1] - BACK_AFTER_MS[0]));
        back();
      }
      await wait(2000);
      await until(
        `all is well after "${fault.name}"`,
        RECOVERS_WITHIN_MS,
        async () =>
          (await stage.databasesAreWhole()) &&
          (await stage.serversAreUp()) &&
          (await stage.ask('pause', at)).sinceLastMs < LATELY_MS,
      );
      const { longestMs } = await stage.ask('pause', at);
      const standing = await stage.ask('standing');
      outcomes.push({ name: fault.name, pauseMs: longestMs });
      worst = worseOf(worst, standing);
      say(
        `${fault.name}: ${(longestMs / 1000).toFixed(1)} s without writes; ${standing.acknowledged} acknowledged, ` +
          `${standing.lost} lost, ${standing.half} half, ${standing.doubled} doubled; ${standing.balls} balls, ` +
          `${standing.ballsLost} lost; ${standing.eventsMissed} events missed, ${standing.staleCells} cells stale`,
      );
    }
    await stage.ask('stop');
    console.log(`\n${drillTable(outcomes, worst)}\n`);
    for (const refused of worst.refused.slice(0, 5)) console.log(`refused: ${refused}`);
    const pauses = outcomes.map(({ pauseMs }) => pauseMs);
    isWell =
      worst.lost + worst.half + worst.doubled + worst.ballsLost + worst.eventsMissed === 0 &&
      worst.staleCells + worst.wrongChoices + worst.refused.length === 0 &&
      percentile(pauses, 0.95) < MAX_PAUSE_MS;
  } finally {
    process.removeListener('SIGINT', leave);
    stage.close();
    if (isWell) rmSync(folder, { recursive: true, force: true });
    else console.log(`what every host said is in ${folder}`);
  }
  if (!isWell) process.exitCode = 1;
  if (only !== '') return;
  console.log(`${FUZZED} requests made by chance, seed ${seed}`);
  const fuzzed = await fuzzRequests(FUZZED, seed);
  console.log(fuzzWords(fuzzed));
  if (fuzzed.failures.length > 0) process.exitCode = 1;
}

function shuffled<T>(all: readonly T[], chance: Chance): T[] {
  const left = [...all];
  const out: T[] = [];
  while (left.length > 0) out.push(...left.splice(chance.below(left.length), 1));
  return out;
}

function requireParts(): void {
  if (process.getuid?.() !== 0)
    throw new CliError('the drill makes networks and pulls their cables, which only root may.');
  const there = (file: string) => () => existsSync(file);
  ensureDebian('Patroni', 'patroni', there('/usr/bin/patroni'));
  ensureDebian('etcd', 'etcd-server', there('/usr/bin/etcd'));
  ensureDebian('HAProxy', 'haproxy', there('/usr/sbin/haproxy'));
  ensureDebian('nftables', 'nftables', there('/usr/sbin/nft'));
  ensureDebian('iproute2', 'iproute2', () => existsSync('/usr/sbin/ip') || existsSync('/sbin/ip'));
  ensureDebian('openssl', 'openssl', there('/usr/bin/openssl'));
  chromiumProgram();
}

function secret(): string {
  return randomBytes(18).toString('base64url');
}
