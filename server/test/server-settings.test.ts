import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { InvalidSettingError, readSettings } from '../src/server-settings.js';

describe('what a server is told by its environment', () => {
  it('is on this machine only, where it is not given', () => {
    expect(readSettings({})).toEqual({ host: '127.0.0.1', proxies: [], hosts: [] });
    expect(readSettings({ DATABASE_URL: ' ', TASCHE_SECRET: '', TASCHE_HOSTS: ' , ' })).toEqual(
      readSettings({}),
    );
  });

  it('has everything by its name', () => {
    expect(
      readSettings({
        DATABASE_URL: 'postgresql://tasche_app:x@db.example/tasche',
        DATABASE_OWNER_URL: 'postgresql://tasche:x@db.example/tasche',
        TASCHE_HOST: '0.0.0.0',
        TASCHE_HOSTS: 'van.example, 10.0.0.7',
        TASCHE_PROXIES: '10.0.0.7,::1',
        TASCHE_MONITOR: '[::1]:9000',
        TASCHE_GAUGE: 'bench.example:700',
        TASCHE_WEATHER: 'https://weather.example/',
        TASCHE_MAIL: 'smtps://post.example:465',
        TASCHE_MAIL_FROM: 'tasche@van.example',
        TASCHE_SECRET: 's',
        TASCHE_METRICS_KEY: 'k',
      }),
    ).toEqual({
      databaseUrl: 'postgresql://tasche_app:x@db.example/tasche',
      ownerUrl: 'postgresql://tasche:x@db.example/tasche',
      host: '0.0.0.0',
      hosts: ['van.example', '10.0.0.7'],
      proxies: ['10.0.0.7', '::1'],
      monitor: { host: '[::1]', port: 9000 },
      gauge: { host: 'bench.example', port: 700 },
      weatherAt: 'https://weather.example/',
      mail: { address: 'smtps://post.example:465', from: 'tasche@van.example' },
      secret: 's',
      metricsKey: 'k',
    });
  });

  it('is taken, or refused by the name of the variable; never something else', () => {
    const names = [
      'TASCHE_HOSTS',
      'TASCHE_PROXIES',
      'TASCHE_MONITOR',
      'TASCHE_GAUGE',
      'TASCHE_WEATHER',
      'TASCHE_MAIL',
    ] as const;
    fc.assert(
      fc.property(fc.constantFrom(...names), fc.string(), (name, value) => {
        try {
          readSettings({ [name]: value });
        } catch (error) {
          expect(error).toBeInstanceOf(InvalidSettingError);
          expect((error as Error).message).toContain(name);
        }
      }),
    );
  });
});
