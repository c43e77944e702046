import { severalPlayers } from '@tasche/contract';
import { strToU8, zipSync } from 'fflate';
import { flushPromises, mount } from '@vue/test-utils';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { NUpload } from 'naive-ui';
import ChoiceField from '../../src/fields/ChoiceField.vue';
import FileField from '../../src/fields/FileField.vue';
import { unzip } from '../../src/files/unzip-here';
import { allSheets } from '../../src/files/use-workbook';
import { isWorkbook, sheetsOf } from '../../src/files/workbook';
import { freshPinia } from '../pinia';
import { answerAsWorker } from '../round-worker';
import { until } from '../until';
import { workbookOf, type Cell } from './workbook-file';

const BAG: Cell[][] = [
  ['Club', 'Loft', 'Carry'],
  ['7 iron', 33, 165.30000000000001],
];

const bytesOf = (text: string) => new TextEncoder().encode(text).buffer;
const sheetsIn = async (...of: Parameters<typeof workbookOf>) =>
  sheetsOf(await workbookOf(...of).arrayBuffer());

describe('a workbook', () => {
  it('is told by its name', () => {
    expect(['a.xlsx', 'A.XLSM', 'a.xls', 'a.csv', 'xlsx'].map((name) => isWorkbook({ name }))).toEqual([
      ...[true, true, false, false, false],
    ]);
  });

  it('is its sheets as tables in text, rows where they were, empty columns before them and empty sheets left out', async () => {
    const sheets = await sheetsIn({
      Bag: [[], [null, 'Club', 'Carry'], [], [null, '7 iron', 165.30000000000001]],
      Empty: [],
      Notes: [['a "quote", and more']],
    });
    expect(sheets).toEqual([
      { name: 'Bag', text: '\t\nClub\tCarry\n\t\n7 iron\t165.3' },
      { name: 'Notes', text: '"a ""quote"", and more"' },
    ]);
  });

  it('has days and times of day, whatever they look like in it', async () => {
    const [sheet] = await sheetsIn({
      Shots: [
        ['Date', 'Time', 'Both'],
        [
          { value: 46357, format: 'day' },
          { value: 0.43402777777777779, format: 'time' },
          { value: 46357.75, format: 'day' },
        ],
      ],
    });
    expect(sheet!.text.split('\n')[1]).toBe('2026-12-01\t10:25:00\t2026-12-01 18:00:00');
  });

  it('that is none is refused in words', async () => {
    await expect(sheetsOf(bytesOf('PK\u0003\u0004 and no more'))).rejects.toThrow('save it again as .xlsx');
    await expect(sheetsOf(bytesOf('Club,Carry'))).rejects.toThrow('save it again as .xlsx');
  });

  it('with a sheet for each player is a list of them', async () => {
    const sheets = await sheetsIn({ 'Ann Bell': BAG, 'Bo Carr': [...BAG, ['8 iron', 37, 150]] });
    const { players } = severalPlayers(allSheets(sheets));
    expect(players.map(({ player }) => player)).toEqual(['Ann Bell', 'Bo Carr']);
  });

  it('is unpacked without a worker of its own, but for its pictures', () => {
    const packed = zipSync({ 'a.xml': strToU8('<a/>'), 'b.png': strToU8('png') });
    const done = vi.fn();
    unzip(packed, done);
    expect(done).toHaveBeenCalledWith(null, { 'a.xml': strToU8('<a/>') });
    unzip(strToU8('no archive'), done);
    expect(done.mock.lastCall![0]).toBeInstanceOf(Error);
  });
});

describe('a field for files that takes tables', () => {
  beforeEach(() => {
    freshPinia();
    answerAsWorker({ sheetsOf });
  });
  afterEach(() => {
    vi.unstubAllGlobals();
  });
  const field = (props: object = {}) =>
    mount(FileField, { props: { label: 'File', accept: '.csv', ...props }, slots: { default: 'Choose' } });
  const pick = async (of: ReturnType<typeof field>, file: File) => {
    const choose = of.getComponent(NUpload).props('onBeforeUpload') as unknown as (options: object) => void;
    choose({ file: { file } });
    await flushPromises();
  };
  const files = (of: ReturnType<typeof field>) => (of.emitted('file') ?? []) as [File][];

  it('passes other files on as they are, and takes workbooks beside them', async () => {
    const own = field();
    const csv = new File(['a,b'], 'a.csv');
    await pick(own, csv);
    expect(files(own)).toEqual([[csv]]);
    expect(own.getComponent(NUpload).props('accept')).toBe('.csv,.xlsx');
    expect(field({ accept: '.json' }).getComponent(NUpload).props('accept')).toBe('.json');
  });

  it('takes the one sheet of a workbook as the text it would be', async () => {
    const own = field();
    await pick(own, workbookOf({ Bag: BAG }));
    await until(() => expect(files(own)).toHaveLength(1));
    const [[file]] = files(own) as [[File]];
    expect([file.name, await file.text()]).toEqual(['bags.xlsx', 'Club\tLoft\tCarry\n7 iron\t33\t165.3']);
    expect(own.find('[role=status]').exists()).toBe(false);
  });

  it('asks for the sheet of several, or takes all of them where that is offered', async () => {
    const own = field({ severalSheets: true });
    await pick(own, workbookOf({ 'Ann Bell': BAG, 'Bo Carr': BAG }));
    await until(() => expect(own.text()).toContain('bags.xlsx has 2 sheets'));
    const choice = own.getComponent(ChoiceField);
    const { options } = choice.props() as unknown as { options: { value: number; label: string }[] };
    expect(options.map(({ label }) => label)).toEqual(['all of them, a player each', 'Ann Bell', 'Bo Carr']);
    choice.vm.$emit('update:value', 1);
    await flushPromises();
    expect(files(own)[0]![0].name).toBe('bags.xlsx, Bo Carr');
    expect(own.text()).not.toContain('sheets');
  });

  it('says what is wrong with a workbook, and stops reading when it is told to', async () => {
    const own = field();
    await pick(own, workbookOf({ Bag: [] }));
    await until(() => expect(own.text()).toContain('no sheet of it has anything in it'));
    await pick(own, new File(['x'], 'broken.xlsx'));
    await until(() => expect(own.text()).toContain('broken.xlsx: This workbook could not be read'));
    await pick(own, Object.defineProperty(workbookOf({ Bag: BAG }), 'size', { value: 30e6 }));
    expect(own.text()).toContain('bags.xlsx is 30 MB; 20 MB is the limit');
    answerAsWorker({ sheetsOf: () => new Promise(() => {}) });
    await pick(own, workbookOf({ Bag: BAG }));
    expect(own.get('[role=status]').text()).toContain('Reading bags.xlsx…');
    // Another file that is picked meanwhile is the one that is meant.
    await pick(own, new File(['a,b'], 'a.csv'));
    expect(own.find('[role=status]').exists()).toBe(false);
    expect(files(own).map(([{ name }]) => name)).toEqual(['a.csv']);
    await pick(own, workbookOf({ Bag: BAG }));
    await own.get('[role=status] button').trigger('click');
    await flushPromises();
    expect(own.find('[role=status]').exists()).toBe(false);
    expect(files(own)).toHaveLength(1);
  });
});
