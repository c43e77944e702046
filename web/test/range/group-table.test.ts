import type { ClubView, HitOff } from '@tasche/contract';
import { mount } from '@vue/test-utils';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import type { ClubKind, Shot } from '@tasche/core';
import GroupTable from '../../src/range/GroupTable.vue';
import type { GroupSummary } from '../../src/range/range-worker';
import { freshPinia } from '../pinia';
import { clubView, sheetOf, showSheet } from '../sheet';
import { session } from './session';

const middle = (mean: number, spread = 6) => ({ mean, robust: mean, spread, plusMinus: 2 });
const group = (n: number, carryM: number, shot: GroupSummary['shot'] = 'full'): GroupSummary => ({
  key: `wood ${shot}`,
  clubId: 'wood',
  shot,
  n,
  leftOut: 0,
  outliers: 0,
  misHits: 0,
  summary: {
    n,
    carryM: middle(carryM),
    totalM: middle(carryM + 15),
    offlineM: undefined,
    apexM: middle(25),
    descentDeg: middle(40),
    ballSpeedMps: middle(65),
    launchDeg: middle(11),
    spinRpm: middle(3500),
    lowEndM: carryM - 8,
    highEndM: carryM + 8,
    launchWindowDeg: [10, 12],
    spinWindowRpm: [3300, 3700],
    ellipse: undefined,
    moreShots: 0,
  },
  points: { xs: [], ys: [] },
  path: new Float64Array(),
});

/** The row of a club that was hit, its carry off the turf 200 m of forty shots where it is known. */
function row(hitOff: HitOff, kind: ClubKind, hit: GroupSummary, turf: Partial<Shot> | null = {}) {
  const known = { carryM: 200, source: 'measured' as const, sampleSize: 40, spreadM: 8, ...turf };
  return rowOf(hitOff, { ...clubView('wood', turf ? known : undefined), kind }, hit);
}
function rowOf(hitOff: HitOff, club: ClubView, hit: GroupSummary) {
  showSheet(sheetOf([club], ['wood']));
  return mount(GroupTable, {
    props: {
      session: { ...session('s', '2026-11-20'), hitOff },
      groups: [hit],
      drifts: [],
      shown: [],
      unit: 'm',
    },
  });
}
const offer = (view: ReturnType<typeof row>) => view.get('.offer').text().replace(/\s+/g, ' ');

beforeEach(() => {
  freshPinia();
  vi.stubGlobal('fetch', () => new Promise(() => {}));
});

describe('what a session offers the sheet', () => {
  it('off grass, the carry', async () => {
    const view = row('grass', 'fairway', group(20, 206));
    expect(offer(view)).toContain('Take 206');
    await view.get('.offer button').trigger('click');
    expect(view.emitted('take')![0]![1]).toMatchObject({ carryM: 206, source: 'measured', sampleSize: 20 });
  });

  it('off tees, what a tee gives a wood, with its carry left as it stands', async () => {
    const view = row('tees', 'fairway', group(20, 206));
    expect(offer(view)).toMatch(/^±\d+\.\d ?Take \+[56] off a tee$/);
    await view.get('.offer button').trigger('click');
    const [, taken] = view.emitted('take')![0] as [GroupSummary, Shot];
    expect(taken).toMatchObject({ carryM: 200, source: 'measured', sampleSize: 40 });
    expect(taken.teeGainM).toBeGreaterThan(4.5);
    expect(taken.teeGainM).toBeLessThan(6);
    expect(offer(row('tees', 'fairway', group(20, 206), { teeGainM: taken.teeGainM! }))).toBe(
      `● +${taken.teeGainM!.toFixed(0)} off a tee, taken`,
    );
    expect(offer(row('tees', 'fairway', group(20, 200)))).toMatch(/Take 0 off a tee$/);
    expect(offer(row('tees', 'fairway', group(20, 194)))).toMatch(/Take −[456] off a tee$/);
  });

  it('no carry that a mis-hit pulls down, and no ends of fewer than three shots', () => {
    const view = row('grass', 'fairway', { ...group(3, 150), outliers: 1, misHits: 1 });
    expect(offer(view)).toBe('200 measured ◆ leave the mis-hit out first');
    expect(view.text()).toContain('142–158');
    const one = row('grass', 'fairway', group(1, 150)).text();
    expect(one).not.toContain('142–158');
    expect(one).toContain('– × –');
  });

  it('on a phone stands under its club, where the last column would be out of sight', async () => {
    const { happyDOM } = window as unknown as { happyDOM: { setViewport: (to: { width: number }) => void } };
    const width = window.innerWidth;
    happyDOM.setViewport({ width: 390 });
    try {
      const view = row('grass', 'fairway', group(20, 206));
      expect(view.find('.offer').exists()).toBe(false);
      expect(view.get('.in-sight').text().replace(/\s+/g, ' ')).toBe('On the sheet 200 measured Take 206');
      await view.get('.in-sight button').trigger('click');
      expect(view.emitted('take')).toHaveLength(1);
    } finally {
      happyDOM.setViewport({ width });
    }
  });

  it('off tees, a driver’s carry, which is one from a tee', () => {
    expect(offer(row('tees', 'driver', group(20, 206)))).toContain('Take 206');
  });

  it('says why nothing is to be taken off a tee', () => {
    expect(offer(row('tees', 'fairway', group(3, 206)))).toBe('off a tee 4 balls tell');
    expect(offer(row('tees', 'fairway', group(20, 206), null))).toBe('its carry off the turf first');
    expect(offer(row('tees', 'fairway', group(20, 206, 'soft')))).toBe('off a tee full shots count');
    expect(offer(row('tees', 'fairway', group(20, 160), { source: 'stated' }))).toBe(
      'too far from the 200 stated: hit it off the turf first',
    );
    // Bent after its carry was measured: the difference would be the bend's.
    const bent = clubView('wood', { carryM: 200 });
    const spec = {
      ...bent.spec,
      'shot.full': { ...bent.spec['shot.full']!, build: { loftSetDeg: null } },
      loftSetDeg: { value: 28, takenOn: '2026-11-01' },
    };
    expect(offer(rowOf('tees', { ...bent, kind: 'fairway', spec }, group(20, 206)))).toBe(
      'its carry off the turf is from before a change',
    );
  });
});
