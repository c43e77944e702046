import type { ClubView } from '@tasche/contract';
import { mount } from '@vue/test-utils';
import { computed, defineComponent, h, nextTick, ref } from 'vue';
import { describe, expect, it } from 'vitest';
import { useUnknownCarries } from '../../src/bag/use-unknown-carries';
import { clubView } from '../sheet';

const carry = { 'shot.full': { value: { carryM: 140, source: 'stated' }, takenOn: '2026-10-01' } };
const club = (id: string, kind: ClubView['kind'], spec: object = {}): ClubView => ({
  ...clubView(id),
  kind,
  spec: spec as ClubView['spec'],
});

/** The carries of a bag on a page with a grid that tells where it was sent. */
function onPage(clubs: readonly ClubView[], isEmptyToType = false) {
  const sent: string[] = [];
  const grid = {
    focus: async () => void sent.push('focus'),
    goTo: async (id: string, key: string) => void sent.push(`${id} ${key}`),
  };
  const rows = ref(clubs);
  const bagId = ref('a');
  let carries!: ReturnType<typeof useUnknownCarries>;
  const view = mount(
    defineComponent({
      setup() {
        carries = useUnknownCarries(
          computed(() => rows.value),
          () => grid,
          () => isEmptyToType,
          () => bagId.value,
        );
        return () => h('p');
      },
    }),
  );
  return { view, sent, rows, bagId, carries };
}

describe('carries that are not known', () => {
  it('are those of clubs hit to a number, and the way leads to the first of them', async () => {
    const { carries, sent, rows } = onPage([
      club('7', 'iron', carry),
      club('9', 'iron'),
      club('56', 'wedge'),
      club('putter', 'putter'),
    ]);
    expect(carries.carryClubs.value.map(({ id }) => id)).toEqual(['7', '9', '56']);
    expect(carries.unknown.value.map(({ id }) => id)).toEqual(['9', '56']);
    carries.toNext();
    expect(sent).toEqual(['9 shot.full.carryM']);
    rows.value = [club('7', 'iron', carry)];
    await carries.toFirst();
    expect(sent).toHaveLength(1);
  });

  it('an empty bag has its cursor where one types, another empty bag too', async () => {
    const { sent, bagId } = onPage([], true);
    expect(sent).toEqual(['focus']);
    bagId.value = 'b';
    await nextTick();
    expect(sent).toEqual(['focus', 'focus']);
    expect(onPage([club('7', 'iron')]).sent).toEqual([]);
  });
});
