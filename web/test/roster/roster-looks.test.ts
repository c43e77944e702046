import { mount } from '@vue/test-utils';
import { expect, it } from 'vitest';
import { createMemoryHistory, createRouter } from 'vue-router';
import ChoiceField from '../../src/fields/ChoiceField.vue';
import RosterLooks from '../../src/roster/RosterLooks.vue';
import type { RosterLook, RosterRow } from '../../src/roster/roster-groups';

const LOOK: RosterLook = { search: '', only: 'all', order: 'name', group: 'none' };
const router = createRouter({
  history: createMemoryHistory(),
  routes: [{ path: '/:all(.*)*', component: { template: '<i />' } }],
});
const looks = (first?: RosterRow) =>
  mount(RosterLooks, { props: { modelValue: LOOK, first }, global: { plugins: [router] } });

it('one choice leaves the others as they are', async () => {
  const view = looks();
  await view.get('input').setValue('tveit');
  view.findAllComponents(ChoiceField)[1]!.vm.$emit('update:value', 'event');
  expect(view.emitted('update:modelValue')).toEqual([
    [{ ...LOOK, search: 'tveit' }],
    [{ ...LOOK, search: 'tveit', order: 'event' }],
  ]);
});

it('the next thing to do is named, where there is one', () => {
  expect(looks().text()).not.toContain('Alt N');
  const first = {
    player: { name: 'Maren Tveit' },
    things: [{ words: 'settle the bag', to: '/plan' }],
  } as unknown as RosterRow;
  expect(looks(first).text()).toContain('Maren Tveit: settle the bag Alt N');
});
