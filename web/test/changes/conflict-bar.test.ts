import type { ChangeRequest, Conflict } from '@tasche/contract';
import { mount } from '@vue/test-utils';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import ConflictBar from '../../src/changes/ConflictBar.vue';
import { useOutbox } from '../../src/changes/outbox';
import { useSheet } from '../../src/sheet/sheet-store';
import { clubView, sheetOf, showSheet } from '../sheet';
import { freshPinia } from '../pinia';

const conflict = (field: string, yours: unknown, theirs: unknown): Conflict =>
  ({ id: '7 iron', name: '7 iron', version: 5, field, yours, theirs }) as Conflict;

function bar(conflicts: readonly Conflict[]) {
  const store = useSheet();
  showSheet(sheetOf([clubView('7 iron', { carryM: 150 })], ['7 iron']));
  const request: ChangeRequest = {
    id: 'c',
    commands: [
      {
        do: 'editClub',
        clubId: '7 iron',
        version: 3,
        readings: [{ key: 'lieDeg', value: 62, takenOn: '2026-11-01' }],
      },
    ],
  };
  store.conflicted = [{ request, conflicts }];
  return { store, view: mount(ConflictBar) };
}

describe('what another person changed meanwhile', () => {
  beforeEach(() => {
    localStorage.clear();
    freshPinia();
    vi.stubGlobal('fetch', () => new Promise(() => {}));
  });

  it('both values are shown, in the reader’s unit', () => {
    const { view } = bar([
      conflict('lieDeg', 62, 61.5),
      conflict('shot.full', { carryM: 141.732, source: 'stated' }, null),
    ]);
    expect(view.text()).toContain('7 iron, Lie: yours 62.0°, theirs 61.5°.');
    expect(view.text()).toContain('7 iron, full carry: yours 155 yd, theirs nothing.');
  });

  it('mine is sent again over theirs, on the version they left', async () => {
    const { store, view } = bar([conflict('lieDeg', 62, 61.5)]);
    await view.get('button.n-button--primary-type').trigger('click');
    expect(store.conflicted).toEqual([]);
    const [sent] = useOutbox().waiting.map((one) => (one as { request: ChangeRequest }).request.commands[0]);
    expect(sent).toMatchObject({ do: 'editClub', clubId: '7 iron', version: 5 });
    expect(view.find('[role="alert"]').exists()).toBe(false);
  });

  it('theirs can stay, and nothing is sent', async () => {
    const { store, view } = bar([conflict('lieDeg', 62, 61.5)]);
    await view.findAll('button')[0]!.trigger('click');
    expect(store.conflicted).toEqual([]);
    expect(useOutbox().waiting).toEqual([]);
  });
});
