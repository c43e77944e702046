import type { ClubView, EventView } from '@tasche/contract';
import { BASELINE } from '@tasche/core';
import { mount } from '@vue/test-utils';
import { describe, expect, it } from 'vitest';
import { createMemoryHistory, createRouter } from 'vue-router';
import PlannedBag from '../../src/plan/PlannedBag.vue';
import RoundTabs from '../../src/plan/RoundTabs.vue';
import { clubView } from '../sheet';

const CLUBS: readonly ClubView[] = [
  clubView('7', { carryM: 150 }),
  clubView('8', { carryM: 138, source: 'measured', sampleSize: 12 }),
  clubView('9'),
];

describe('the bag of a week', () => {
  const bag = (more: object = {}) =>
    mount(PlannedBag, {
      props: {
        clubs: CLUBS,
        fresh: new Set(['8']),
        moved: null,
        unit: 'm' as const,
        canEdit: true,
        rowPx: 36,
        headPx: 46,
        active: '7',
        ...more,
      },
      attachTo: document.body,
    });

  it('lists loft and carry as they are known, and what came in', () => {
    const view = bag();
    const rows = view.findAll('tbody tr').map((row) => row.text().replace(/\s+/g, ''));
    expect(rows[0]).toContain('730.0°150');
    expect(rows[1]).toContain('in');
    expect(rows[2]).toBe('930.0°Out');
    expect(view.find('.measured').exists()).toBe(true);
    view.unmount();
  });

  it('goes up and down by key, and no farther than its ends', async () => {
    const view = bag();
    const table = view.get('.planned');
    await table.trigger('keydown', { key: 'ArrowUp' });
    // It stands at the top already.
    expect(view.emitted('update:active')).toBeUndefined();
    await table.trigger('keydown', { key: 'ArrowDown' });
    expect(view.emitted('update:active')!.at(-1)).toEqual(['8']);
    expect((document.activeElement as HTMLElement).dataset.club).toBe('8');
    view.unmount();
  });

  it('takes a club out where it may be changed, and has no button where it may not', async () => {
    const view = bag();
    await view.get('button[aria-label="Take 9 out"]').trigger('click');
    expect(view.emitted('out')).toEqual([['9']]);
    view.unmount();
    const readOnly = bag({ canEdit: false });
    expect(readOnly.find('button').exists()).toBe(false);
    readOnly.unmount();
  });

  it('says what a club carries in the week’s air', () => {
    const view = bag({ moved: new Map([['7', { carryM: 158 }]]) });
    expect(view.find('thead').text()).toContain('here');
    expect(view.findAll('.here').map((cell) => cell.text())).toEqual(['158', '', '']);
    view.unmount();
  });
});

describe('the rounds of an event', () => {
  const round = (id: string, day: string, teeTime?: string) => ({
    id,
    name: `Round ${id}`,
    day,
    teeTime,
    courseId: 'c',
    tee: 0,
    air: BASELINE,
    ground: {} as never,
    forecast: null,
  });
  const event = {
    id: 'e',
    version: 1,
    removed: false,
    name: 'Open',
    notes: '',
    zone: null,
    limits: { clubs: 14, lengthIn: 46 },
    rounds: [round('1', '2026-12-13', '07:50'), round('2', '2026-12-14')],
  } as unknown as EventView;

  it('are named with their day and tee time, which is open and which is settled', async () => {
    const router = createRouter({
      history: createMemoryHistory(),
      routes: [{ path: '/plan', component: {} }],
    });
    await router.push('/plan?wind=8');
    const view = mount(RoundTabs, {
      props: {
        event,
        courses: [{ id: 'c', name: 'Hochfirn' } as never],
        settled: new Set(['2']),
        says: 'Round 1 and Round 2 play one bag.',
        open: '1',
      },
      global: { plugins: [router] },
    });
    const [first, second, travel] = view.get('nav[aria-label="Rounds"]').findAll('a');
    expect(first!.text()).toContain('Sun 13 Dec 07:50');
    expect(first!.text()).toContain('Hochfirn');
    expect(first!.attributes('aria-current')).toBe('page');
    expect(second!.attributes('aria-current')).toBeUndefined();
    expect(second!.text()).toContain('●');
    expect(first!.text()).not.toContain('●');
    expect(travel!.attributes('href')).toBe('/plan?wind=8&round=travel');
    await second!.trigger('click');
    await expect.poll(() => router.currentRoute.value.query).toEqual({ wind: '8', round: '2' });
  });
});
