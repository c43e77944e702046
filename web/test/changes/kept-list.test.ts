import { beforeEach, describe, expect, it } from 'vitest';
import { effectScope } from 'vue';
import { keptList } from '../../src/changes/kept-list';

interface Entry {
  id: string;
  says: string;
}
const list = () => effectScope().run(() => keptList<Entry>('test.list', ({ id }) => id))!;
const keyOf = (id: string) => Object.keys(localStorage).find((key) => key.endsWith(`/${id}`))!;

beforeEach(() => {
  localStorage.clear();
});

describe('a list kept in the browser’s storage', () => {
  it('is in the order it was made, and there again after a reload', () => {
    const { entries, add, remove } = list();
    for (const id of ['b', 'a', 'c']) add({ id, says: id });
    remove('a');
    expect(entries.value.map(({ id }) => id)).toEqual(['b', 'c']);
    expect(list().entries.value).toEqual(entries.value);
  });

  it('read again with nothing changed is the very same, so that nothing is drawn again', () => {
    const { entries, add, refresh } = list();
    add({ id: 'a', says: 'one' });
    const [before, first] = [entries.value, entries.value[0]];
    refresh();
    expect(entries.value).toBe(before);
    add({ id: 'b', says: 'two' });
    expect(entries.value).not.toBe(before);
    expect(entries.value[0]).toBe(first);
  });

  it('reads what another tab added, changed and took away', () => {
    const { entries, add, refresh } = list();
    const other = list();
    add({ id: 'a', says: 'one' });
    other.add({ id: 'b', says: 'two' });
    other.replace({ id: 'a', says: 'more' });
    refresh();
    expect(entries.value.map(({ says }) => says)).toEqual(['more', 'two']);
    localStorage.removeItem(keyOf('a'));
    refresh();
    expect(entries.value.map(({ id }) => id)).toEqual(['b']);
  });

  it('passes over what cannot be read', () => {
    const { entries, add, refresh } = list();
    add({ id: 'a', says: 'one' });
    localStorage.setItem('test.list/000000000000000-000000/x', '{half');
    refresh();
    expect(entries.value.map(({ id }) => id)).toEqual(['a']);
  });
});
