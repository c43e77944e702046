import { flushPromises, mount } from '@vue/test-utils';
import { describe, expect, it } from 'vitest';
import { COLUMN_SETS } from '../../src/sheet/sheet-columns';
import SheetGrid from '../../src/sheet/SheetGrid.vue';
import { clubView } from '../sheet';

const GAPS = COLUMN_SETS[0]!;

function grid(columns = GAPS.columns) {
  const clubs = [clubView('7 iron', { carryM: 150 }), clubView('8 iron')];
  const rows = { clubs, columns, unit: 'm' as const, readOnly: false, rejected: new Map() };
  const view = mount(SheetGrid, {
    props: { ...rows, rowPx: 30, headPx: 30, label: 'Sheet' },
    attachTo: document.body,
  });
  const cell = (club: string, column: string) =>
    view.get(`tr[data-name="${club}"] td[data-column="${column}"]`);
  /** All that a browser tells of a press. */
  const press = async (club: string, column: string, pointerType: 'mouse' | 'touch') => {
    const element = cell(club, column).element;
    element.dispatchEvent(new PointerEvent('pointerdown', { pointerType, bubbles: true }));
    await cell(club, column).trigger('mousedown', { button: 0 });
    await cell(club, column).trigger('click');
    await flushPromises();
  };
  const field = () => view.find<HTMLInputElement>('input.editor');
  return { view, cell, press, field };
}

describe('a cell of the sheet', () => {
  it('opens under a finger, with the digits of a phone; a mouse only chooses it', async () => {
    const { press, field } = grid();
    await press('7 iron', 'shot.full.carryM', 'mouse');
    expect(field().exists()).toBe(false);
    await press('7 iron', 'shot.full.carryM', 'touch');
    expect(field().element.value).toBe('150');
    expect(field().attributes('inputmode')).toBe('decimal');
    expect(document.activeElement).toBe(field().element);
  });

  it('gives the next one its field too, where a finger opened it', async () => {
    const { view, press, field } = grid();
    await press('7 iron', 'shot.full.carryM', 'touch');
    await field().setValue('152');
    await field().trigger('keydown', { key: 'Enter' });
    await flushPromises();
    expect(view.emitted('write')![0]).toMatchObject(['7 iron', { id: 'shot.full.carryM' }, '152']);
    expect(field().attributes('aria-label')).toBe('8 iron, carry');
  });

  it('lets the keys of a phone go at the end of the sheet', async () => {
    const { view, press, field } = grid();
    await view.setProps({ noNew: true });
    await press('8 iron', 'shot.full.carryM', 'touch');
    await field().setValue('138');
    await field().trigger('keydown', { key: 'Enter' });
    await flushPromises();
    expect(view.emitted('write')).toHaveLength(1);
    expect(field().exists()).toBe(false);
  });

  it('is a name that a finger only chooses; words are typed with letters', async () => {
    const { press, field } = grid();
    await press('8 iron', 'name', 'touch');
    expect(field().exists()).toBe(false);
    await press('8 iron', 'shaft', 'touch');
    expect(field().attributes('inputmode')).toBeUndefined();
  });
});

describe('the row the cursor is in', () => {
  it('has the way to all about its club, for a mouse and a finger', async () => {
    const { view, press } = grid();
    await press('8 iron', 'loft', 'mouse');
    const ways = view.findAll('button[aria-label^="Open"]');
    expect(ways.map((way) => way.attributes('aria-label'))).toEqual(['Open 8 iron']);
    await ways[0]!.trigger('click');
    expect(view.emitted('open')).toEqual([['8 iron']]);
  });
});

describe('the columns a phone has room for beside the ladder', () => {
  it('are gone through by key without one that is not there', async () => {
    const { view, press } = grid(GAPS.narrow!);
    expect(view.findAll('th').map((head) => head.text())).toEqual(['club', 'loft', 'carry']);
    await press('7 iron', 'loft', 'mouse');
    await view.get('td[data-active="true"]').trigger('keydown', { key: 'Tab' });
    await flushPromises();
    expect((document.activeElement as HTMLElement).dataset.column).toBe('shot.full.carryM');
  });
});
