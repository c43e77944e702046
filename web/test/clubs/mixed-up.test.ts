import { mount, RouterLinkStub } from '@vue/test-utils';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import type { ClubView } from '@tasche/contract';
import MixedUpLines from '../../src/clubs/MixedUpLines.vue';
import { freshPinia } from '../pinia';
import { clubView, sheetOf, showSheet } from '../sheet';

const iron = (name: string, loftDeg: number, carryM: number): ClubView => {
  const view = clubView(name, { carryM });
  return { ...view, spec: { ...view.spec, loftStampedDeg: { value: loftDeg, takenOn: '2026-10-01' } } };
};
function lines(clubs: readonly ClubView[]) {
  const ids = clubs.map(({ id }) => id);
  showSheet(sheetOf(clubs, ids));
  return mount(MixedUpLines, {
    props: { clubIds: ids, says: 'Nothing is bent before it is put right.' },
    global: { stubs: { RouterLink: RouterLinkStub } },
  });
}

beforeEach(() => {
  freshPinia();
  vi.stubGlobal('fetch', () => new Promise(() => {}));
});

describe('clubs of which a loft or a carry must be wrong', () => {
  it('are named, with what is left until it is put right, and the way there', () => {
    const view = lines([iron('7 iron', 32, 139), iron('8 iron', 36, 151), iron('9 iron', 41, 127)]);
    expect(view.text()).toContain('The 8 iron carries farther than the 7 iron with');
    expect(view.text()).toContain('Nothing is bent before it is put right.');
    expect(view.getComponent(RouterLinkStub).props('to')).toMatchObject({ name: 'bag' });
  });

  it('are none in a bag in order: nothing is said', () => {
    const view = lines([iron('7 iron', 32, 151), iron('8 iron', 36, 139), iron('9 iron', 41, 127)]);
    expect(view.text()).toBe('');
  });
});
