import type { ChangeRequest } from '@tasche/contract';
import { flushPromises, mount } from '@vue/test-utils';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { computed } from 'vue';
import { signedIn } from '../../src/api/signed-in';
import { useOutbox } from '../../src/changes/outbox';
import SheetNotices from '../../src/sheet/SheetNotices.vue';
import { useSheet } from '../../src/sheet/sheet-store';
import { useSheetEditing } from '../../src/sheet/use-sheet-editing';
import { freshPinia } from '../pinia';
import { clubView, sheetOf, showSheet } from '../sheet';

/** What waits to be sent, in its order. */
const waiting = () =>
  useOutbox().waiting.map((one) =>
    one.kind === 'undo'
      ? 'undone'
      : (one as { request: ChangeRequest }).request.commands.map((command) =>
          command.do === 'putIn' ? `in ${useSheet().nameOf(command.clubId)}` : command.do,
        ),
  );

beforeEach(() => {
  signedIn.value = null;
  localStorage.clear();
  sessionStorage.clear();
  freshPinia();
  vi.stubGlobal('fetch', () => new Promise(() => {}));
  showSheet(sheetOf([clubView('7 iron'), clubView('3 wood')], ['7 iron']));
});

function typed(name: string) {
  const editing = useSheetEditing(computed(() => useSheet().sheet!.bags[0]));
  editing.add(name);
  return mount(SheetNotices, { props: { editing } });
}

describe('a set of irons', () => {
  it('typed as one comes in club by club, in one change', () => {
    typed('8-PW');
    expect(waiting()).toEqual([['addClub', 'in 8 iron', 'addClub', 'in 9 iron', 'addClub', 'in PW']]);
  });

  it('is completed where some of it is there', () => {
    showSheet(sheetOf([clubView('8i'), clubView('PW')], ['8i', 'PW']));
    expect(typed('8-PW').text()).toContain('In the locker already, and not added again: 8 iron, PW.');
    expect(waiting()).toEqual([['addClub', 'in 9 iron']]);
  });

  it('leaves out what the bag has no room for, and says so', () => {
    const sheet = sheetOf([clubView('7 iron')], ['7 iron']);
    sheet.player.gapSettings = { clubLimit: 2 };
    showSheet(sheet);
    expect(typed('8-PW').text()).toContain('9 iron, PW went into the locker only');
    expect(waiting()).toEqual([['addClub', 'in 8 iron', 'addClub', 'addClub']]);
    // Some of it there, and no room for the rest: both are said.
    const words = typed('7-AW').text();
    expect(words).toContain('not added again: 7 iron, 8 iron, 9 iron, PW');
    expect(words).toContain('AW went into the locker only');
  });
});

describe('a club typed with how far it goes', () => {
  const readings = () =>
    (useOutbox().waiting as { request: ChangeRequest }[]).flatMap(({ request }) =>
      request.commands.flatMap((command) =>
        command.do === 'addClub' ? [[command.club.name, ...command.readings.map(({ key }) => key)]] : [],
      ),
    );

  it('has its carry, and its loft where it is said too', () => {
    typed('Driver 10.5 245');
    typed('8i 140 m');
    typed('50.08 F 115');
    expect(readings()).toEqual([
      ['Driver', 'loftStampedDeg', 'shot.full'],
      ['8i', 'shot.full'],
      ['50.08 F', 'shot.full', 'loftStampedDeg'],
    ]);
  });

  it('keeps a number that is part of its name, or of which nobody knows what it says', () => {
    const names = ['SW 56', 'Hybrid 22', 'Driver 460', '9 iron 770', '5 wood 18', '7 iron Rohr 120'];
    for (const name of names) typed(name);
    expect(readings().map(([name]) => name)).toEqual(names);
  });
});

describe('a club typed under a name that is there already', () => {
  it('is added, and said to be a second one; undone, nothing more is said', async () => {
    const view = typed('7 IRON');
    expect(view.text()).toContain('There is a 7 IRON already. A second one was added.');
    await view
      .findAll('button')
      .find((one) => one.text() === 'Undo')!
      .trigger('click');
    await flushPromises();
    expect(waiting()).toEqual([['addClub', 'in 7 IRON'], 'undone']);
    expect(view.text()).toBe('');
  });

  it('may have been meant to come out of the locker', async () => {
    const view = typed('3 wood');
    expect(view.text()).toContain('The locker has a 3 wood that is not in this bag.');
    await view
      .findAll('button')
      .find((one) => one.text() === 'Put that one in instead')!
      .trigger('click');
    expect(waiting()).toEqual([['addClub', 'in 3 wood'], 'undone', ['in 3 wood']]);
    expect(useSheet().sheet!.bags[0]!.clubIds).toContain('3 wood');
  });

  it('is not offered a place in a bag that is full', () => {
    const sheet = sheetOf([clubView('7 iron'), clubView('3 wood')], ['7 iron']);
    sheet.player.gapSettings = { clubLimit: 1 };
    showSheet(sheet);
    const view = typed('3 wood');
    expect(view.text()).toContain('There is a 3 wood already.');
    expect(view.text()).toContain('3 wood went into the locker only');
  });

  it('is kept beside the other without another word; a name of its own is no question', async () => {
    const view = typed('3 wood');
    await view
      .findAll('button')
      .find((one) => one.text() === 'Keep both')!
      .trigger('click');
    expect(view.text()).toBe('');
    expect(useSheet().clubs).toHaveLength(3);
    expect(typed('5 wood').text()).toBe('');
  });
});
