import { createServer, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { MAX_FORECAST_DAYS, isDay, type WeatherAnswer } from '@tasche/contract';
import { normalFrom, randomFrom } from '@tasche/core';
import { climateAt, usualC } from './climate.js';

export interface WeatherOptions {
  port: number;
  seed: number;
  members: number;
  /** Takes so long to answer; for trying out a forecast that never comes. */
  delayMs: number;
}

/** A forecast spreads from a third of what days vary by, tomorrow, to all of it after so many days. */
const FULL_SPREAD_DAYS = 9;
const ROUND = {
  tenths: (value: number) => Math.round(value * 10) / 10,
  whole: (value: number) => Math.round(value),
};

/**
 * A weather service that makes its weather up: the usual of a place and month, what this day is really going
 * to be like, and an ensemble about that.
 */
export async function startWeather({
  port,
  seed,
  members,
  delayMs,
}: WeatherOptions): Promise<{ port: number; close: () => Promise<void> }> {
  const server: Server = createServer((request, response) => {
    const url = new URL(request.url ?? '/', 'http://weather');
    const answer = (status: number, body: unknown) => {
      response.writeHead(status, { 'content-type': 'application/json' }).end(JSON.stringify(body));
    };
    if (url.pathname !== '/forecast') {
      answer(404, { error: 'there is /forecast and nothing else' });
      return;
    }
    const number = (name: string) => {
      const text = url.searchParams.get(name);
      return text === null || text.trim() === '' ? NaN : Number(text);
    };
    const [latitude, longitude, altitude, days, from] = [
      number('latitude'),
      number('longitude'),
      number('altitude'),
      number('days'),
      url.searchParams.get('from') ?? '',
    ];
    const wrong = !(Math.abs(latitude) <= 90)
      ? 'latitude'
      : !(Math.abs(longitude) <= 180)
        ? 'longitude'
        : !Number.isFinite(altitude)
          ? 'altitude'
          : !isDay(from)
            ? 'from'
            : !(Number.isInteger(days) && days >= 1 && days <= MAX_FORECAST_DAYS)
              ? 'days'
              : undefined;
    if (wrong) {
      answer(400, { error: `${wrong} is missing or out of bounds` });
      return;
    }
    const timer = setTimeout(() => {
      answer(200, forecast(latitude, longitude, altitude, from, days, seed, members));
    }, delayMs);
    request.on('close', () => {
      if (!response.writableEnded) clearTimeout(timer);
    });
  });
  await new Promise<void>((resolve) => {
    server.listen(port, '127.0.0.1', resolve);
  });
  return {
    port: (server.address() as AddressInfo).port,
    close: () =>
      new Promise((resolve) => {
        server.closeAllConnections();
        server.close(() => {
          resolve();
        });
      }),
  };
}

/** The ensemble of some days: the same for the same seed, place and days, whenever it is asked on one day. */
export function forecast(
  latitudeDeg: number,
  longitudeDeg: number,
  altitudeM: number,
  from: string,
  days: number,
  seed: number,
  members: number,
  today = new Date().toISOString().slice(0, 10),
): WeatherAnswer {
  const climate = climateAt(latitudeDeg, longitudeDeg, altitudeM);
  const { varies } = climate;
  return {
    source: 'weather stand-in',
    days: Array.from({ length: days }, (_one, i) => {
      const day = new Date(Date.parse(`${from}T00:00:00Z`) + i * 86_400_000).toISOString().slice(0, 10);
      const ahead = Math.max(
        0,
        (Date.parse(`${day}T00:00:00Z`) - Date.parse(`${today}T00:00:00Z`)) / 86_400_000,
      );
      const spread = Math.min(1, 1 / 3 + (2 / 3) * (ahead / FULL_SPREAD_DAYS));
      const truth = normalFrom(randomFrom(hash(`${seed} ${latitudeDeg} ${longitudeDeg} ${day}`)));
      const [warm, blow, turn, damp] = [truth(), truth(), truth(), truth()];
      return {
        day,
        members: Array.from({ length: members }, (_member, m) => {
          const normal = normalFrom(randomFrom(hash(`${seed} ${latitudeDeg} ${longitudeDeg} ${day} ${m}`)));
          // What is known of the day beforehand, and what is not: together they vary as days do.
          const mixed = (known: number) => Math.sqrt(1 - spread * spread) * known + spread * normal();
          return {
            temperatureC: ROUND.tenths(usualC(climate, day) + varies.temperatureC * mixed(warm)),
            humidityPct: ROUND.whole(Math.min(100, Math.max(5, climate.humidityPct + 7 * mixed(damp)))),
            windMps: ROUND.tenths(
              Math.min(
                28,
                climate.windMps * Math.exp(varies.windShare * mixed(blow) - varies.windShare ** 2 / 2),
              ),
            ),
            windFromDeg: ROUND.whole(
              (((climate.windFromDeg + varies.windDeg * mixed(turn)) % 360) + 360) % 360,
            ),
          };
        }),
      };
    }),
  };
}

/** FNV-1a (Fowler, Noll, Vo; public domain): a seed out of words. */
function hash(text: string): number {
  let value = 2_166_136_261;
  for (const character of text) value = Math.imul(value ^ character.charCodeAt(0), 16_777_619);
  return value | 0;
}
