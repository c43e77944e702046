import type { ChangeRequest } from '@tasche/contract';
import { mount } from '@vue/test-utils';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { computed } from 'vue';
import { useOutbox } from '../../src/changes/outbox';
import LoftQuestion from '../../src/sheet/LoftQuestion.vue';
import { COLUMN_SETS, type SheetColumn } from '../../src/sheet/sheet-columns';
import { useSheet } from '../../src/sheet/sheet-store';
import { useSheetEditing } from '../../src/sheet/use-sheet-editing';
import { clubView, sheetOf, showSheet } from '../sheet';
import { freshPinia } from '../pinia';

const ON = '2026-10-01';
const known = (id: string, lofts: Partial<Record<'loftSetDeg' | 'loftMeasuredDeg', number>> = {}) => {
  const club = clubView(id);
  return {
    ...club,
    spec: {
      ...club.spec,
      ...Object.fromEntries(Object.entries(lofts).map(([key, value]) => [key, { value, takenOn: ON }])),
    },
  };
};
const newClub = { ...clubView('new'), spec: {} };
const COLUMNS: readonly SheetColumn[] = COLUMN_SETS[0]!.columns;
const LOFT = COLUMNS.findIndex(({ id }) => id === 'loft');
const CLUBS = [
  known('stamped'),
  known('set', { loftSetDeg: 31 }),
  known('gauged', { loftMeasuredDeg: 30.5 }),
  newClub,
];

/** Readings of all changes that wait to be sent, and undoings among them. */
const sent = () =>
  useOutbox().waiting.flatMap((one) =>
    one.kind === 'undo'
      ? ['undone']
      : (one as { request: ChangeRequest }).request.commands.flatMap((command) =>
          command.do === 'editClub'
            ? (command.readings ?? []).map(({ key, value }) => `${command.clubId} ${key} ${String(value)}`)
            : [],
        ),
  );

describe('a loft cell', () => {
  beforeEach(() => {
    localStorage.clear();
    sessionStorage.clear();
    freshPinia();
    vi.stubGlobal('fetch', () => new Promise(() => {}));
    showSheet(
      sheetOf(
        CLUBS,
        CLUBS.map(({ id }) => id),
      ),
    );
  });
  const editing = () => useSheetEditing(computed(() => useSheet().sheet!.bags[0]));
  const type = (clubId: string, text: string) => {
    const sheet = editing();
    sheet.write(clubId, COLUMNS[LOFT]!, text);
    return sheet;
  };

  it('corrects what it shows, and beside a stamp alone says what the club was bent to', () => {
    expect(type('stamped', '31').loftQuestion.value).toMatchObject({
      key: 'loftSetDeg',
      lofts: [{ clubId: 'stamped', deg: 31 }],
    });
    expect(type('set', '32').loftQuestion.value?.key).toBe('loftSetDeg');
    expect(type('gauged', '31').loftQuestion.value?.key).toBe('loftMeasuredDeg');
    // The first loft of a club is its stamp, and nobody is asked.
    expect(type('new', '54').loftQuestion.value).toBeNull();
    expect(sent()).toEqual([
      'stamped loftSetDeg 31',
      'set loftSetDeg 32',
      'gauged loftMeasuredDeg 31',
      'new loftStampedDeg 54',
    ]);
  });

  it('of a new wedge is filled from its name, where that is a loft', () => {
    const sheet = editing();
    for (const name of ['56', '60V', 'PW', '7 iron']) sheet.add(name);
    const added = useSheet().clubs.slice(CLUBS.length);
    expect(added.map(({ name, spec }) => [name, spec.loftStampedDeg?.value])).toEqual([
      ['56', 56],
      ['60V', 60],
      ['PW', undefined],
      ['7 iron', undefined],
    ]);
    // Bent since it was stamped: that is what another loft of it is taken for.
    sheet.write(added[0]!.id, COLUMNS[LOFT]!, '56.5');
    expect(sheet.loftQuestion.value?.key).toBe('loftSetDeg');
  });

  it('does not take a slip for a bend of twenty degrees: it is another stamp', () => {
    expect(type('stamped', '50').loftQuestion.value?.key).toBe('loftStampedDeg');
  });

  it('is taken back and done as what it was, when the question is answered', () => {
    const sheet = type('stamped', '31');
    sheet.answerLofts('loftMeasuredDeg');
    expect(sent()).toEqual(['stamped loftSetDeg 31', 'undone', 'stamped loftMeasuredDeg 31']);
    expect(sheet.loftQuestion.value?.key).toBe('loftMeasuredDeg');
    // One undo, and nobody is asked any more.
    useSheet().undo(sheet.loftQuestion.value!.changeId);
    expect(sheet.loftQuestion.value).toBeNull();
  });

  it('that is emptied loses what it showed', () => {
    expect(type('gauged', '').loftQuestion.value).toBeNull();
    type('set', '');
    expect(sent()).toEqual(['gauged loftMeasuredDeg null', 'set loftSetDeg null']);
  });

  it('means the same when it is pasted, with a head that only says loft or with none', () => {
    const sheet = editing();
    sheet.pasted.paste('31\n32\n30.5', 0, LOFT, CLUBS, COLUMNS);
    // The last one is what is shown already.
    expect(sent()).toEqual(['stamped loftSetDeg 31', 'set loftSetDeg 32']);
    expect(sheet.loftQuestion.value?.lofts).toHaveLength(2);
    expect(sheet.loftQuestion.value?.key).toBe('loftSetDeg');
    // Some taken as one thing and some as another: none of the three is said of all.
    sheet.pasted.paste('33\n34\n31.5', 0, LOFT, CLUBS, COLUMNS);
    expect(sheet.loftQuestion.value).toMatchObject({ key: null, lofts: [{}, {}, {}] });
    sheet.pasted.paste('Club\tLoft\ngauged\t29', 0, 0, CLUBS, COLUMNS);
    expect(sent().at(-1)).toBe('gauged loftMeasuredDeg 29');
    sheet.pasted.paste('Club\tStamped loft\nset\t29', 0, 0, CLUBS, COLUMNS);
    expect(sent().at(-1)).toBe('set loftStampedDeg 29');
  });

  it('asks in one line, naming four clubs at most', async () => {
    const lofts = [1, 2, 3, 4, 5].map((n) => ({
      clubId: `${n}`,
      name: `${n} iron`,
      deg: 20 + n,
      takenOn: ON,
    }));
    const view = mount(LoftQuestion, { props: { question: { changeId: 'c', key: 'loftSetDeg', lofts } } });
    expect(view.text()).toContain('4 iron at 24.0° and 1 more');
    expect(view.text()).toContain('are taken as what was');
    await view.findAll('input[type="radio"]')[1]!.setValue();
    expect(view.emitted('answer')).toEqual([['loftStampedDeg']]);
  });
});
