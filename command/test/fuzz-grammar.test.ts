import { describe, expect, it } from 'vitest';
import { randomUUID } from 'node:crypto';
import { COMMANDS, PlayerFileReader, parseChangeRequest, type CommandName } from '@tasche/contract';
import { ROUTES } from '../../server/src/http/route-list.js';
import { chanceFrom } from '../fuzz/chance.js';
import { commandMade } from '../fuzz/command-grammar.js';
import { FUZZED_ROUTES, fuzzRequest } from '../fuzz/grammar.js';
import { newIds } from '../fuzz/known-rows.js';

/** Answers that never end; thousands of them at once are held in server/test/web-security.test.ts. */
const STREAMS = ['GET /sessions/:sessionId/live', 'GET /gauge/live', 'GET /news'];
const IDS = { ...newIds(), clubId: '7a5c4e00-0001-4000-8000-000000000109' };

describe('the requests that are made by chance', () => {
  it('are of every route there is, but for those whose answers never end', () => {
    expect(Object.keys(ROUTES).filter((name) => !FUZZED_ROUTES.has(name))).toEqual(STREAMS);
  });

  it('are the same again for the same seed, and come to every route', () => {
    const made = (seed: number) => {
      const chance = chanceFrom(seed);
      return Array.from({ length: 4000 }, () => fuzzRequest(chance, IDS));
    };
    const shape = ({ method, path }: { method: string; path: string }) => `${method} ${path.split('?')[0]}`;
    expect(made(3).map(({ method }) => method)).toEqual(made(3).map(({ method }) => method));
    expect(new Set(made(3).map(shape)).size).toBeGreaterThan(FUZZED_ROUTES.size);
  });

  it.each(Object.keys(COMMANDS) as CommandName[])(
    'hold a %s that is right now and then, so that what is behind the first check is reached',
    (name) => {
      const chance = chanceFrom(7);
      const isRight = () => {
        try {
          parseChangeRequest({ id: randomUUID(), commands: [commandMade(name, chance, IDS)] });
          return true;
        } catch {
          return false;
        }
      };
      expect(Array.from({ length: 40 }, isRight)).toContain(true);
    },
  );

  it('hold a player’s file that is right now and then, so that what is behind the first check is reached', () => {
    const chance = chanceFrom(5);
    const files = Array.from({ length: 20_000 }, () => fuzzRequest(chance, IDS))
      .filter(({ path }) => path.startsWith('/api/players/from-file'))
      .map(({ body }) => String(body));
    const whole = files.filter((file) => {
      const reader = new PlayerFileReader();
      try {
        for (const line of file.split('\n')) reader.add(line);
        reader.finish();
        return true;
      } catch {
        return false;
      }
    });
    expect(whole.length).toBeGreaterThan(5);
    expect(whole.length).toBeLessThan(files.length);
  });
});
