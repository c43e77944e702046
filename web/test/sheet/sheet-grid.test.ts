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
  /** A key where the cursor is. */
  const key = async (key: string, more: Partial<KeyboardEventInit> = {}) => {
    await view
      .get(field().exists() ? 'input.editor' : '[data-active="true"]')
      .trigger('keydown', { key, ...more });
    await flushPromises();
  };
  const chosen = () => {
    const { dataset, parentElement } = view.get('[data-active="true"]').element as HTMLElement;
    return [parentElement!.dataset.name, dataset.column];
  };
  return { view, clubs, cell, press, field, key, chosen };
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

describe('typing', () => {
  it('goes on to the next row with Enter, the next cell with Tab; Escape leaves what was there', async () => {
    const { view, press, field, key, chosen } = grid();
    await press('7 iron', 'shot.full.carryM', 'mouse');
    await key('1');
    await field().setValue('152');
    await key('Enter');
    expect(chosen()).toEqual(['8 iron', 'shot.full.carryM']);
    await key('1');
    await key('Tab', { shiftKey: true });
    expect(chosen()).toEqual(['8 iron', 'swingWeight']);
    await key('9');
    await key('Escape');
    expect(view.emitted('write')!.map(([club, , text]) => [club, text])).toEqual([
      ['7 iron', '152'],
      ['8 iron', '1'],
    ]);
  });

  it('at the top of the sheet stays there, whichever way it is left', async () => {
    const { press, key, chosen } = grid();
    await press('7 iron', 'shot.full.carryM', 'mouse');
    await key('1');
    await key('ArrowUp');
    expect(chosen()).toEqual(['7 iron', 'shot.full.carryM']);
    await key('PageUp');
    expect(chosen()).toEqual(['7 iron', 'shot.full.carryM']);
  });

  it('a name beneath the clubs and Tab goes on in the row of the new club', async () => {
    const { view, clubs, field, key, chosen } = grid();
    await view.get('[data-column="new"]').trigger('mousedown', { button: 0 });
    await view.get('[data-column="new"]').trigger('click');
    await flushPromises();
    await field().setValue('9 iron');
    await view.setProps({ onAdd: () => view.setProps({ clubs: [...clubs, clubView('9 iron')] }) });
    await key('Tab');
    expect(view.emitted('add')).toEqual([['9 iron']]);
    expect(chosen()).toEqual(['9 iron', 'loft']);
  });

  it('goes on in what was refused; Delete empties a cell, but no name', async () => {
    const { view, press, field, key } = grid();
    await view.setProps({ rejected: new Map([['7 iron loft', { text: '3x', reason: 'Not a number.' }]]) });
    await press('7 iron', 'loft', 'mouse');
    await key('Enter');
    expect(field().element.value).toBe('3x');
    await key('Escape');
    await key('Delete');
    await key('Home');
    await key('Delete');
    expect(
      view.emitted('write')!.map(([club, column, text]) => [club, (column as { id: string }).id, text]),
    ).toEqual([['7 iron', 'loft', '']]);
  });

  it('is refused to a reader, who goes through the cells by key', async () => {
    const { view, press, field, key, chosen } = grid();
    await view.setProps({ readOnly: true });
    await press('7 iron', 'loft', 'touch');
    for (const one of ['Enter', '5', 'Delete']) await key(one);
    expect(field().exists()).toBe(false);
    expect(view.emitted('write')).toBeUndefined();
    await key('End', { ctrlKey: true });
    expect(chosen()).toEqual(['8 iron', GAPS.columns.at(-1)!.id]);
  });
});

describe('the cursor', () => {
  it('stays with its club where rows are reordered, and by its place where the club is gone', async () => {
    const { view, clubs, press, chosen } = grid();
    await view.setProps({ clubs: [...clubs, clubView('9 iron'), clubView('PW')] });
    await press('9 iron', 'loft', 'mouse');
    await view.setProps({ clubs: [clubView('9 iron'), ...clubs, clubView('PW')] });
    expect(chosen()).toEqual(['9 iron', 'loft']);
    await press('8 iron', 'loft', 'mouse');
    await view.setProps({ clubs: [clubView('9 iron'), clubView('7 iron'), clubView('PW')] });
    expect(chosen()).toEqual(['PW', 'loft']);
  });
});

describe('the clipboard', () => {
  const clip = (type: string, text = '') => {
    const data = new DataTransfer();
    data.setData('text/plain', text);
    return new ClipboardEvent(type, { clipboardData: data, bubbles: true, cancelable: true });
  };

  it('takes what the chosen cell holds', async () => {
    const { press, cell } = grid();
    await press('7 iron', 'shot.full.carryM', 'mouse');
    const copied = clip('copy');
    cell('7 iron', 'shot.full.carryM').element.dispatchEvent(copied);
    expect(copied.clipboardData!.getData('text/plain')).toBe('150');
  });

  it('gives a table to the sheet where the cursor is, also in the middle of typing; a word goes into the field', async () => {
    const { view, press, field, key } = grid();
    await press('8 iron', 'loft', 'mouse');
    await key('3');
    const word = clip('paste', '36');
    field().element.dispatchEvent(word);
    expect(word.defaultPrevented).toBe(false);
    field().element.dispatchEvent(clip('paste', '34\t150\n38\t138'));
    expect(view.emitted('paste')).toEqual([['34\t150\n38\t138', 1, 1]]);
  });

  it('is copied whole after Ctrl A, which the next key ends; Delete takes nothing away then', async () => {
    const { view, cell, press, key } = grid();
    await press('8 iron', 'loft', 'mouse');
    const copied = () => {
      const event = clip('copy');
      cell('8 iron', 'loft').element.dispatchEvent(event);
      return event.clipboardData!.getData('text/plain');
    };
    await key('a', { ctrlKey: true });
    expect(view.get('[role=status]').text()).toContain('Ctrl C copies it');
    expect(
      copied()
        .split('\n')
        .map((row) => row.split('\t').slice(0, 2)),
    ).toEqual([
      ['club', 'loft'],
      ['7 iron', '30.0'],
      ['8 iron', '30.0'],
    ]);
    await key('Delete');
    expect(view.emitted('write')).toBeUndefined();
    expect(copied()).toBe('30.0');
    await key('a', { metaKey: true });
    await key('Escape');
    expect(copied()).toBe('30.0');
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
