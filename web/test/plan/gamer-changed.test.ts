import type { PlanView } from '@tasche/contract';
import { mount } from '@vue/test-utils';
import { beforeEach, describe, expect, it } from 'vitest';
import { useOutbox } from '../../src/changes/outbox';
import GamerChanged from '../../src/plan/GamerChanged.vue';
import { freshPinia } from '../pinia';
import { clubView, sheetOf, showSheet } from '../sheet';

const plan = (baseClubIds: readonly string[], more: Partial<PlanView> = {}) =>
  ({ id: 'week', version: 3, bagId: 'b', baseClubIds, endsOn: '2099-01-02', ...more }) as PlanView;
const shown = (of: PlanView) => mount(GamerChanged, { props: { plan: of } });

describe('a gamer that changed since a plan was made of it', () => {
  beforeEach(() => {
    freshPinia();
    showSheet(
      sheetOf(
        ['3 wood', '5 wood', '7'].map((id) => clubView(id, { carryM: 150 })),
        ['3 wood', '7'],
      ),
    );
  });

  it('is said, club by club, and the plan starts from it at a press', async () => {
    const view = shown(plan(['5 wood', '7']));
    expect(view.text()).toContain('The gamer changed since this was planned: 3 wood in, 5 wood out.');
    await view.get('button').trigger('click');
    expect(useOutbox().pending('p')).toEqual([{ do: 'rebasePlan', planId: 'week', version: 3 }]);
  });

  it('is nothing to say where it is the same, in whatever order, or the plan is over', () => {
    expect(shown(plan(['7', '3 wood'])).text()).toBe('');
    expect(shown(plan(['5 wood', '7'], { endsOn: '2020-01-02' })).text()).toBe('');
  });

  it('is nothing to say where the plan itself is the gamer', () => {
    const sheet = sheetOf([clubView('7', { carryM: 150 })], ['7']);
    showSheet({ ...sheet, bags: [{ ...sheet.bags[0]!, planId: 'week' }] });
    expect(shown(plan(['5 wood'])).text()).toBe('');
  });
});
