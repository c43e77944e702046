import type { Role, SignedInView } from '@tasche/contract';
import { mount } from '@vue/test-utils';
import { afterEach, describe, expect, it } from 'vitest';
import { signedIn } from '../../src/api/signed-in';
import { mayDoHere, mayNoteHere, mayUndo } from '../../src/people/rights';
import ImportView from '../../src/range/ImportView.vue';
import { sheetOf, showSheet, clubView } from '../sheet';
import { useSheet } from '../../src/sheet/sheet-store';
import { freshPinia } from '../pinia';

const as = (role: Role) => {
  signedIn.value = { role, who: 'Ola' } as SignedInView;
};
afterEach(() => {
  signedIn.value = null;
});

describe('what is offered', () => {
  it('is what the signed-in person’s role may do; everything while that is not known', () => {
    expect(mayDoHere('addPlayer')).toBe(true);
    as('assistant');
    expect([mayDoHere('editClub'), mayDoHere('addPlan'), mayDoHere('editCourse')]).toEqual([
      true,
      false,
      false,
    ]);
    as('player');
    expect([mayDoHere('addPlan'), mayDoHere('addEvent'), mayDoHere('addPlayer')]).toEqual([
      true,
      false,
      false,
    ]);
  });

  it('notes are a caddie’s too, an assistant’s not', () => {
    as('caddie');
    expect([mayNoteHere('editPlayer'), mayDoHere('editPlayer'), mayNoteHere('addClub')]).toEqual([
      true,
      false,
      false,
    ]);
    as('assistant');
    expect(mayNoteHere('editPlayer')).toBe(false);
  });

  it('takes back what others did only where the role may; what one did oneself always', () => {
    as('caddie');
    expect([mayUndo('Ola'), mayUndo('Jonas')]).toEqual([true, false]);
    as('rep');
    expect(mayUndo('Jonas')).toBe(true);
  });

  it('no file for who may import none: the reason instead', () => {
    freshPinia();
    showSheet(sheetOf([clubView('7')], ['7']));
    const shown = () =>
      mount(ImportView, {
        props: { playerId: useSheet().sheet!.player.id },
        global: { stubs: { RouterLink: true } },
      });
    as('caddie');
    const caddies = shown();
    expect(caddies.text()).toContain('You are here as caddie or coach: reads; writes notes.');
    expect(caddies.find('input[type=file]').exists()).toBe(false);
    as('assistant');
    expect(shown().find('input[type=file]').exists()).toBe(true);
  });

  it('is nothing on the sheet of an earlier day', () => {
    freshPinia();
    showSheet(sheetOf([clubView('7')], ['7']));
    expect(useSheet().may('editClub')).toBe(true);
    showSheet({ ...sheetOf([clubView('7')], ['7']), asOf: '2026-01-01' });
    expect(useSheet().may('editClub')).toBe(false);
  });
});
