import path from 'node:path';
import pg from 'pg';
import { InvalidSettingError, readSettings, type ServerSettings } from '../server/src/server-settings.js';
import { buildServer, buildWeb } from './build.js';
import { resetCluster, startCluster, type Cluster } from './cluster.js';
import { dataFolder } from './data-folder.js';
import { isFree } from './ports.js';
import { startGauge, startMonitor, startWeather, type StartedStandIn } from './standins.js';
import type * as startServerModule from '../server/src/start-server.js';
import { CliError } from './stop.js';

/** What the built server has, as its sources say. */
type ServerModule = typeof startServerModule;

interface ServeOptions {
  demo: boolean;
  port: number;
  data?: string | undefined;
  reset: boolean;
}

/** `./tasche demo` and `./tasche start`: database, tables, web part, server; until Ctrl-C. */
export async function serve({ demo, port, data, reset }: ServeOptions): Promise<void> {
  const root = process.cwd();
  const { databaseUrl: given, ownerUrl, weatherAt, ...settings } = settingsOf(process.env);
  const { host } = settings;
  if (!(await isFree(port)))
    throw new CliError(`port ${port} is taken; stop what uses it, or choose another with --port.`);
  if (given && (data !== undefined || reset))
    throw new CliError("--data and --reset are for Tasche's own database; DATABASE_URL names another.", 2);
  const folder = dataFolder(data);
  if (!given && reset) resetCluster(folder);
  if (given) await askDatabase(given);

  let gauge: StartedStandIn | undefined;
  let monitor: StartedStandIn | undefined;
  let weather: StartedStandIn | undefined;
  let cluster: Cluster | undefined;
  let server: startServerModule.StartedServer | undefined;
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
    const [webFolder, serverFolder] = await Promise.all([
      buildWeb(root),
      buildServer(root),
      given
        ? undefined
        : startCluster(folder).then((started) => {
            cluster = started;
          }),
      demo && !settings.monitor
        ? startMonitor().then((started) => {
            monitor = started;
          })
        : undefined,
      demo && !settings.gauge
        ? startGauge().then((started) => {
            gauge = started;
          })
        : undefined,
      demo && !weatherAt
        ? startWeather().then((started) => {
            weather = started;
          })
        : undefined,
    ]);
    const { startServer } = (await import(path.join(serverFolder, 'start-server.js'))) as ServerModule;
    const atOwner = ownerUrl ?? cluster?.ownerUrl;
    const atWeather = weatherAt ?? (weather && `http://${weather.host}:${weather.port}`);
    server = await startServer({
      ...(monitor && { monitor }),
      ...(gauge && { gauge }),
      ...settings,
      databaseUrl: given ?? cluster!.url,
      ...(atOwner !== undefined && { ownerUrl: atOwner }),
      ...(atWeather !== undefined && { weatherAt: atWeather }),
      letMachineIn: demo,
      port,
      webFolder,
      demo,
    });
  } catch (error) {
    monitor?.stop();
    gauge?.stop();
    weather?.stop();
    cluster?.stop();
    if ((error as { name?: string }).name === 'UnfitDatabaseError')
      throw new CliError((error as Error).message);
    throw (given && unreachable(error)) || error;
  }
  console.log(
    `tasche: ready on http://${host}:${port}${demo ? '  (demo data: the Meridian Swing)' : ''}   Ctrl-C stops it`,
  );
  if (server.firstPersonAt !== null)
    console.log(
      `tasche: nobody has an account yet. Make the first, the owner's, at (once, within a week):\n  ${server.firstPersonAt}`,
    );
}

/**
 * Before anything is built, which takes a minute.
 * @throws CliError where nothing answers there
 */
async function askDatabase(url: string): Promise<void> {
  const client = new pg.Client({ connectionString: url, connectionTimeoutMillis: 10_000 });
  try {
    await client.connect();
  } catch (error) {
    // What else may be wrong with it the server says.
    const stop = unreachable(error);
    if (stop) throw stop;
  } finally {
    await client.end();
  }
}

function unreachable(error: unknown): CliError | undefined {
  const { code, message } = error as { code?: string; message: string };
  return /ECONNREFUSED|ENOTFOUND|ETIMEDOUT|timeout|password authentication|does not exist/i.test(
    `${code ?? ''} ${message}`,
  )
    ? new CliError(
        `the database at DATABASE_URL does not answer (${message}); check the address and that it is up.`,
      )
    : undefined;
}

/** @throws CliError */
function settingsOf(environment: NodeJS.ProcessEnv): ServerSettings {
  try {
    return readSettings(environment);
  } catch (error) {
    if (error instanceof InvalidSettingError) throw new CliError(error.message, 2);
    throw error;
  }
}
