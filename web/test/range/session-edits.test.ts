import type { ChangeRequest, Command, SessionEntry } from '@tasche/contract';
import { BASELINE, MEDIUM_FAIRWAY } from '@tasche/core';
import { mount } from '@vue/test-utils';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { computed, defineComponent } from 'vue';
import { createMemoryHistory, createRouter } from 'vue-router';
import { useOutbox } from '../../src/changes/outbox';
import { useSessionEdits } from '../../src/range/use-session-edits';
import { clubView, sheetOf, showSheet } from '../sheet';
import { freshPinia } from '../pinia';

const AIR = { conditions: BASELINE, surface: MEDIUM_FAIRWAY };
const SESSION = { id: 's', playerId: 'p', version: 4, name: 'Barn', ...AIR } as SessionEntry;
const sent = (): Command[] =>
  useOutbox().waiting.flatMap((one) => (one as { request: ChangeRequest }).request.commands);

function edits(session: SessionEntry | undefined) {
  const router = createRouter({
    history: createMemoryHistory(),
    routes: [{ path: '/range/:playerId/:sessionId?', name: 'range', component: { template: '<i />' } }],
  });
  let made: ReturnType<typeof useSessionEdits>;
  mount(
    defineComponent({
      setup() {
        made = useSessionEdits(
          () => 'p',
          computed(() => session),
          () => AIR,
        );
        return () => null;
      },
    }),
    { global: { plugins: [router] } },
  );
  return { ...made!, router };
}

beforeEach(() => {
  localStorage.clear();
  freshPinia();
  vi.stubGlobal('fetch', () => new Promise(() => {}));
  showSheet(sheetOf([clubView('7')], ['7']));
});

describe('what is done to a session', () => {
  const details = {
    ...AIR,
    name: 'Links',
    heldOn: '2026-11-20',
    hitOff: 'grass' as const,
    ball: '',
    notes: 'wet',
  };

  it('a new one is opened, and gone to; an open one is changed in what the form holds', async () => {
    const { forming, save, router } = edits(SESSION);
    forming.value = 'edit';
    save(details);
    expect(forming.value).toBeNull();
    forming.value = 'new';
    save(details);
    await router.isReady();
    expect(sent()).toMatchObject([
      {
        do: 'editSession',
        version: 4,
        set: { name: 'Links', heldOn: '2026-11-20', hitOff: 'grass', ball: '', notes: 'wet' },
      },
      { do: 'addSession', session: { playerId: 'p', name: 'Links', conditions: BASELINE } },
    ]);
    const added = sent()[1] as { session: { id: string } };
    await expect.poll(() => router.currentRoute.value.params.sessionId).toBe(added.session.id);
  });

  it('its air goes back to the player’s own; without a session nothing is done', () => {
    const { setAir, remove } = edits(SESSION);
    setAir({ ...AIR, conditions: { ...BASELINE, temperatureC: 5 } });
    setAir(null);
    remove();
    expect(sent()).toMatchObject([
      { do: 'editSession', set: { conditions: { temperatureC: 5 } } },
      { do: 'editSession', set: { conditions: BASELINE } },
      { do: 'removeSession', sessionId: 's', version: 4 },
    ]);
    const none = edits(undefined);
    none.edit({ notes: 'x' });
    none.remove();
    expect(sent()).toHaveLength(3);
  });
});
