import { beforeEach, describe, expect, it, vi } from 'vitest';
import { asOfIn, useSheet } from '../../src/sheet/sheet-store';
import { freshPinia } from '../pinia';
import { clubView, sheetOf } from '../sheet';

/** How the server answers the next questions, one after the other. */
let answers: (() => Response)[];
const asked: string[] = [];
const sheet = () => Response.json(sheetOf([clubView('7i')], ['7i']));
const nobody = () => Response.json({ error: 'signed-out', message: 'Sign in first.' }, { status: 401 });

beforeEach(() => {
  freshPinia();
  asked.length = 0;
  vi.stubGlobal('fetch', (path: string) => {
    asked.push(path);
    return Promise.resolve(answers.shift()!());
  });
});

describe('a sheet that is read ahead of its page', () => {
  it('is asked for once: its page takes what is on its way', async () => {
    answers = [sheet];
    const store = useSheet();
    store.readAhead('p', null);
    await store.load('p');
    expect(asked).toEqual(['/api/players/p/sheet']);
    expect(store.state).toBe('ready');
    expect(store.clubs.map(({ id }) => id)).toEqual(['7i']);
  });

  it('is read again by whatever asks after its page did', async () => {
    answers = [sheet, sheet];
    const store = useSheet();
    store.readAhead('p', null);
    await store.load('p');
    await store.load('p');
    expect(asked).toHaveLength(2);
  });

  it('is requested again after signing in', async () => {
    answers = [nobody, sheet];
    const store = useSheet();
    store.readAhead('p', null);
    await store.load('p');
    expect(asked).toHaveLength(2);
    expect(store.state).toBe('ready');
  });

  it('of another day is another sheet', async () => {
    answers = [sheet, sheet];
    const store = useSheet();
    store.readAhead('p', '2026-10-01');
    await store.load('p');
    expect(asked).toEqual(['/api/players/p/sheet?asOf=2026-10-01', '/api/players/p/sheet']);
  });
});

it('the day of a sheet is a day, or today', () => {
  expect(asOfIn({ asOf: '2026-10-01' })).toBe('2026-10-01');
  expect(asOfIn({})).toBeNull();
  for (const asOf of ['yesterday', '', null, ['2026-10-01']]) expect(asOfIn({ asOf })).toBeNull();
});
