import type { Page, SheetView } from '@tasche/contract';
import { expect } from 'vitest';
import type { Browser } from './sign-in-server.js';

export const sheetOf = async (by: Browser, playerId: string) =>
  (await by.get(`/players/${playerId}/sheet`).expect(200)).body as SheetView;

const UUID = /[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}/g;
/**
 * The same text with every id named by the order in which ids first stand in it, so that two that differ by
 * their ids alone are equal.
 */
export function withoutIds(value: unknown): unknown {
  const seen = new Map<string, string>();
  return JSON.parse(
    JSON.stringify(value).replace(UUID, (id) => {
      if (!seen.has(id)) seen.set(id, `id ${seen.size + 1}`);
      return seen.get(id)!;
    }),
  ) as unknown;
}

/** Everything somebody can read of a player, page by page, without what differs by design. */
export async function everything(by: Browser, playerId: string): Promise<Record<string, unknown>> {
  const { lastChange, revision, ...sheet } = (await sheetOf(by, playerId)) as SheetView & {
    revision: unknown;
  };
  expect(revision).toBeGreaterThan(0);
  expect(lastChange).not.toBeNull();
  const pages = async (path: string) => {
    const rows: unknown[] = [];
    for (let next: string | null = ''; next !== null;) {
      const [name] = path === 'changes' ? ['before'] : ['after'];
      const page = (
        await by
          .get(`/players/${playerId}/${path}?limit=200${next && `&${name}=${encodeURIComponent(next)}`}`)
          .expect(200)
      ).body as Page<unknown>;
      rows.push(...page.rows);
      next = page.next;
    }
    return rows;
  };
  const readings = [];
  for (const { id } of sheet.clubs)
    readings.push(
      (await by.get(`/clubs/${id}/readings?limit=200`).expect(200)).body as Page<{ changeId?: string }>,
    );
  const days = [];
  for (const day of ['2026-09-30', '2026-10-15', '2026-11-20'])
    days.push((await by.get(`/players/${playerId}/day?day=${day}`).expect(200)).body as unknown);
  const changes = (
    (await pages('changes')) as { at: string; who: string; summary: string; undone: boolean }[]
  )
    .filter(({ summary }) => !/(taken over|handed over|brought in)/.test(summary))
    .map(({ at, who, summary, undone }) => ({ at, who, summary, undone }))
    .sort((a, b) => (a.at + a.summary).localeCompare(b.at + b.summary));
  const { strikes, builds } = (await by.get(`/players/${playerId}/strikes`).expect(200)).body as {
    strikes: unknown[];
    builds: { builtOn: string; spec: object }[];
  };
  const built = (one: { builtOn: string; spec: object }) => one.builtOn + JSON.stringify(one.spec);
  builds.sort((a, b) => built(a).localeCompare(built(b)));
  return {
    sheet: { ...sheet, player: { ...sheet.player, archived: false } },
    sessions: await pages('sessions'),
    readings,
    days,
    changes,
    strikes,
    builds,
  };
}
