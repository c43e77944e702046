import type { ChangeRequest, Command, ReadingView } from '@tasche/contract';
import { mount } from '@vue/test-utils';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { useOutbox } from '../../src/changes/outbox';
import QuantityGroup from '../../src/clubs/QuantityGroup.vue';
import ReadingList from '../../src/clubs/ReadingList.vue';
import ShotTable from '../../src/clubs/ShotTable.vue';
import { freshPinia } from '../pinia';
import { clubView, sheetOf, showSheet } from '../sheet';
import { until } from '../until';

const ON = '2026-10-01';
const club = { ...clubView('7 iron', { carryM: 150 }), kind: 'iron' as const };
type Edit = Extract<Command, { do: 'editClub' }>;
const written = () =>
  (useOutbox().waiting as unknown as { request: ChangeRequest }[]).flatMap(({ request }) =>
    request.commands.flatMap((command) => (command as Edit).readings ?? []),
  );
const shared = { club, unit: 'm' as const, takenOn: ON, readOnly: false };
async function type(
  field: { setValue: (text: string) => unknown; trigger: (event: string) => unknown },
  text: string,
) {
  await field.setValue(text);
  await field.trigger('blur');
}

beforeEach(() => {
  localStorage.clear();
  sessionStorage.clear();
  freshPinia();
  vi.stubGlobal('fetch', () => new Promise(() => {}));
  showSheet(sheetOf([club], [club.id]));
});

describe('the shots of a club', () => {
  it('are recorded as they are typed, on the day that is said', async () => {
    const view = mount(ShotTable, { props: shared });
    await type(view.get('input[aria-label="soft carry"]'), '141');
    expect(written()).toEqual([{ key: 'shot.soft', value: { carryM: 141, source: 'stated' }, takenOn: ON }]);
  });

  it('an invalid text stays with its reason, and nothing is written', async () => {
    const view = mount(ShotTable, { props: shared });
    const field = view.get('input[aria-label="soft carry"]');
    await type(field, 'far');
    expect((field.element as HTMLInputElement).value).toBe('far');
    expect(view.get('[role="alert"]').text()).toContain('far');
    expect(written()).toEqual([]);
    await type(field, '141');
    expect(view.find('[role="alert"]').exists()).toBe(false);
  });

  it('cannot be typed over by a reader', () => {
    const view = mount(ShotTable, { props: { ...shared, readOnly: true } });
    expect(view.findAll('input').every((one) => (one.element as HTMLInputElement).disabled)).toBe(true);
  });
});

describe('a group of quantities', () => {
  it('has a field each, in the reader’s unit, with what is to be minded beside the work', async () => {
    const view = mount(QuantityGroup, {
      props: { ...shared, name: 'Lofts and lie', group: 'lofts' as const, caution: 'Eye protection.' },
    });
    expect(view.text()).toContain('Eye protection.');
    const lie = view.get('input[aria-label^="Lie"]');
    await type(lie, '62.5');
    expect(written().map(({ key, value }) => [key, value])).toEqual([['lieDeg', 62.5]]);
    await type(lie, '200');
    expect(view.get('[role="alert"]').text()).toMatch(/lie/i);
    expect(written()).toHaveLength(1);
  });
});

describe('what was recorded about a club', () => {
  const reading = (more: Partial<ReadingView>): ReadingView => ({
    id: 'r1',
    clubId: club.id,
    recordedAt: '2026-09-03T10:00:00Z',
    key: 'lieDeg',
    value: 62,
    takenOn: '2026-09-03',
    who: 'Jonas',
    why: '',
    undone: false,
    ...more,
  });

  it('is a line each: what, when, by whom, and whether it was undone', async () => {
    const rows = [
      reading({}),
      reading({ id: 'r2', key: 'shot.soft', value: { carryM: 141, source: 'stated' }, why: 'range' }),
      reading({ id: 'r3', key: 'grip', value: null, undone: true }),
    ];
    vi.stubGlobal('fetch', () =>
      Promise.resolve(new Response(JSON.stringify({ rows, total: 60, next: '12' }))),
    );
    const view = mount(ReadingList, { props: { clubId: club.id, unit: 'm' } });
    await until(() => expect(view.findAll('li')).toHaveLength(3));
    const lines = view.findAll('li').map((line) => line.text().replace(/\s+/g, ' '));
    expect(lines[0]).toMatch(/^3 Sep.* Lie.*62.* Jonas$/);
    expect(lines[1]).toContain('soft shot 141 m, stated');
    expect(lines[1]).toContain('Jonas: range');
    expect(lines[2]).toContain('not known');
    expect(lines[2]).toContain('(undone)');
    expect(view.get('button').text()).toBe('Older: 3 of 60 shown');
  });
});
