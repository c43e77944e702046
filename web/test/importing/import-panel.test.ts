import type { ImportPlan } from '@tasche/contract';
import { flushPromises, mount } from '@vue/test-utils';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import ImportPanel from '../../src/importing/ImportPanel.vue';
import { sheetsOf } from '../../src/files/workbook';
import type { PastedTable } from '../../src/sheet/pasted-table';
import { workbookOf } from '../files/workbook-file';
import { answerAsWorker } from '../round-worker';
import { clubView, sheetOf, showSheet } from '../sheet';
import { freshPinia } from '../pinia';
import { until } from '../until';

const file = (name: string, part: BlobPart) => new File([part], name);
const bytes = (text: string) => Uint8Array.from(text, (letter) => letter.charCodeAt(0));

beforeEach(() => {
  freshPinia();
  showSheet(sheetOf([clubView('7 iron', { carryM: 150 })], ['7 iron']));
});

async function panel(given: File) {
  const view = mount(ImportPanel, {
    props: { unit: 'm' as const, file: given },
    global: { stubs: { Modal: { template: '<div><slot /></div>' } } },
  });
  await flushPromises();
  const field = (label: string) =>
    view.findAllComponents({ name: 'ChoiceField' }).find((one) => one.props('label') === label)!;
  const take = () =>
    view
      .findAll('button')
      .find((button) => button.text().startsWith('Import'))!
      .trigger('click');
  return { view, field, take };
}

describe('a file being imported', () => {
  it('shows what each club would be, in the reader’s unit, whatever unit and encoding the file is in', async () => {
    const { view, field, take } = await panel(
      file('bag.csv', bytes('Schl\xe4ger;Loft (\xb0);Carry\n7 iron;30;165\nPW;45;110\n')),
    );
    expect(view.text()).toContain('1 new, 1 changed, 0 unchanged');
    expect(view.text()).toContain('stamped loft 45.0°, full carry 110 m (stated)');
    field('Unit of distances without one').vm.$emit('update:value', 'yd');
    await flushPromises();
    expect(view.text()).toContain('full carry 150 m (stated) → 151 m (stated)');
    await take();
    const [table, from, unit] = view.emitted('table')![0] as [PastedTable, string, string];
    expect([table.rows.length, from, unit]).toEqual([2, 'bag.csv', 'yd']);
    expect(view.emitted('close')).toHaveLength(1);
  });

  it('of several players asks whose rows are meant', async () => {
    const { view, field } = await panel(
      file('team.csv', 'Player,Club,Loft\nAnn Bell,Driver,9\nBo Roe,Driver,10\nBo Roe,Driver,11\n'),
    );
    expect(view.text()).toContain('The file has rows of 2 players');
    expect(view.text()).not.toContain('new driver');
    field('Whose rows').vm.$emit('update:value', 'Bo Roe');
    await flushPromises();
    expect(view.text()).toContain('2 new');
    expect(view.text()).toContain('Driver is in 2 rows: a new club each.');
  });

  it('that is a workbook, dropped on the page, is its one sheet', async () => {
    answerAsWorker({ sheetsOf });
    const { view } = await panel(
      workbookOf({
        Bag: [
          ['Club', 'Loft', 'Carry'],
          ['Driver', 10.5, 250],
        ],
      }),
    );
    await until(() => {
      expect(view.text()).toContain('1 new');
    });
    expect(view.text()).toContain('bags.xlsx');
    vi.unstubAllGlobals();
  });

  it.each([
    ['book.ods', new Uint8Array([0x50, 0x4b, 3, 4]), 'save it as .xlsx or CSV'],
    ['empty.csv', '', 'The file is empty.'],
    ['list.txt', 'Driver\n3 wood\n', 'no row names the columns'],
    ['big.csv', 'x'.repeat(2_000_001), '2 MB is the limit'],
  ])('says what is wrong with %s', async (name, part, words) => {
    const { view } = await panel(file(name, part));
    expect(view.find('[role="alert"]').text()).toContain(`${name}: `);
    expect(view.find('[role="alert"]').text()).toContain(words);
    expect(view.text()).not.toContain('as they were');
  });

  it('that is a locker with its history is looked at and taken by the server', async () => {
    const plan: ImportPlan = {
      adds: [{ row: 0, name: 'PW', kind: 'wedge', readings: [] }],
      edits: [],
      same: [],
      rejected: [],
      unknownColumns: [],
      firstLine: 1,
    };
    const asked: string[] = [];
    vi.stubGlobal('fetch', (path: string) => {
      if (!path.includes('/import')) return new Promise(() => {});
      asked.push(new URLSearchParams(path.split('?')[1]).get('take')!);
      return asked.length < 2
        ? Promise.resolve(Response.json({ plan, result: null }))
        : Promise.resolve(Response.json({ error: 'conflict', message: 'It is changing.' }, { status: 409 }));
    });
    const { view, take } = await panel(file('locker.json', '{}'));
    expect(view.text()).toContain('new wedge');
    await take();
    await flushPromises();
    expect(asked).toEqual(['none', 'all']);
    expect(view.find('[role="alert"]').text()).toContain('It is changing.');
    expect(view.emitted('close')).toBeUndefined();
  });
});
