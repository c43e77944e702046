import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { takeOver } from '../../src/offline/take-over';

/** A registration as the browser gives it. */
const registered = (waiting: boolean, unregister = () => Promise.resolve(true)) => ({
  active: { postMessage: vi.fn() } as unknown as ServiceWorker,
  waiting: waiting ? ({} as ServiceWorker) : null,
  unregister: vi.fn(unregister),
});

describe('a newer version is taken', () => {
  beforeEach(() => {
    vi.useFakeTimers();
  });
  afterEach(() => {
    vi.useRealTimers();
  });

  it('asks the waiting worker and tells the one before to leave, and loads nothing before it has taken over', async () => {
    const [registration, ask, others, reload] = [registered(true), vi.fn(), vi.fn(), vi.fn()];
    takeOver(registration, ask, others, reload);
    await vi.advanceTimersByTimeAsync(10_000);
    expect(ask).toHaveBeenCalledOnce();
    expect(registration.active.postMessage).toHaveBeenCalledWith({ type: 'LEAVE' });
    expect(reload).not.toHaveBeenCalled();
    expect(others).not.toHaveBeenCalled();
    expect(registration.unregister).not.toHaveBeenCalled();
  });

  it('loads the page at once where nothing waits: another page of this browser took it', () => {
    const [ask, others, reload] = [vi.fn(), vi.fn(), vi.fn()];
    takeOver(registered(false), ask, others, reload);
    takeOver(undefined, ask, others, reload);
    expect(ask).not.toHaveBeenCalled();
    expect(reload).toHaveBeenCalledTimes(2);
  });

  it.each([
    ['is put away', () => Promise.resolve(true)],
    ['cannot be put away either', () => Promise.reject(new Error('gone'))],
  ])('does not wait for ever for a stuck worker, which %s', async (_, unregister) => {
    const [registration, others, reload] = [registered(true, unregister), vi.fn(), vi.fn()];
    takeOver(registration, () => undefined, others, reload);
    await vi.advanceTimersByTimeAsync(15_000);
    expect(registration.unregister).toHaveBeenCalledOnce();
    // The other pages hear of it before this one is gone.
    expect(others).toHaveBeenCalledOnce();
    expect(reload).toHaveBeenCalledOnce();
  });
});
