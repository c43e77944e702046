import { vi } from 'vitest';

/**
 * Waits until `check` no longer throws. The limit is a guard against a test that hangs, on whatever machine:
 * the library's own, a second, fails on a slow one.
 */
export const until = (check: () => void): Promise<void> => vi.waitFor(check, { timeout: 60_000 });
