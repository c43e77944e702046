import type { CourseView, EventView } from '@tasche/contract';
import { flushPromises, mount } from '@vue/test-utils';
import { describe, expect, it } from 'vitest';
import { createMemoryHistory, createRouter } from 'vue-router';
import { useOutbox } from '../../src/changes/outbox';
import { freshRound } from '../../src/courses/fresh-round';
import { emptyCourse } from '../../src/courses/new-course';
import UnplannedEvent from '../../src/plan/UnplannedEvent.vue';
import { entryLink } from '../../src/season/entry-link';
import { freshPinia } from '../pinia';
import { clubView, sheetOf, showSchedule, showSheet } from '../sheet';

const dunes: CourseView = { id: 'dunes', version: 1, removed: false, ...emptyCourse('Aaron Dunes') };
const open: EventView = {
  id: 'open',
  version: 2,
  removed: false,
  name: 'Aaron Open',
  rounds: ['2099-03-12', '2099-03-13'].map((day) =>
    freshRound({ id: day, name: day, day, courseId: 'dunes', tee: 0 }, dunes),
  ),
  zone: null,
  limits: { clubs: 14, lengthIn: 48 },
  notes: '',
};

async function shown(bags: ReturnType<typeof sheetOf>['bags'] | null = null) {
  freshPinia();
  const sheet = sheetOf([clubView('7', { carryM: 150 })], ['7']);
  showSheet(bags ? { ...sheet, bags } : sheet);
  showSchedule({ courses: [dunes], events: [open] });
  const view = { template: '<i />' };
  const router = createRouter({
    history: createMemoryHistory(),
    routes: [
      { path: '/players/:playerId/bag', name: 'bag', component: view },
      { path: '/players/:playerId/season', name: 'season', component: view },
      { path: '/players/:playerId/plan/:planId?', name: 'plan', component: view },
      { path: '/courses/:courseId?', name: 'courses', component: view },
    ],
  });
  const page = mount(UnplannedEvent, {
    props: { playerId: 'p', eventId: 'open' },
    global: { plugins: [router] },
  });
  await flushPromises();
  const button = (name: string) => page.findAll('button').find((one) => one.text() === name)!;
  return { page, router, button };
}

describe('an event without a plan', () => {
  it('is what its link opens: its days and courses, what is missing there, and the plan that is made of it', async () => {
    const { page, router, button } = await shown();
    const entry = { uid: 'e', kind: 'event', name: '', from: '', to: '', revision: 1, planId: null } as const;
    expect(router.resolve(entryLink('p', { ...entry, eventId: 'open' })!).fullPath).toBe(
      '/players/p/plan?event=open',
    );
    expect(page.get('h1').text()).toContain('Aaron Open');
    expect(page.text()).toContain('12 Mar 2099 to 13 Mar 2099, 2 rounds, Aaron Dunes');
    expect(page.text()).toContain('Aaron Dunes has no holes yet');
    await button('Plan it from the gamer bag').trigger('click');
    await flushPromises();
    const [command] = useOutbox().pending('p');
    expect(command).toMatchObject({
      do: 'addPlan',
      plan: {
        eventId: 'open',
        name: 'Aaron Open',
        course: 'Aaron Dunes',
        startsOn: '2099-03-12',
        endsOn: '2099-03-13',
      },
    });
    expect(router.currentRoute.value.params.planId).toBe(command!.do === 'addPlan' && command!.plan.id);
    page.unmount();
  });

  it('is deleted from there, and waits for a gamer bag', async () => {
    const { page, router, button } = await shown([]);
    expect(page.text()).toContain('A plan starts from the gamer bag, and there is none yet.');
    expect(button('Plan it from the gamer bag').attributes('disabled')).toBeDefined();
    await button('Delete the event').trigger('click');
    await flushPromises();
    expect(useOutbox().pending('circuit')).toEqual([{ do: 'removeEvent', eventId: 'open', version: 2 }]);
    expect(router.currentRoute.value.name).toBe('season');
    page.unmount();
  });
});
