import { mount } from '@vue/test-utils';
import type { ChangeRequest } from '@tasche/contract';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { createMemoryHistory, createRouter } from 'vue-router';
import { useOutbox } from '../../src/changes/outbox';
import PlayerSettingsView from '../../src/players/PlayerSettingsView.vue';
import { useSheet } from '../../src/sheet/sheet-store';
import { clubView, sheetOf, showSheet } from '../sheet';
import { freshPinia } from '../pinia';

/** The settings of a player with one measured club, and what is sent of what is typed. */
function settings() {
  const store = useSheet();
  showSheet(
    sheetOf(
      [clubView('7 iron', { carryM: 150, source: 'measured', sampleSize: 20, spreadM: 9 })],
      ['7 iron'],
    ),
  );
  const router = createRouter({
    history: createMemoryHistory(),
    routes: [{ path: '/:rest(.*)*', component: { template: '<i />' } }],
  });
  const view = mount(PlayerSettingsView, { props: { playerId: 'p' }, global: { plugins: [router] } });
  const sent = () =>
    useOutbox().waiting.map((one) => (one as { request: ChangeRequest }).request.commands[0]);
  const write = async (label: string, text: string) => {
    const field = view
      .findAll('label')
      .find((one) => one.text().startsWith(label))!
      .get('input');
    await field.setValue(text);
    await field.trigger('change');
  };
  return { store, view, sent, write };
}

describe('the settings of a player', () => {
  beforeEach(() => {
    localStorage.clear();
    freshPinia();
    vi.stubGlobal('fetch', () => new Promise(() => {}));
  });

  it('a handicap is typed as golfers write it, shown so, and says what it rests on', async () => {
    const { store, view, sent, write } = settings();
    expect(view.text()).toContain('the spread of 20 measured shots');
    expect(view.text()).toContain('how far the clubs carry');
    await write('Handicap', '+2,5');
    expect(sent()).toEqual([{ do: 'editPlayer', playerId: 'p', version: 1, set: { handicap: -2.5 } }]);
    expect(store.sheet!.player.handicap).toBe(-2.5);
    expect(view.text()).toContain('the handicap that was entered');
    await write('Handicap', '');
    expect(store.sheet!.player.handicap).toBeNull();
  });

  it('an invalid handicap stays as it was typed, with the reason, and nothing is sent', async () => {
    const { view, sent, write } = settings();
    await write('Handicap', 'scratch');
    expect(view.get('[role="alert"]').text()).toContain('“scratch” is not a handicap');
    expect(sent()).toEqual([]);
    await write('Handicap', '0');
    expect(view.find('[role="alert"]').exists()).toBe(false);
    expect(sent()).toHaveLength(1);
  });

  it('a threshold out of its bounds is refused by name; the usual one is not one of the player’s own', async () => {
    const { store, view, sent } = settings();
    const field = view.get('#driverStepMaxM');
    await field.setValue('2');
    await field.trigger('change');
    expect(view.text()).toMatch(/Driver to the next club, at most must be between/);
    expect(sent()).toEqual([]);
    await field.setValue('50');
    await field.trigger('change');
    expect(store.sheet!.player.gapSettings.driverStepMaxM).toBeCloseTo(45.72, 2);
    await field.setValue('40');
    await field.trigger('change');
    expect(store.sheet!.player.gapSettings).toEqual({});
  });
});
