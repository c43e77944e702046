import { emailSchema } from '@tasche/contract';
import type { ServerOptions } from './start-server.js';

/** A variable of the environment that cannot be used; the message names it. */
export class InvalidSettingError extends Error {
  override readonly name = 'InvalidSettingError';
}

/** What a server is told by its environment, wherever it runs. docs/running.md says what each is for. */
export type ServerSettings = Pick<
  ServerOptions,
  'secret' | 'metricsKey' | 'monitor' | 'gauge' | 'weatherAt' | 'mail'
> &
  Required<Pick<ServerOptions, 'host' | 'proxies' | 'hosts'>> & { databaseUrl?: string; ownerUrl?: string };

/** @throws InvalidSettingError */
export function readSettings(environment: NodeJS.ProcessEnv): ServerSettings {
  const said = (variable: string) => environment[variable]?.trim() || undefined;
  const [databaseUrl, ownerUrl] = [said('DATABASE_URL'), said('DATABASE_OWNER_URL')];
  const [secret, metricsKey] = [said('TASCHE_SECRET'), said('TASCHE_METRICS_KEY')];
  const [monitor, gauge] = [
    addressIn('TASCHE_MONITOR', said('TASCHE_MONITOR')),
    addressIn('TASCHE_GAUGE', said('TASCHE_GAUGE')),
  ];
  const weatherAt = weatherIn(said('TASCHE_WEATHER'));
  const mail = mailIn(said('TASCHE_MAIL'), said('TASCHE_MAIL_FROM'));
  return {
    host: said('TASCHE_HOST') ?? '127.0.0.1',
    proxies: listIn('TASCHE_PROXIES', said('TASCHE_PROXIES'), /^[0-9a-f.:/]+$/i, 'addresses'),
    hosts: listIn('TASCHE_HOSTS', said('TASCHE_HOSTS'), /^[a-z0-9.[\]:-]+$/i, 'host names'),
    ...(databaseUrl && { databaseUrl }),
    ...(ownerUrl && { ownerUrl }),
    ...(secret && { secret }),
    ...(metricsKey && { metricsKey }),
    ...(monitor && { monitor }),
    ...(gauge && { gauge }),
    ...(weatherAt && { weatherAt }),
    ...(mail && { mail }),
  };
}

function addressIn(variable: string, named: string | undefined): { host: string; port: number } | undefined {
  if (named === undefined) return undefined;
  const match = /^(.+):(\d{1,5})$/.exec(named);
  if (!match || Number(match[2]) > 65_535)
    throw new InvalidSettingError(`${variable} must be host:port, got "${named}".`);
  return { host: match[1]!, port: Number(match[2]) };
}

function weatherIn(named: string | undefined): string | undefined {
  if (named !== undefined && (!/^https?:\/\//.test(named) || !URL.canParse(named)))
    throw new InvalidSettingError(
      `TASCHE_WEATHER must be an address that begins with http:// or https://, got "${named}".`,
    );
  return named;
}

function mailIn(
  address: string | undefined,
  from: string | undefined,
): { address: string; from: string } | undefined {
  if (address === undefined) return undefined;
  if (!/^smtps?:\/\/[^\s/]/.test(address) || !URL.canParse(address))
    throw new InvalidSettingError('TASCHE_MAIL must be an address that begins with smtp:// or smtps://.');
  if (from === undefined || !emailSchema.isValidSync(from))
    throw new InvalidSettingError(
      `TASCHE_MAIL_FROM must be the e-mail address letters come from, got "${from ?? ''}".`,
    );
  return { address, from };
}

function listIn(variable: string, said: string | undefined, pattern: RegExp, what: string): string[] {
  const names = (said ?? '')
    .split(',')
    .map((name) => name.trim())
    .filter(Boolean);
  const bad = names.find((name) => !pattern.test(name));
  if (bad !== undefined)
    throw new InvalidSettingError(`${variable} must be ${what} parted by commas, got "${bad}".`);
  return names;
}
