import {
  emptyRound,
  type ChangeRequest,
  type ClubLifeView,
  type DayView,
  type EventView,
  type PlanView,
  type ReadingView,
} from '@tasche/contract';
import { mount } from '@vue/test-utils';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { createMemoryHistory, createRouter } from 'vue-router';
import { useOutbox } from '../../src/changes/outbox';
import AfterRound from '../../src/plan/AfterRound.vue';
import RoundsPlayed from '../../src/history/RoundsPlayed.vue';
import PutBackPanel from '../../src/history/PutBackPanel.vue';
import { clubLife } from '../../src/history/club-life';
import { factWords, readingName } from '../../src/history/fact-words';
import { placeInStrip, sinceWords, type PredictionOfDay } from '../../src/history/review';
import { freshPinia } from '../pinia';
import { useSheet } from '../../src/sheet/sheet-store';
import { clubView, sheetOf, showSchedule, showSheet } from '../sheet';
import { until } from '../until';

const fact = (value: number | string, takenOn = '2026-02-01') => ({ value, takenOn });
const reading = (id: string, more: Partial<ReadingView>): ReadingView => ({
  id,
  clubId: '7',
  key: 'loftSetDeg',
  value: 33,
  takenOn: '2026-05-01',
  recordedAt: '2026-05-01T10:00:00Z',
  who: 'Ines',
  why: '',
  undone: false,
  ...more,
});
const life = (more: Partial<ClubLifeView> = {}): ClubLifeView => ({
  club: { id: '7', playerId: 'p', name: '7 iron', kind: 'iron', removed: false },
  readings: { rows: [], total: 0, next: null },
  sessions: [],
  stints: [],
  tickets: [],
  ...more,
});

describe('a club’s life', () => {
  it('is one line for what one person wrote down of one day, the newest first; what was undone is left out', () => {
    const rows = [
      reading('a', { key: 'loftSetDeg', value: 34, why: 'weak' }),
      reading('b', { key: 'lieSetDeg', value: 62, why: 'weak' }),
      reading('c', { key: 'shot.full', value: { carryM: 150, source: 'stated' } }),
      reading('d', { key: 'grip', value: 'Moos', takenOn: '2026-01-01' }),
      reading('e', { key: 'grip', value: 'Gone', undone: true }),
    ];
    const entries = clubLife(
      life({
        readings: { rows, total: 5, next: null },
        sessions: [{ id: 's', name: 'Winter barn', day: '2026-06-01', shots: 12, spin: null }],
        stints: [
          {
            clubId: '7',
            clubName: '7 iron',
            from: '2026-03-01T12:00:00.000Z',
            to: '2026-07-01T12:00:00.000Z',
          },
        ],
      }),
      'm',
    );
    expect(entries.map(({ day, kind }) => [day, kind])).toEqual([
      ['2026-07-01', 'bag'],
      ['2026-06-01', 'session'],
      ['2026-05-01', 'build'],
      ['2026-05-01', 'reading'],
      ['2026-03-01', 'bag'],
      ['2026-01-01', 'build'],
    ]);
    expect(entries[2]!.text).toBe('Set loft 34.0°, Set lie 62.0°');
    expect(entries[2]!.who).toBe('Ines: weak');
    expect(entries[3]!.text).toContain('full carry 150 m');
    expect(entries.some(({ text }) => text.includes('Gone'))).toBe(false);
    expect(entries[1]).toMatchObject({ title: 'Winter barn', text: '12 shots measured' });
  });

  it('says a value as its sheet does, and nothing known as a dash', () => {
    expect(factWords('swingWeight', 'D3', 'yd')).toBe('D3');
    expect(factWords('loftSetDeg', null, 'yd')).toBe('–');
    expect(readingName('shot.soft')).toBe('soft carry');
  });
});

describe('putting it back', () => {
  beforeEach(() => {
    localStorage.clear();
    freshPinia();
  });

  function open(then: Partial<DayView>) {
    const store = useSheet();
    const [seven, nine] = [clubView('7', { carryM: 150 }), clubView('9', { carryM: 130 })];
    const bent = { ...seven, spec: { ...seven.spec, loftSetDeg: fact(33, '2026-05-01') } };
    showSheet(sheetOf([bent, nine], ['7']));
    const clubs = [
      { ...seven, spec: { ...seven.spec, loftSetDeg: fact(31) } },
      { ...nine, removed: false },
    ];
    const gamer = { bagId: 'gamer', name: 'Gamer', clubIds: ['7', '9'] };
    const router = createRouter({
      history: createMemoryHistory(),
      routes: [
        { path: '/bench/:playerId', name: 'bench', component: { template: '<i />' } },
        { path: '/:rest(.*)*', component: { template: '<i />' } },
      ],
    });
    const view = mount(PutBackPanel, {
      props: { then: { day: '2026-03-14', gamer, clubs, ball: null, ...then }, unit: 'm' },
      global: { plugins: [router] },
    });
    return { view, store };
  }

  it('says what it takes before it is done, does it as one change, and says so', async () => {
    const { view, store } = open({});
    expect(view.text()).toContain('In: 9.');
    expect(view.text()).toContain('7, on the bench: Set loft 31.0°');
    expect(view.text()).toContain('Eye protection');
    await view.get('button').trigger('click');
    expect(store.sheet!.bags[0]!.clubIds).toEqual(['7', '9']);
    expect(store.sheet!.tickets).toMatchObject([{ job: 'bend', name: 'Bend the 7 as it was' }]);
    const [sent] = useOutbox().waiting as unknown as { request: ChangeRequest }[];
    expect(sent!.request.commands.map((command) => command.do)).toEqual(['putIn', 'addTicket']);
    expect(sent!.request.why).toBe('put back as it was on 2026-03-14');
    expect(view.get('[role="status"]').text()).toContain('1 ticket made for the bench');
  });

  it('says so where nothing differs, and what cannot be had', () => {
    const same = open({
      gamer: { bagId: 'gamer', name: 'Gamer', clubIds: ['7'] },
      clubs: [],
    });
    expect(same.view.text()).toContain('Everything is as it was');
    const gone = open({
      gamer: { bagId: 'gamer', name: 'Gamer', clubIds: ['7', 'x'] },
      clubs: [{ ...clubView('x'), name: 'Old wedge', removed: true }],
    });
    expect(gone.view.text()).toContain('Old wedge was deleted since');
  });
});

describe('rounds played', () => {
  beforeEach(() => {
    localStorage.clear();
    freshPinia();
    // No server answers here.
    vi.stubGlobal('fetch', () => new Promise(() => {}));
  });

  it('says how often clubs are hit over all of them, which never are, and writes it into the sheet in one press', async () => {
    const store = useSheet();
    const rounds = ['r1', 'r2'].map((id, i) => ({
      ...emptyRound(id),
      after: { hits: { '7': 4 + i, '9': 0 }, says: i === 0 ? 'into the wind all day' : '', keep: '' },
    }));
    const plan = { id: 'plan', playerId: 'p', eventId: 'e', rounds } as unknown as PlanView;
    showSheet({ ...sheetOf([clubView('7'), clubView('9')], ['7', '9']), plans: [plan] });
    const event = {
      id: 'e',
      name: 'Open',
      rounds: ['r1', 'r2'].map((id, i) => ({
        id,
        name: `Round ${i + 1}`,
        day: `2026-11-0${i + 1}`,
        courseId: 'c',
      })),
    } as unknown as EventView;
    showSchedule({ courses: [], seasons: [], events: [event] });
    const router = createRouter({
      history: createMemoryHistory(),
      routes: [
        { path: '/:playerId/plan/:planId', name: 'plan', component: { template: '<i />' } },
        { path: '/:rest(.*)*', component: { template: '<i />' } },
      ],
    });
    const view = mount(RoundsPlayed, { props: { playerId: 'p' }, global: { plugins: [router] } });
    const text = view.text().replace(/\s+/g, ' ');
    expect(text).toContain('Open, Round 2');
    expect(text).toContain('into the wind all day');
    expect(text).toContain('7 4.5');
    expect(text).toContain('Never hit in the rounds it was counted in: 9.');
    const write = () => view.findAll('button').find((one) => one.text().startsWith('Save hits'));
    await write()!.trigger('click');
    expect(store.clubsById.get('7')!.spec.hitsPerRound!.value).toBe(4.5);
    expect(store.clubsById.get('9')!.spec.hitsPerRound!.value).toBe(0);
    expect(write()).toBeUndefined();
    showSheet({ ...store.sheet!, plans: [] });
    await view.vm.$nextTick();
    expect(view.text()).toContain('No rounds yet.');
  });

  it('are recorded by themselves, opened by their address, counted, and deleted', async () => {
    const store = useSheet();
    showSheet(sheetOf([clubView('7'), clubView('9')], ['7', '9']));
    showSchedule({ courses: [], seasons: [], events: [] });
    const router = createRouter({
      history: createMemoryHistory(),
      routes: [{ path: '/:rest(.*)*', component: { template: '<i />' } }],
    });
    const view = mount(RoundsPlayed, { props: { playerId: 'p' }, global: { plugins: [router] } });
    const button = (begins: string) => view.findAll('button').find((one) => one.text().startsWith(begins))!;
    await button('Add a round').trigger('click');
    await view.get('input[aria-label="Name of the round"]').setValue('Club medal');
    await view.get('form').trigger('submit');
    await until(() => {
      expect(store.sheet!.roundsPlayed).toHaveLength(1);
    });
    const [round] = store.sheet!.roundsPlayed;
    await until(() => {
      expect(router.currentRoute.value.query.played).toBe(round!.id);
    });
    expect(round).toMatchObject({
      name: 'Club medal',
      courseId: null,
      bagId: store.gamer!.id,
      after: { hits: {} },
    });
    // What was carried is what is asked after.
    await view.vm.$nextTick();
    view.findComponent(AfterRound).vm.$emit('set', { hits: { '7': 5 }, says: 'calm', keep: '' });
    await view.vm.$nextTick();
    expect(
      view
        .findComponent(AfterRound)
        .props('carried')
        .map(({ id }) => id),
    ).toEqual(['7', '9']);
    expect(view.text()).toContain('5 hits counted');
    await button('Delete the round').trigger('click');
    expect(store.sheet!.roundsPlayed).toEqual([]);
    await until(() => {
      expect(router.currentRoute.value.query.played).toBeUndefined();
    });
  });
});

describe('a season looked back on', () => {
  const one = (more: Partial<PredictionOfDay> = {}): PredictionOfDay => ({
    day: '2026-11-10',
    clubId: '7',
    clubName: '7 iron',
    basis: 'measured',
    expectedM: 150,
    foundM: 152,
    shots: 10,
    deviationM: 2,
    ...more,
  });

  it('says what was heard of a club since it came in: the newest session, and the rounds it was hit in', () => {
    const swap = { at: '2026-11-01T09:00:00Z' };
    const predictions = [one({ day: '2026-11-20', foundM: 155 }), one(), one({ clubId: '8' })];
    const rounds: { day: string; hits: Record<string, number> }[] = [
      { day: '2026-11-05', hits: { '7': 3 } },
      { day: '2026-11-06', hits: { '7': 4, '8': 1 } },
      { day: '2026-10-01', hits: { '7': 40 } },
    ];
    expect(sinceWords(swap, '7', predictions, rounds, 'm')).toBe(
      '155 m where 150 m was expected; hit 3.5 times a round in 2 rounds',
    );
    expect(sinceWords(swap, '8', [], rounds, 'yd')).toBe('hit once a round in 1 round');
    expect(sinceWords({ at: '2026-12-01T09:00:00Z' }, '7', predictions, rounds, 'm')).toBe('');
  });

  it('places what came within its own range, and what is far outside at the edge', () => {
    expect(placeInStrip(one({ foundM: 150 }))).toBe(0.5);
    expect(placeInStrip(one({ foundM: 154 }))).toBe(0.75);
    expect([placeInStrip(one({ foundM: 10 })), placeInStrip(one({ foundM: 900 }))]).toEqual([0, 1]);
  });
});
