import path from 'node:path';
import { buildWeb } from './build-web.js';
import { defaultDataFolder, isFree, resetCluster, startCluster, type Cluster } from './cluster.js';
import {
  namedDevice,
  namedWeather,
  startGauge,
  startMonitor,
  startWeather,
  type StartedStandIn,
} from './standins.js';
import type { StartedServer } from '../server/src/start-server.js';
import { CliError } from './stop.js';

interface ServeOptions {
  demo: boolean;
  port: number;
  data?: string | undefined;
  reset: boolean;
}

/** `./tasche demo` and `./tasche start`: database, tables, web part, server; until Ctrl-C. */
export async function serve({ demo, port, data, reset }: ServeOptions): Promise<void> {
  const root = process.cwd();
  const host = process.env.TASCHE_HOST ?? '127.0.0.1';
  if (!(await isFree(port)))
    throw new CliError(`port ${port} is taken; stop what uses it, or choose another with --port.`);
  const given = process.env.DATABASE_URL || undefined;
  if (given && (data !== undefined || reset))
    throw new CliError("--data and --reset are for Tasche's own database; DATABASE_URL names another.", 2);
  const folder =
    data === undefined ? defaultDataFolder(root) : path.resolve(process.env.TASCHE_FROM ?? root, data);
  if (!given && reset) resetCluster(folder);

  const named = namedDevice('TASCHE_MONITOR');
  const namedGauge = namedDevice('TASCHE_GAUGE');
  let gauge: StartedStandIn | undefined;
  let weatherAt = namedWeather();
  let monitor: StartedStandIn | undefined;
  let weather: StartedStandIn | undefined;
  let cluster: Cluster | undefined;
  let server: StartedServer | undefined;
  let leaving = false;
  const leave = async (code: number) => {
    if (leaving) return;
    leaving = true;
    await server?.close().catch(() => undefined);
    monitor?.stop();
    gauge?.stop();
    weather?.stop();
    cluster?.stop();
    process.exit(code);
  };
  process.on('SIGINT', () => void leave(0));
  process.on('SIGTERM', () => void leave(0));
  try {
    const [webFolder] = await Promise.all([
      buildWeb(root),
      given
        ? undefined
        : startCluster(folder).then((started) => {
            cluster = started;
          }),
      demo && !named
        ? startMonitor().then((started) => {
            monitor = started;
          })
        : undefined,
      demo && !namedGauge
        ? startGauge().then((started) => {
            gauge = started;
          })
        : undefined,
      demo && !weatherAt
        ? startWeather().then((started) => {
            weather = started;
            weatherAt = `http://${started.host}:${started.port}`;
          })
        : undefined,
    ]);
    const { startServer } = await import('../server/src/start-server.js');
    server = await startServer({
      databaseUrl: given ?? cluster!.url,
      ...((process.env.DATABASE_OWNER_URL || cluster) && {
        ownerUrl: process.env.DATABASE_OWNER_URL || cluster!.ownerUrl,
      }),
      ...(process.env.TASCHE_SECRET && { secret: process.env.TASCHE_SECRET }),
      ...(process.env.TASCHE_METRICS_KEY && { metricsKey: process.env.TASCHE_METRICS_KEY }),
      letMachineIn: demo,
      proxies: listIn('TASCHE_PROXIES', /^[0-9a-f.:/]+$/i, 'addresses'),
      host,
      port,
      webFolder,
      demo,
      ...((named ?? monitor) && { monitor: (named ?? monitor)! }),
      ...((namedGauge ?? gauge) && { gauge: (namedGauge ?? gauge)! }),
      ...(weatherAt && { weatherAt }),
      hosts: listIn('TASCHE_HOSTS', /^[a-z0-9.[\]:-]+$/i, 'host names'),
    });
  } catch (error) {
    monitor?.stop();
    gauge?.stop();
    weather?.stop();
    cluster?.stop();
    if ((error as { name?: string }).name === 'UnfitDatabase') throw new CliError((error as Error).message);
    if (given && isUnreachable(error))
      throw new CliError(
        `the database at DATABASE_URL does not answer (${(error as Error).message}); check the address and that it is up.`,
      );
    throw error;
  }
  console.log(
    `tasche: ready on http://${host}:${port}${demo ? '  (demo data: the Meridian Swing)' : ''}   Ctrl-C stops it`,
  );
  if (server.firstPersonAt !== null)
    console.log(
      `tasche: nobody has an account yet. Make the first, the owner's, at (once, within a week):\n  ${server.firstPersonAt}`,
    );
}

function isUnreachable(error: unknown): boolean {
  const text = `${(error as { code?: string }).code ?? ''} ${(error as Error).message}`;
  return /ECONNREFUSED|ENOTFOUND|ETIMEDOUT|timeout|password authentication|does not exist/i.test(text);
}

/** What a variable of the environment lists, parted by commas. */
function listIn(variable: string, pattern: RegExp, what: string): string[] {
  const names = (process.env[variable] ?? '')
    .split(',')
    .map((name) => name.trim())
    .filter(Boolean);
  const bad = names.find((name) => !pattern.test(name));
  if (bad !== undefined) throw new CliError(`${variable} must be ${what} parted by commas, got "${bad}".`, 2);
  return names;
}
