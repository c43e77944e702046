import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { takeOver } from '../../src/offline/take-over';

/** A registration as the browser gives it. */
const registered = (waiting: boolean, unregister = () => Promise.resolve(true)) => ({
  active: { postMessage: vi.fn() } as unknown as ServiceWorker,
  waiting: waiting ? ({} as ServiceWorker) : null,
  unregister: vi.fn(unregister),
});
const page = (isServerThere = () => true) => ({
  ask: vi.fn(),
  isServerThere: vi.fn(() => Promise.resolve(isServerThere())),
  tellOthers: vi.fn(),
  reload: vi.fn(),
});

describe('a newer version is taken', () => {
  beforeEach(() => {
    vi.useFakeTimers();
  });
  afterEach(() => {
    vi.useRealTimers();
  });

  it('asks the waiting worker, tells the one before to leave, and loads nothing before it was taken', async () => {
    const [registration, by] = [registered(true), page()];
    takeOver(registration, by);
    await vi.advanceTimersByTimeAsync(10_000);
    expect(by.ask).toHaveBeenCalledOnce();
    expect(registration.active.postMessage).toHaveBeenCalledWith({ type: 'LEAVE' });
    expect(by.reload).not.toHaveBeenCalled();
    expect(by.tellOthers).not.toHaveBeenCalled();
    expect(registration.unregister).not.toHaveBeenCalled();
  });

  it('loads the page at once where nothing waits: another page of this browser took it', () => {
    const by = page();
    takeOver(registered(false), by);
    takeOver(undefined, by);
    expect(by.ask).not.toHaveBeenCalled();
    expect(by.reload).toHaveBeenCalledTimes(2);
  });

  it.each([
    ['is put away', () => Promise.resolve(true)],
    ['cannot be put away either', () => Promise.reject(new Error('gone'))],
  ])('does not wait for ever for a stuck worker, which %s', async (_, unregister) => {
    const [registration, by] = [registered(true, unregister), page()];
    takeOver(registration, by);
    await vi.advanceTimersByTimeAsync(15_000);
    expect(registration.unregister).toHaveBeenCalledOnce();
    // The other pages hear of it before this one is gone.
    expect(by.tellOthers).toHaveBeenCalledOnce();
    expect(by.reload).toHaveBeenCalledOnce();
  });

  it('puts nothing away without a server, for nothing else would open the page, and tries again', async () => {
    let isThere = false;
    const [registration, by] = [registered(true), page(() => isThere)];
    takeOver(registration, by);
    await vi.advanceTimersByTimeAsync(40_000);
    expect(registration.unregister).not.toHaveBeenCalled();
    expect(by.reload).not.toHaveBeenCalled();
    expect(by.ask).toHaveBeenCalledTimes(3);
    isThere = true;
    await vi.advanceTimersByTimeAsync(15_000);
    expect(registration.unregister).toHaveBeenCalledOnce();
    expect(by.reload).toHaveBeenCalledOnce();
  });
});
