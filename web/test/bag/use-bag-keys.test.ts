import type { BagView } from '@tasche/contract';
import { GAPPING_STRATEGIES } from '@tasche/core';
import { mount } from '@vue/test-utils';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { computed, defineComponent, ref, shallowRef } from 'vue';
import { useBagKeys } from '../../src/bag/use-bag-keys';
import { COLUMN_SETS } from '../../src/sheet/sheet-columns';
import { sheetOf } from '../sheet';

const BAG: BagView = sheetOf([], []).bags[0]!;

function page(isReadOnly = false) {
  const clubs = { picking: ref(false), canEdit: computed(() => !isReadOnly), takeOut: vi.fn() };
  const ladder = { trial: shallowRef(null), school: ref('even-carries'), mark: vi.fn() };
  const look = { asTable: ref(false), columnSet: ref(COLUMN_SETS[0]!) };
  const tried = { keep: vi.fn(), leave: vi.fn(), trySwap: vi.fn() };
  const openAir = vi.fn();
  const view = mount(
    defineComponent({
      setup() {
        const parts = { bag: computed(() => BAG), ladder, look, clubs, tried, activeClub: ref('7') };
        useBagKeys(parts as unknown as Parameters<typeof useBagKeys>[0], openAir);
        return () => null;
      },
    }),
  );
  return { view, clubs, ladder, look, tried, openAir };
}

/** @returns whether the browser has the key too */
const press = (key: string) =>
  window.dispatchEvent(new KeyboardEvent('keydown', { key, altKey: true, cancelable: true }));

describe('the keys of the bag', () => {
  let bag: ReturnType<typeof page>;
  beforeEach(() => (bag = page()));
  afterEach(() => {
    bag.view.unmount();
  });

  it('take out the club the cursor is on, pick one to put in, mark, open the air', () => {
    for (const key of ['o', 'i', 'm', 'a', 'y']) expect(press(key), key).toBe(false);
    expect(bag.clubs.takeOut).toHaveBeenCalledWith('7');
    expect(bag.clubs.picking.value).toBe(true);
    press('i');
    expect(bag.clubs.picking.value).toBe(false);
    for (const act of [bag.ladder.mark, bag.openAir, bag.tried.trySwap]) expect(act).toHaveBeenCalledOnce();
  });

  it('change the columns and the picture; a set that is not there is left to the browser', () => {
    press('t');
    press('2');
    expect(bag.look.asTable.value).toBe(true);
    expect(bag.look.columnSet.value.id).toBe(COLUMN_SETS[1]!.id);
    for (const set of COLUMN_SETS.keys()) expect(press(String(set + 1))).toBe(false);
    expect(press('9')).toBe(true);
  });

  it('go round the ways of gapping and come back to the first', () => {
    const seen = new Set<string>();
    do {
      seen.add(bag.ladder.school.value);
      press('s');
    } while (bag.ladder.school.value !== 'even-carries' && seen.size < 20);
    expect([...seen]).toEqual(GAPPING_STRATEGIES.map(({ id }) => id));
  });

  it('pick nothing for a bag that is only read', () => {
    bag.view.unmount();
    bag = page(true);
    press('i');
    expect(bag.clubs.picking.value).toBe(false);
  });
});
