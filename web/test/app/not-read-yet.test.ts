import { flushPromises, mount } from '@vue/test-utils';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { Component } from 'vue';
import TicketQueueView from '../../src/bench/TicketQueueView.vue';
import CardView from '../../src/card/CardView.vue';
import CompareView from '../../src/compare/CompareView.vue';
import RoundsPlayed from '../../src/history/RoundsPlayed.vue';
import ReviewView from '../../src/history/ReviewView.vue';
import SwapSheetView from '../../src/plan/SwapSheetView.vue';
import RangePage from '../../src/range/RangePage.vue';
import RosterView from '../../src/roster/RosterView.vue';
import { router } from '../../src/router';
import SeasonPage from '../../src/season/SeasonPage.vue';
import { freshPinia } from '../pinia';
import { answerAsWorker } from '../round-worker';
import { clubView, sheetOf, showSheet } from '../sheet';
import { until } from '../until';

/** Whether the server answers, and fails, or says nothing yet. */
let fails = false;

beforeEach(() => {
  localStorage.clear();
  freshPinia();
  answerAsWorker({});
  vi.stubGlobal('fetch', () =>
    fails
      ? Promise.resolve(Response.json({ error: 'away', message: 'The database is away.' }, { status: 503 }))
      : new Promise(() => undefined),
  );
  const sheet = sheetOf([clubView('7', { carryM: 150 })], ['7']);
  const plan = {
    id: 'plan',
    playerId: 'p',
    version: 1,
    name: 'Ridge Cup',
    eventId: 'event',
    startsOn: '2026-12-04',
    endsOn: '2026-12-06',
    baseClubIds: ['7'],
    swaps: [],
    removed: false,
  };
  showSheet({ ...sheet, plans: [plan as unknown as (typeof sheet.plans)[number]] });
});
afterEach(() => {
  vi.unstubAllGlobals();
});

const VIEWS: readonly [name: string, view: Component, props: Record<string, string>][] = [
  ['range', RangePage, { playerId: 'p' }],
  ['compare', CompareView, { playerId: 'p' }],
  ['rounds played', RoundsPlayed, { playerId: 'p' }],
  ['review', ReviewView, { playerId: 'p' }],
  ['swap sheet', SwapSheetView, { playerId: 'p', planId: 'plan' }],
  ['card', CardView, { playerId: 'p' }],
  ['season', SeasonPage, { playerId: 'p' }],
];
const open = (view: Component, props: Record<string, string> = {}) =>
  mount(view, { props, global: { plugins: [router] } });
/** What would be false of what was not read: that there is none of it. */
const NONE = /\bno (shots|rounds)\b|\bnothing is\b|\b0 players\b|does not exist|not here/i;

describe.each([true, false])('while the server is away (%s) or slow', (isAway) => {
  beforeEach(() => {
    fails = isAway;
  });

  it.each(VIEWS)('%s does not say that there is nothing', async (_name, component, props) => {
    const view = open(component, props);
    await flushPromises();
    if (isAway)
      await until(() => {
        expect(view.text()).toContain('this page fills by itself as soon as the server answers');
      });
    expect(view.text()).not.toMatch(NONE);
    view.unmount();
  });

  it('the roster does not say that there is nobody', async () => {
    const view = open(RosterView);
    await flushPromises();
    expect(view.text()).toContain('Loading…');
    expect(view.text()).not.toMatch(NONE);
    view.unmount();
  });

  it('the jobs of all players are loading, or cannot be read: not both', async () => {
    const view = open(TicketQueueView);
    await until(() => {
      expect(view.text()).toContain(isAway ? 'The database is away.' : 'Loading…');
    });
    expect(view.text().includes('Loading…')).toBe(!isAway);
    expect(view.text()).not.toMatch(NONE);
    view.unmount();
  });
});
