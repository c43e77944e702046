import { MEDIUM_FAIRWAY, BASELINE } from '@tasche/core';
import { conditionsSchema, surfaceSchema, type PlaceView, type SheetView } from '@tasche/contract';
import { v4 as newId } from 'uuid';
import { describe, expect, it } from 'vitest';
import { loadDemo } from '../src/demo/load-demo.js';
import { Place } from '../src/places/place.js';
import { inWorkspace } from '../src/workspaces/in-workspace.js';
import { workbench, workbenchIn } from './workbench.js';

const DEMO = '7a5c4e00-0000-4000-8000-00000000de30';

describe('places', () => {
  it('are the workspace\'s own: none for a new one, and nobody else\'s', async () => {
    const [mine, theirs] = [await workbench(), await workbench()];
    await inWorkspace(mine.orm, mine.workspaceId, (em) => {
      em.create(Place, { id: newId(), workspaceId: mine.workspaceId, course: 'Skarvoy Links', season: 'summer', conditions: BASELINE, surface: MEDIUM_FAIRWAY, place: 0 }, { persist: true });
      return Promise.resolve();
    });
    expect((await mine.http.get('/api/places').expect(200)).body).toMatchObject([{ course: 'Skarvoy Links', season: 'summer' }]);
    expect((await theirs.http.get('/api/places').expect(200)).body).toEqual([]);
    // The second wall: the database alone refuses a row for somebody else's workspace.
    await expect(inWorkspace(theirs.orm, theirs.workspaceId, (em) => em.execute('update place set course = ? where workspace_id = ? returning id', ['mine now', mine.workspaceId]))).resolves.toEqual([]);
    await expect(inWorkspace(theirs.orm, theirs.workspaceId, (em) => em.execute(
      `insert into place (id, workspace_id, course, season, conditions, surface, place) values (?, ?, 'x', 'y', '{}', '{}', 0)`, [newId(), mine.workspaceId]))).rejects.toThrow(/row-level security/);
  });
});

describe('the demo', () => {
  it('is whole, loads once, and holds four players with full bags, lockers of twenty and more, and the honest faults it is meant to hold', async () => {
    const { orm } = await workbench();
    await loadDemo(orm);
    await loadDemo(orm);
    const demo = workbenchIn(orm, DEMO, 'Jonas Brandl');
    const places = (await demo.http.get('/api/places').expect(200)).body as PlaceView[];
    expect(new Set(places.map((place) => place.course))).toEqual(new Set(['Skarvoy Links', 'Hochfirn', 'Lagoa Funda', 'Erg Chebka']));
    for (const { conditions, surface } of places) {
      expect(() => conditionsSchema.validateSync(conditions, { strict: true })).not.toThrow();
      expect(() => surfaceSchema.validateSync(surface, { strict: true })).not.toThrow();
    }
    const roster = (await demo.http.get('/api/players?today=2026-11-25').expect(200)).body as { player: { id: string; name: string }; clubsOwned: number }[];
    expect(roster.map((entry) => entry.player.name)).toEqual(['Davor Kolar', 'Maren Tveit', 'Oluchi Nwosu', 'Pim Hoekstra']);
    expect(Math.min(...roster.map((entry) => entry.clubsOwned))).toBeGreaterThanOrEqual(20);
    const sheets: SheetView[] = await Promise.all(roster.map((entry) => demo.sheet(entry.player.id)));
    expect(sheets.filter((sheet) => sheet.bags.some((bag) => bag.clubIds.length === 14))).toHaveLength(4);
    // Every change since the sheet was written down changed something.
    for (const { player } of roster) {
      const { body } = await demo.http.get(`/api/players/${player.id}/differences?from=2026-09-30&to=2199-12-31`).expect(200);
      if (player.name !== 'Oluchi Nwosu') expect((body as unknown[]).length, player.name).toBeGreaterThan(0);
    }
    expect(sheets.flatMap((sheet) => sheet.clubs).some((club) => club.spec.hitsPerRound?.value === 0)).toBe(true);
  });
});
