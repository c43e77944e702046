import { flushPromises } from '@vue/test-utils';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { effectScope, ref, type EffectScope } from 'vue';
import {
  readAllAgain,
  readShownAgain,
  reader,
  useHeld,
  usePages,
  useRead,
  useReads,
} from '../../src/api/read';
import { ApiError, NetworkError } from '../../src/api/request';
import { until } from '../until';

/** What the server answers by path; a path that is not there is not found. */
let answers: Record<string, unknown>;
let asked: string[];
let isAway: boolean;
let scope: EffectScope;

beforeEach(() => {
  answers = {};
  asked = [];
  isAway = false;
  scope = effectScope();
  vi.stubGlobal('fetch', (address: string) => {
    const path = address.replace('/api', '');
    asked.push(path);
    if (isAway) return Promise.reject(new TypeError('away'));
    return Promise.resolve(
      path in answers
        ? Response.json(answers[path])
        : Response.json({ error: 'not-found', message: 'There is no such thing.' }, { status: 404 }),
    );
  });
});
afterEach(() => {
  scope.stop();
  vi.useRealTimers();
  vi.unstubAllGlobals();
});

describe('what a page shows of the server', () => {
  it('is read, read again after a change, and read again when its address changes', async () => {
    answers = { '/clubs/a/life': 'life of a', '/clubs/b/life': 'life of b' };
    const club = ref('a');
    const { found, problem } = scope.run(() => useRead<string>(() => `/clubs/${club.value}/life`))!;
    expect(found.value).toBeUndefined();
    await flushPromises();
    expect([found.value, problem.value]).toEqual(['life of a', '']);
    answers['/clubs/a/life'] = 'life of a, bent';
    readShownAgain();
    await flushPromises();
    expect(found.value).toBe('life of a, bent');
    club.value = 'b';
    await flushPromises();
    expect(found.value).toBe('life of b');
    // What was shown before is there at once, and read again.
    club.value = 'a';
    await flushPromises();
    expect(asked.filter((path) => path === '/clubs/a/life')).toHaveLength(3);
  });

  it('is what it is after a change, also where the first answer was on its way when that was made', async () => {
    const arrive: (() => void)[] = [];
    vi.stubGlobal('fetch', (_address: string, init: RequestInit) => {
      const found = answers['/changes'];
      return new Promise((resolve, reject) => {
        init.signal?.addEventListener('abort', () => reject(new DOMException('aborted', 'AbortError')));
        arrive.push(() => resolve(Response.json(found)));
      });
    });
    answers = { '/changes': { rows: ['before'], total: 1, next: null } };
    const list = scope.run(() => usePages<string>(() => '/changes'))!;
    await flushPromises();
    answers = { '/changes': { rows: ['after', 'before'], total: 2, next: null } };
    readShownAgain();
    await until(() => {
      expect(arrive).toHaveLength(2);
    });
    for (const one of arrive) one();
    await until(() => {
      expect(list.rows.value).toEqual(['after', 'before']);
    });
    expect(list.problem.value).toBe('');
  });

  it('of other days stays until they are there; of another club it does not', async () => {
    answers = { '/calendar?from=1': 'first', '/clubs/b': 'b' };
    const path = ref('/calendar?from=1');
    const { found } = scope.run(() => useRead<string>(() => path.value))!;
    await flushPromises();
    path.value = '/calendar?from=2';
    await Promise.resolve();
    expect(found.value).toBe('first');
    path.value = '/clubs/b';
    await Promise.resolve();
    expect(found.value).toBeUndefined();
  });

  it('asks nothing while there is nothing to ask, and puts another answer in its place', async () => {
    const path = ref<string | null>(null);
    const { found, put } = scope.run(() => useRead<readonly string[]>(() => path.value))!;
    await flushPromises();
    expect(asked).toEqual([]);
    answers = { '/tokens': ['one'] };
    path.value = '/tokens';
    await flushPromises();
    put(['one', 'two']);
    await flushPromises();
    expect(found.value).toEqual(['one', 'two']);
  });

  it('says what the server says no to, once', async () => {
    const { found, problem } = scope.run(() => useRead(() => '/nowhere'))!;
    await flushPromises();
    expect([found.value, problem.value]).toEqual([undefined, 'There is no such thing.']);
    expect(asked).toEqual(['/nowhere']);
  });

  it('is asked for until a server that is away answers', async () => {
    vi.useFakeTimers();
    isAway = true;
    const { found, problem } = scope.run(() => useRead<number>(() => '/tickets'))!;
    await vi.advanceTimersByTimeAsync(10);
    expect(problem.value).toBe('The server does not answer.');
    isAway = false;
    answers = { '/tickets': 3 };
    await vi.advanceTimersByTimeAsync(2000);
    expect([found.value, problem.value]).toEqual([3, '']);
  });

  it('several at once are there when all of them are', async () => {
    answers = { '/a': 1, '/b': 2 };
    const { found } = scope.run(() => useReads<number>(() => ['/a', '/b']))!;
    await flushPromises();
    expect(found.value).toEqual([1, 2]);
  });

  it('page after page, and as long as it was when it is read again', async () => {
    answers = {
      '/changes': { rows: ['c', 'b'], total: 3, next: 'b' },
      '/changes?before=b': { rows: ['a'], total: 3, next: null },
    };
    const list = scope.run(() =>
      usePages<string>((next) => `/changes${next === null ? '' : `?before=${next}`}`),
    )!;
    await flushPromises();
    expect([list.rows.value, list.total.value, list.hasMore.value]).toEqual([['c', 'b'], 3, true]);
    await list.more();
    await flushPromises();
    expect([list.rows.value, list.hasMore.value]).toEqual([['c', 'b', 'a'], false]);
    await list.more();
    await list.all();
    expect(asked).toHaveLength(2);
    answers['/changes'] = { rows: ['d', 'c'], total: 4, next: 'b' };
    readAllAgain();
    await flushPromises();
    expect(list.rows.value).toEqual(['d', 'c', 'a']);
  });
});

describe('what a store holds of the server', () => {
  const key = ref('a');
  const held = (answer: () => Promise<string>) =>
    scope.run(() =>
      useHeld<string>(() => (key.value === '' ? null : { key: ['held', key.value], ask: answer })),
    )!;
  beforeEach(() => {
    key.value = 'a';
  });

  it('is there in the moment it is changed, and not read again by itself', async () => {
    let count = 0;
    const { value, state, change, again } = held(() => Promise.resolve(`answer ${++count}`));
    expect(state.value).toBe('loading');
    await again();
    expect([value.value, state.value]).toEqual(['answer 1', 'ready']);
    change((standing) => `${standing}, typed over`);
    expect(value.value).toBe('answer 1, typed over');
    await flushPromises();
    expect(count).toBe(1);
    await again();
    expect(value.value).toBe('answer 2');
  });

  it('is nothing of what was held before in the moment the question changes', async () => {
    const { value, state, again } = held(() => Promise.resolve('a’s'));
    await again();
    key.value = 'b';
    expect([value.value, state.value]).toEqual([undefined, 'loading']);
    key.value = '';
    expect([value.value, state.value]).toEqual([undefined, 'empty']);
    key.value = 'a';
    expect(value.value).toBe('a’s');
  });

  it('is missing where the server says no, and stays on the screen while it is away', async () => {
    let answer = () => Promise.resolve('there');
    const { value, state, again } = held(() => answer());
    await again();
    answer = () => Promise.reject(new ApiError(404, { error: 'not-found', message: 'gone' }));
    await again();
    expect(state.value).toBe('missing');
    reader.clear();
    vi.useFakeTimers();
    answer = () => Promise.reject(new NetworkError('away'));
    void again();
    await vi.advanceTimersByTimeAsync(10);
    expect([value.value, state.value]).toEqual([undefined, 'away']);
    answer = () => Promise.resolve('back');
    await vi.advanceTimersByTimeAsync(2000);
    expect([value.value, state.value]).toEqual(['back', 'ready']);
  });
});
