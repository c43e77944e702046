import type { ChangeRequest, SignedInView } from '@tasche/contract';
import { mount } from '@vue/test-utils';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { computed, nextTick } from 'vue';
import { signedIn } from '../../src/api/signed-in';
import { useOutbox } from '../../src/changes/outbox';
import PasteTray from '../../src/sheet/PasteTray.vue';
import { COLUMN_SETS } from '../../src/sheet/sheet-columns';
import { useSheet } from '../../src/sheet/sheet-store';
import { useSheetEditing } from '../../src/sheet/use-sheet-editing';
import { clubView, sheetOf, showSheet } from '../sheet';
import { freshPinia } from '../pinia';

const COLUMNS = COLUMN_SETS[0]!.columns;
const LENGTH = COLUMNS.findIndex(({ id }) => id === 'lengthIn');
const CLUBS = ['5 iron', '7 iron', '9 iron'].map((name) => clubView(name));

const commands = () =>
  useOutbox().waiting.flatMap((one) => (one as { request: ChangeRequest }).request.commands);
const written = () =>
  commands().flatMap((command) =>
    command.do === 'editClub'
      ? (command.readings ?? []).map(({ key, value }) => `${command.clubId} ${key} ${String(value)}`)
      : command.do === 'addClub'
        ? [`new ${command.club.kind} ${command.club.name}`]
        : [],
  );

beforeEach(() => {
  signedIn.value = null;
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

describe('what is pasted', () => {
  it('keeps to its rows over an empty cell, and a row below the last club waits for its name', () => {
    const { pasted } = editing();
    pasted.paste('38\n\n36\n35.5\n', 0, LENGTH, CLUBS, COLUMNS);
    expect(written()).toEqual(['5 iron lengthIn 38', '9 iron lengthIn 36']);
    expect(pasted.reports.value[0]!.rows).toMatchObject([{ line: 4, reasons: ['the row names no club'] }]);
    const [row] = pasted.reports.value[0]!.rows;
    pasted.edit(pasted.reports.value[0]!, [
      { ...row!, cells: row!.cells.map((cell, i) => (i === 1 ? 'PW' : cell)) },
    ]);
    pasted.fix(pasted.reports.value[0]!);
    expect(written().at(-1)).toBe('new wedge PW');
    expect(pasted.reports.value[0]).toMatchObject({ added: 1, changed: 2, rows: [] });
  });

  it('adds no club for a person who may not, takes the rest, and keeps the row with its reason', () => {
    signedIn.value = { role: 'assistant', who: 'Ida', workspace: { id: 'w', name: 'Van' } } as SignedInView;
    const { pasted } = editing();
    pasted.paste('club\tlength\n7 iron\t37\nPW\t35.5\n', 0, 0, CLUBS, COLUMNS);
    signedIn.value = null;
    expect(written().filter((one) => one.startsWith('new'))).toEqual([]);
    expect(pasted.reports.value[0]).toMatchObject({ added: 0, changed: 1 });
    expect(pasted.reports.value[0]!.rows).toMatchObject([
      { reasons: ['PW is not in the locker, and adding clubs is for a rep or the player'] },
    ]);
  });

  it('may be lines of a message at the names; over lofts the same numbers are lofts', () => {
    const { pasted } = editing();
    pasted.paste(
      'Driver 10.5 - 265 yd\n7 iron: 165\n50 50 119\nOld Faithful\nthanks!\n',
      0,
      0,
      CLUBS,
      COLUMNS,
    );
    expect(written().map((one) => one.replace(/\[object Object\]/, 'shot'))).toEqual([
      'new driver Driver',
      'new wedge 50',
      '7 iron shot.full shot',
    ]);
    expect(pasted.reports.value[0]!.rows).toMatchObject([{ line: 4, cells: ['Old Faithful', '', ''] }]);
    expect(pasted.reports.value[0]!.remarks).toEqual(['thanks!']);
    const loft = COLUMNS.findIndex(({ id }) => id === 'loft');
    pasted.paste('45\t37\n50\t36\n', 1, loft, CLUBS, COLUMNS);
    expect(pasted.reports.value[0]).toMatchObject({ added: 0, changed: 2 });
  });

  it('that names its columns but no club asks which club it is', () => {
    const { pasted } = editing();
    pasted.paste('Loft\t31\nCarry\t150\n', 0, 0, CLUBS, COLUMNS);
    const [row] = pasted.reports.value[0]!.rows;
    expect(row).toMatchObject({ cells: ['31', '150', ''], reasons: ['the row names no club'] });
    pasted.edit(pasted.reports.value[0]!, [{ ...row!, cells: ['31', '150', '7 iron'] }]);
    pasted.fix(pasted.reports.value[0]!);
    expect(written()).toContain('7 iron loftSetDeg 31');
    expect(pasted.reports.value[0]!.rows).toEqual([]);
  });

  it('waits while something else is pasted, and goes once nothing of it is left', () => {
    const { pasted } = editing();
    const paste = (text: string) => pasted.paste(text, 0, 0, CLUBS, COLUMNS);
    paste('Club\tLoft\nBertha\t40\n');
    paste('Club\tLoft\n7 iron\t33\n');
    paste('Club\tDiary\n5 iron\tgood\n');
    const waiting = () => pasted.reports.value.map(({ rows, unknown }) => rows.length + unknown.length);
    expect(waiting()).toEqual([1, 1]);
    pasted.edit(pasted.reports.value[1]!, [{ ...pasted.reports.value[1]!.rows[0]!, kind: 'wedge' }]);
    pasted.fix(pasted.reports.value[1]!);
    expect(written().at(-1)).toBe('new wedge Bertha');
    expect(waiting()).toEqual([1, 0]);
    pasted.close(pasted.reports.value[0]!);
    expect(waiting()).toEqual([0]);
  });

  it('says which clubs the bag had no place for, all of them', () => {
    const { pasted, notice } = editing();
    const names = Array.from({ length: 13 }, (_one, i) => `${40 + i}`);
    pasted.paste(['Club\tLoft', ...names.map((name) => `${name}\t${name}`)].join('\n'), 0, 0, CLUBS, COLUMNS);
    expect(notice.value).toBe('Gamer holds 14 clubs, the limit: 51, 52 went into the locker only.');
    expect(commands().filter((command) => command.do === 'putIn')).toHaveLength(11);
  });

  it('keeps an unknown column until it is named, in the unit its header names', async () => {
    const { pasted } = editing();
    pasted.paste(
      'Club\tWie weit (m)\tDiary\n7 iron\t150\tgood\nBertha\t90\t\n9 iron\t\tbad\n',
      0,
      0,
      CLUBS,
      COLUMNS,
    );
    const report = () => pasted.reports.value[0]!;
    expect(report().unknown.map(({ head, cells }) => [head, cells.map(({ text }) => text)])).toEqual([
      ['Wie weit (m)', ['150']],
      ['Diary', ['good', 'bad']],
    ]);
    pasted.takeColumn(pasted.reports.value[0]!, 'Wie weit (m)', 'shot.full.carryM');
    pasted.takeColumn(pasted.reports.value[0]!, 'Diary', 'notes');
    expect(commands().map((command) => 'readings' in command && command.readings?.[0])).toMatchObject([
      { key: 'shot.full', value: { carryM: 150 } },
      { key: 'notes', value: 'good' },
      { key: 'notes', value: 'bad' },
    ]);
    expect(report().unknown).toEqual([]);
    // The row that is fixed later is read with what its columns are by now.
    pasted.edit(pasted.reports.value[0]!, [{ ...report().rows[0]!, kind: 'chipper' }]);
    pasted.fix(pasted.reports.value[0]!);
    const added = commands().find((command) => command.do === 'addClub');
    expect(added).toMatchObject({
      club: { name: 'Bertha', kind: 'chipper' },
      readings: [{ key: 'shot.full', value: { carryM: 90 } }],
    });
    // All of it is there after a reload too.
    await nextTick();
    expect(editing().pasted.reports.value[0]).toEqual(report());
  });
});

describe('the tray of what could not be taken', () => {
  it('shows rows with what is wrong, to be fixed in place, and asks the kind of a club', async () => {
    const { pasted } = editing();
    pasted.paste('Club\tLoft\tSmash\nBertha\t40\t1.3\n7 iron\t33\t1.4\n', 0, 0, CLUBS, COLUMNS);
    const tray = mount(PasteTray, { props: { report: pasted.reports.value[0]! } });
    expect(tray.text()).toContain('0 new, 1 changed, 0 unchanged');
    expect(tray.text()).toContain('No column is called “Smash”.');
    expect(tray.text()).toContain('what kind of club is "Bertha"?');
    const loft = tray.find<HTMLInputElement>('input[aria-label="Loft, row 2"]');
    expect(loft.element.value).toBe('40');
    await loft.setValue('41');
    const choices = tray.findAllComponents({ name: 'ChoiceField' });
    const of = (label: string) => choices.find((one) => one.props('label') === label)!;
    of('Kind of club, row 2').vm.$emit('update:value', 'wedge');
    of('What “Smash” is').vm.$emit('update:value', 'notes');
    await nextTick();
    expect(tray.emitted('edit')).toMatchObject([
      [[{ cells: ['Bertha', '41', '1.3'] }]],
      [[{ kind: 'wedge' }]],
    ]);
    expect(tray.emitted('column')).toEqual([['Smash', 'notes']]);
    await tray.find('form').trigger('submit');
    expect(tray.emitted('fix')).toHaveLength(1);
  });

  it('shows twenty rows at a time, and one that has nothing to fix shows no table', () => {
    const { pasted } = editing();
    const lines = Array.from({ length: 23 }, (_one, i) => `Thing ${'x'.repeat(i)}\t40`);
    pasted.paste(['Club\tLoft', ...lines].join('\n'), 0, 0, CLUBS, COLUMNS);
    const tray = mount(PasteTray, { props: { report: pasted.reports.value[0]! } });
    expect(tray.findAll('tbody .why')).toHaveLength(20);
    expect(tray.text()).toContain('3 more rows after these.');
    const clean = mount(PasteTray, { props: { report: { ...pasted.reports.value[0]!, rows: [] } } });
    expect(clean.find('table').exists()).toBe(false);
  });
});
