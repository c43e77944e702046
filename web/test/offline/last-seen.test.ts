import { describe, expect, it } from 'vitest';
import {
  LAST_SEEN_HEADER,
  asLastSeen,
  isKept,
  isWorthKeeping,
  keptUnder,
} from '../../service-worker/last-seen';

const at = (path: string) => new URL(path, 'http://127.0.0.1:4310');
const json = (body: unknown, headers: Record<string, string> = {}) =>
  new Response(JSON.stringify(body), {
    headers: { 'content-type': 'application/json; charset=utf-8', ...headers },
  });

describe('what is kept to be read without a network', () => {
  it.each([
    ['/api/players?today=2026-11-26', true],
    ['/api/players/x/sheet', true],
    ['/api/schedule', true],
    ['/api/health', false],
    ['/api/courses/x/forecast?from=2026-11-27&days=1', false],
    ['/api/sessions/x/live', false],
    ['/api/news', false],
    ['/api/gauge/live', false],
    ['/assets/index.js', false],
  ])('%s: %s', (path, kept) => {
    expect(isKept(at(path))).toBe(kept);
  });

  it('the roster of yesterday is the roster, another page of it is another', () => {
    expect(keptUnder(at('/api/players?today=2026-11-26'))).toBe(
      keptUnder(at('/api/players?today=2026-11-25')),
    );
    expect(keptUnder(at('/api/players?today=2026-11-26&after=b'))).not.toBe(
      keptUnder(at('/api/players?today=2026-11-26')),
    );
    expect(keptUnder(at('/api/players/x/sheet?asOf=2026-01-01'))).not.toBe(
      keptUnder(at('/api/players/x/sheet')),
    );
  });

  it('the schedule as an older version saw it, at the address it had then', () => {
    expect(keptUnder(at('/api/schedule'))).toBe(at('/api/circuit').href);
  });

  it('answers that are data and no mistake', () => {
    expect(isWorthKeeping(json({}))).toBe(true);
    expect(isWorthKeeping(new Response('%PDF', { headers: { 'content-type': 'application/pdf' } }))).toBe(
      false,
    );
    expect(
      isWorthKeeping(new Response('{}', { status: 404, headers: { 'content-type': 'application/json' } })),
    ).toBe(false);
  });

  it('says of itself when it was read, and holds the same', async () => {
    const seen = asLastSeen(json({ name: 'Pim' }, { date: 'Thu, 26 Nov 2026 12:16:00 GMT' }));
    expect(seen.headers.get(LAST_SEEN_HEADER)).toBe('Thu, 26 Nov 2026 12:16:00 GMT');
    expect(await seen.json()).toEqual({ name: 'Pim' });
    expect(asLastSeen(json({})).headers.get(LAST_SEEN_HEADER)).toBe('');
  });
});
