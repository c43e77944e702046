import { mount } from '@vue/test-utils';
import { describe, expect, it, onTestFinished, vi } from 'vitest';
import { h } from 'vue';
import DataTable from '../../src/app/DataTable.vue';
import { nextOrder, ordered, type DataColumn } from '../../src/app/data-table';
import { until } from '../until';

interface Job {
  id: string;
  club: string;
  px: number | null;
}
const JOBS: readonly Job[] = Array.from({ length: 7 }, (_one, i) => ({
  id: `j${i}`,
  club: `${i + 5} iron`,
  px: i === 2 ? null : (i * 4) % 7,
}));
const COLUMNS: readonly DataColumn<Job>[] = [
  { id: 'club', head: 'Club', value: ({ club }) => club },
  { id: 'px', head: 'Size', value: ({ px }) => px },
  { id: 'act', head: 'Do' },
];

describe('rows in the order of a column', () => {
  it('go by number where it is one, by the numbers in a text where it is none, and what is empty comes last', () => {
    expect(ordered(JOBS, ({ px }) => px, false).map(({ px }) => px)).toEqual([0, 2, 3, 4, 5, 6, null]);
    expect(ordered(JOBS, ({ px }) => px, true).map(({ px }) => px)).toEqual([6, 5, 4, 3, 2, 0, null]);
    const clubs = [{ club: '10 iron' }, { club: '9 iron' }, { club: '' }];
    expect(ordered(clubs, ({ club }) => club, false).map(({ club }) => club)).toEqual([
      '9 iron',
      '10 iron',
      '',
    ]);
  });

  it('a head leads up, then down, then to the rows as they came', () => {
    const up = nextOrder(null, 'px');
    const down = nextOrder(up, 'px');
    expect([up, down, nextOrder(down, 'px')]).toEqual([
      { id: 'px', isDescending: false },
      { id: 'px', isDescending: true },
      null,
    ]);
    expect(nextOrder(down, 'club')).toEqual({ id: 'club', isDescending: false });
  });
});

describe('a table that is only read', () => {
  const table = (more: object = {}) =>
    mount(DataTable, {
      props: { caption: 'Jobs', columns: COLUMNS, rows: JOBS, rowKey: ({ id }: Job) => id, page: 4, ...more },
      slots: { act: ({ row }: { row: Job }) => h('b', `do ${row.id}`) },
    } as never);
  const clubs = (view: ReturnType<typeof table>) =>
    view.findAll('tbody tr').map((row) => row.find('td').text());

  it('is named, shows so many rows at a time, and its headers work by keyboard', async () => {
    const view = table();
    expect(view.get('table').attributes('aria-label')).toBe('Jobs');
    expect(clubs(view)).toEqual(['5 iron', '6 iron', '7 iron', '8 iron']);
    expect(view.text()).toContain('do j0');
    const more = view.findAll('button').find((one) => one.text().startsWith('Show'))!;
    expect(more.text()).toBe('Show 3 more: 4 of 7 shown');
    await more.trigger('click');
    expect(clubs(view)).toHaveLength(7);
    await view.get('button[aria-label="Size: order"]').trigger('click');
    expect(clubs(view)[0]).toBe('5 iron');
    await view.get('button[aria-label="Size, ascending: order"]').trigger('click');
    expect(clubs(view)[0]).toBe('10 iron');
    expect(view.find('button[aria-label^="Do"]').exists()).toBe(false);
  });

  it('is searched where there is something to search, and says so where nothing fits', async () => {
    const view = table({ searched: ({ club }: Job) => club });
    await view.get('input').setValue('9');
    expect(clubs(view)).toEqual(['9 iron']);
    await view.get('input').setValue('putter');
    expect(view.text()).toContain('Nothing matches the search.');
    expect(table({ rows: [] }).text()).toContain('Nothing yet.');
  });

  it('of many cells draws only the visible rows, and all of them for the printer', async () => {
    class NothingIsSeen {
      observe(): void {}
      disconnect(): void {}
    }
    vi.stubGlobal('IntersectionObserver', NothingIsSeen);
    onTestFinished(() => void vi.unstubAllGlobals());
    const many = Array.from({ length: 40 }, (_one, i) => ({ ...JOBS[0]!, id: `m${i}`, club: `${i} iron` }));
    const view = table({ rows: many, page: 30 });
    await until(() => expect(view.find('button[aria-label="Size: order"]').exists()).toBe(true));
    expect(view.text()).not.toContain('0 iron');
    expect(view.text()).not.toContain('Nothing yet.');
    window.dispatchEvent(new Event('beforeprint'));
    await view.vm.$nextTick();
    expect(clubs(view)).toHaveLength(30);
  });

  it('that is the page itself is drawn whole from the start, though it has many cells and is not visible', () => {
    class NothingIsSeen {
      observe(): void {}
      disconnect(): void {}
    }
    vi.stubGlobal('IntersectionObserver', NothingIsSeen);
    onTestFinished(() => void vi.unstubAllGlobals());
    const many = Array.from({ length: 40 }, (_one, i) => ({ ...JOBS[0]!, id: `m${i}`, club: `${i} iron` }));
    expect(clubs(table({ rows: many, page: 50, isAtOnce: true }))).toHaveLength(40);
  });

  it('marks what a row is about, and gives cells and columns the classes of the page', () => {
    const columns: DataColumn<Job>[] = [
      { id: 'club', head: 'Club', isRowHead: true, value: ({ club }) => club },
      {
        id: 'id',
        head: 'Id',
        columnClass: 'narrow',
        cellClass: ({ id }) => `of-${id}`,
        value: ({ id }) => id,
      },
    ];
    const view = table({ columns, rows: JOBS.slice(0, 2) });
    expect(view.findAll('td[role="rowheader"]').map((cell) => cell.text())).toEqual(['5 iron', '6 iron']);
    expect(view.findAll('.narrow')).toHaveLength(3);
    expect(view.findAll(`td.of-${JOBS[1]!.id}`)).toHaveLength(1);
  });

  it('whose rows are loading shows its headers, and not that there is nothing', async () => {
    const view = table({ rows: [], coming: true });
    await until(() => expect(view.text()).toContain('Size'));
    expect(view.get('table').attributes('aria-label')).toBe('Jobs');
    expect(view.text()).not.toContain('Nothing yet.');
    await view.setProps({ rows: JOBS, coming: false } as never);
    await until(() => expect(clubs(view)).toEqual(['5 iron', '6 iron', '7 iron', '8 iron']));
  });
});
