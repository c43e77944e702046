import type { Page } from '@tasche/contract';
import {
  QueryClient,
  hashKey,
  useInfiniteQuery,
  useQuery,
  type InfiniteData,
  type QueryKey,
} from '@tanstack/vue-query';
import { computed, onScopeDispose, shallowRef, watch, type ComputedRef } from 'vue';
import { NetworkError, SignedOutError, request } from './request';

/** Where there was no answer, it is asked again after this time. */
const AGAIN_MS = 1500;

/**
 * What was read of the server, under the address it was read from. A server that does not answer is asked
 * until it does; one that refuses is not asked again. Without a network the service worker answers, so that
 * it is always asked.
 */
export const reader = new QueryClient({
  defaultOptions: {
    queries: {
      networkMode: 'always',
      retry: (_count, error) => error instanceof NetworkError && !(error instanceof SignedOutError),
      retryDelay: AGAIN_MS,
      refetchOnWindowFocus: false,
      refetchOnReconnect: false,
      structuralSharing: false,
    },
  },
});

/** The first part of the key of what pages only show, and no store holds. */
const SHOWN = 'shown';

/**
 * Reads again what pages show: something was changed. Requests already sent are not waited for: they may be
 * older.
 */
export function readShownAgain(): void {
  void reader
    .cancelQueries({ queryKey: [SHOWN] })
    .then(() => reader.invalidateQueries({ queryKey: [SHOWN] }));
}

/** Reads everything again: the server could not be reached. */
export function readAllAgain(): void {
  void reader.cancelQueries({ queryKey: [SHOWN] }).then(() => reader.invalidateQueries());
}

interface Shown {
  /** Why it is missing or stale; empty while all is well. It is tried again where that helps. */
  problem: ComputedRef<string>;
  again: () => Promise<unknown>;
}
interface Read<T> extends Shown {
  /** What was read, or what was read last while it is read again; undefined before that. */
  found: ComputedRef<T | undefined>;
  /** Puts what another answer said in its place. */
  put: (next: T) => void;
}

/** The same address with other parameters: the last answer stays until the new one is there. */
const sameAddress =
  (key: QueryKey) =>
  <T>(before: T | undefined, of?: { queryKey: QueryKey }): T | undefined =>
    of && addresses(of.queryKey) === addresses(key) ? before : undefined;
const addresses = (key: QueryKey) => key.map((part) => String(part).split('?')[0]).join(' ');

const problemOf = (...errors: (Error | null)[]) => errors.find((error) => error !== null)?.message ?? '';

/** What is held under a key, asked for where it is enabled. */
function useShown<T>(
  key: () => QueryKey,
  ask: (signal: AbortSignal) => Promise<T>,
  isAsked: () => boolean = () => true,
): Read<T> {
  const query = useQuery<T>(
    () => ({
      queryKey: key(),
      queryFn: ({ signal }) => ask(signal),
      enabled: isAsked(),
      placeholderData: sameAddress(key()),
      shallow: true,
    }),
    reader,
  );
  return {
    found: computed(() => query.data.value),
    problem: computed(() => problemOf(query.error.value, query.failureReason.value)),
    again: () => query.refetch(),
    put: (next) => void reader.setQueryData(key(), next),
  };
}

/**
 * Something of the server's that a page shows: read when the page opens, when its address changes, and when
 * anything was changed, here or by others.
 * @param path its address; null while there is nothing to ask
 */
export function useRead<T>(path: () => string | null): Read<T> {
  return useShown(
    () => [SHOWN, path()],
    (signal) => request<T>(path()!, { signal }),
    () => path() !== null,
  );
}

/** Several things read side by side, shown when all of them are there; in the order of their addresses. */
export function useReads<T>(paths: () => readonly string[]): Read<readonly T[]> {
  return useShown<readonly T[]>(
    () => [SHOWN, 'all', ...paths()],
    (signal) => Promise.all(paths().map((path) => request<T>(path, { signal }))),
  );
}

interface ReadPages<R> extends Shown {
  /** The rows of all pages read so far; undefined before the first. */
  rows: ComputedRef<readonly R[] | undefined>;
  total: ComputedRef<number>;
  hasMore: ComputedRef<boolean>;
  /** Reads the next page, where there is one. */
  more: () => Promise<unknown>;
  /** Reads all pages there are. */
  all: () => Promise<void>;
}

/**
 * A list of the server's that is read page after page, and stays as long as it is while it is read again.
 * @param path the address of the page that begins after `next`, of the first for null
 * @param everyMs how often it is read again besides, while the page is looked at
 */
export function usePages<R, P extends Page<R> = Page<R>>(
  path: (next: string | null) => string,
  everyMs?: number,
): ReadPages<R> {
  const query = useInfiniteQuery<P, Error, InfiniteData<P, string | null>, QueryKey, string | null>(
    () => ({
      queryKey: [SHOWN, 'pages', path(null)],
      queryFn: ({ pageParam, signal }) => request<P>(path(pageParam), { signal }),
      initialPageParam: null,
      getNextPageParam: ({ next }) => next,
      placeholderData: sameAddress([SHOWN, 'pages', path(null)]),
      shallow: true,
      ...(everyMs !== undefined && { refetchInterval: everyMs }),
    }),
    reader,
  );
  const pages = computed(() => query.data.value?.pages);
  const more = async () => {
    if (query.hasNextPage.value && !query.isFetchingNextPage.value) await query.fetchNextPage();
  };
  return {
    rows: computed(() => pages.value?.flatMap(({ rows }) => rows)),
    total: computed(() => pages.value?.[0]?.total ?? 0),
    hasMore: computed(() => query.hasNextPage.value),
    problem: computed(() => problemOf(query.error.value, query.failureReason.value)),
    again: () => query.refetch(),
    more,
    all: async () => {
      for (let before = -1; query.hasNextPage.value && before !== pages.value?.length;) {
        before = pages.value?.length ?? 0;
        await more();
      }
    },
  };
}

/** A question whose answer a store holds: the key it is held under, and how it is asked. */
export interface Question<T> {
  key: QueryKey;
  ask: () => Promise<T>;
}

/**
 * Asks again. What is on its way may be older than what is asked for now, so it is not waited for.
 * @param isFirstGood whether the very first answer will do, where it is on its way
 * @returns whether an answer came
 */
export async function reread<T>({ key, ask }: Question<T>, isFirstGood = true): Promise<boolean> {
  if (!isFirstGood || reader.getQueryData(key) !== undefined)
    await reader.cancelQueries({ queryKey: key, exact: true });
  return reader.fetchQuery({ queryKey: key, queryFn: ask, staleTime: 0 }).then(
    () => true,
    () => false,
  );
}

/** How far something that is held has been read: not asked for, on its way, here, not there, or no answer. */
export type HeldState = 'empty' | 'loading' | 'ready' | 'missing' | 'away';
interface Held<T> {
  /** What the server said last; undefined before it said anything, and while there is no question. */
  value: ComputedRef<T | undefined>;
  state: ComputedRef<HeldState>;
  /** Changes what is held, as an answer of the server's says. */
  change: (change: (value: T) => T) => void;
  /** Asks again; the first answer will do where it is on its way. */
  again: () => Promise<void>;
  /** Asks again because something was changed: no answer that is on its way will do. */
  renew: () => Promise<void>;
}

/**
 * What a store holds of the server's, and changes by the server's own answers: read once, and again only when
 * it is asked for. A change shows at once, so that nothing typed flickers.
 * @param question null while nothing is wanted
 */
export function useHeld<T>(question: () => Question<T> | null): Held<T> {
  const options = () => {
    const asked = question();
    return {
      queryKey: asked?.key ?? ['nothing'],
      queryFn: () => asked!.ask(),
      enabled: asked !== null,
      staleTime: Infinity,
      shallow: true,
    } as const;
  };
  useQuery<T>(options, reader);
  const held = shallowRef<{ value?: T | undefined; error?: Error | null; failure?: Error | null }>({});
  const look = () => {
    const asked = question();
    const state = asked ? reader.getQueryState<T>(asked.key) : undefined;
    held.value = { value: state?.data, error: state?.error, failure: state?.fetchFailureReason };
  };
  onScopeDispose(
    reader.getQueryCache().subscribe(({ type, query: { queryHash } }) => {
      const asked = question();
      if ((type === 'updated' || type === 'removed') && asked && hashKey(asked.key) === queryHash) look();
    }),
  );
  watch(() => hashKey(question()?.key ?? []), look, { immediate: true, flush: 'sync' });
  // Errors are not thrown to the caller: the state holds them.
  const askAgain = async (isFirstGood: boolean) => {
    const asked = question();
    if (asked) await reread(asked, isFirstGood);
  };
  return {
    value: computed(() => held.value.value),
    state: computed(() => {
      if (question() === null) return 'empty';
      const { value, error, failure } = held.value;
      if (error && !(error instanceof NetworkError)) return 'missing';
      if (value !== undefined) return 'ready';
      return failure ? 'away' : 'loading';
    }),
    change: (change) => {
      const asked = question();
      if (asked) reader.setQueryData<T>(asked.key, (value) => value && change(value));
    },
    again: () => askAgain(true),
    renew: () => askAgain(false),
  };
}
