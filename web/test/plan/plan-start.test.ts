import type { CourseView } from '@tasche/contract';
import { flushPromises, mount } from '@vue/test-utils';
import { beforeEach, describe, expect, it } from 'vitest';
import { createMemoryHistory, createRouter } from 'vue-router';
import PlanView from '../../src/plan/PlanView.vue';
import { freshPinia } from '../pinia';
import { clubView, sheetOf, showSchedule, showSheet } from '../sheet';

const course = (id: string, holes: number) =>
  ({ id, name: id, holes: Array.from({ length: holes }, () => ({})) }) as unknown as CourseView;

async function planPage(courses: readonly CourseView[], inBag: readonly string[] | null = ['7']) {
  const sheet = sheetOf([clubView('7', { carryM: 150 })], inBag ?? []);
  showSheet(inBag ? sheet : { ...sheet, bags: [] });
  showSchedule({ courses });
  const page = { template: '<i />' };
  const router = createRouter({
    history: createMemoryHistory(),
    routes: [
      { path: '/:playerId/plan/:planId?', name: 'plan', component: page },
      { path: '/:playerId/bag', name: 'bag', component: page },
      { path: '/:rest(.*)*', component: page },
    ],
  });
  await router.push('/p/plan');
  const view = mount(PlanView, {
    props: { playerId: 'p' },
    global: { plugins: [router] },
    attachTo: document.body,
  });
  await flushPromises();
  return view;
}

describe('the page of plans where there is none', () => {
  beforeEach(() => freshPinia());

  it('says what an event and a week are for, and begins either', async () => {
    const view = await planPage([course('Hochfirn', 18), course('empty', 0)]);
    const start = view.get('[aria-label="Start a plan"]');
    expect(start.text()).toContain('1 course to play on.');
    await start
      .findAll('button')
      .find((button) => button.text() === 'Plan a week')!
      .trigger('click');
    expect(view.find('input[aria-label="Name of the week"]').exists()).toBe(true);
    expect(view.find('[aria-label="Start a plan"]').exists()).toBe(false);
    view.unmount();
  });

  it('begins an event with a key', async () => {
    const view = await planPage([course('Hochfirn', 18)]);
    window.dispatchEvent(new KeyboardEvent('keydown', { key: 'n', altKey: true }));
    await flushPromises();
    expect(view.text()).toContain('Which event?');
    expect(view.text()).toContain('No upcoming event.');
    await expect.poll(() => document.activeElement?.textContent?.trim()).toBe('Add an event');
    expect(view.findAll('button').map((button) => button.text())).toContain('Add an event');
    view.unmount();
  });

  it('says what is missing for an event, and where it is added', async () => {
    const view = await planPage([]);
    const start = view.get('[aria-label="Start a plan"]');
    expect(start.text()).toContain('needs a course with its holes');
    expect(start.get('a').attributes('href')).toBe('/courses');
    view.unmount();
  });

  it('sends to the bag where there is none to start from', async () => {
    const view = await planPage([], null);
    expect(view.find('[aria-label="Start a plan"]').exists()).toBe(false);
    expect(view.get('a[href="/p/bag"]').text()).toBe('To the bag');
    view.unmount();
  });
});
