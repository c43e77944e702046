import { mount } from '@vue/test-utils';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import type { ChangeRequest, ClubView, Command } from '@tasche/contract';
import type { Shot } from '@tasche/core';
import { useOutbox } from '../../src/changes/outbox';
import OwnShots from '../../src/clubs/OwnShots.vue';
import { shotOptions } from '../../src/clubs/shot-options';
import { freshPinia } from '../pinia';
import { clubView, sheetOf, showSheet } from '../sheet';

const ON = '2026-10-01';
const withOwn = (shots: Record<string, Partial<Shot>>): ClubView => ({
  ...clubView('7 iron', { carryM: 150 }),
  spec: {
    ...clubView('7 iron', { carryM: 150 }).spec,
    ...Object.fromEntries(
      Object.entries(shots).map(([kind, shot]) => [
        `shot.${kind}`,
        { value: { carryM: 140, source: 'stated', ...shot }, takenOn: ON },
      ]),
    ),
  },
});
function show(club: ClubView, readOnly = false) {
  showSheet(sheetOf([club], [club.id]));
  return mount(OwnShots, { props: { club, unit: 'm', readOnly, takenOn: ON } });
}
type Edit = Extract<Command, { do: 'editClub' }>;
/** What was recorded last. */
const written = () =>
  (useOutbox().waiting.at(-1) as { request: ChangeRequest } | undefined)?.request.commands.flatMap(
    (command) => (command as Edit).readings ?? [],
  );
const field = (view: ReturnType<typeof show>, label: string) => view.get(`input[aria-label^="${label}"]`);

beforeEach(() => {
  localStorage.clear();
  sessionStorage.clear();
  freshPinia();
  vi.stubGlobal('fetch', () => new Promise(() => {}));
});

describe('shots of the player’s own with a club', () => {
  it('are listed by their words, the usual ones are not', () => {
    const view = show(withOwn({ 'choked: into the wind': { startDeg: -2 }, soft: {} }));
    expect(view.findAll('tbody th').map((head) => head.text())).toEqual(['choked, into the wind']);
    expect((field(view, 'choked, into the wind starts').element as HTMLInputElement).value).toBe('-2');
  });

  it('are added with a name and a carry', async () => {
    const view = show(withOwn({}));
    await field(view, 'Name of an own shot').setValue(' cut ');
    await field(view, 'Carry of an own shot').setValue('144');
    await view.get('button').trigger('click');
    expect(written()).toEqual([
      { key: 'shot.full: cut', value: { carryM: 144, source: 'stated' }, takenOn: ON },
    ]);
    expect((field(view, 'Name of an own shot').element as HTMLInputElement).value).toBe('');
  });

  it('keep their shape under a new carry, and their carry under a new shape', async () => {
    const view = show(
      withOwn({ 'full: cut': { startDeg: -2, curveM: 6, sampleSize: 9, source: 'measured' } }),
    );
    const carry = field(view, 'cut carry');
    await carry.setValue('142');
    await carry.trigger('blur');
    expect(written()![0]!.value).toEqual({ carryM: 142, source: 'stated', startDeg: -2, curveM: 6 });
    const curve = field(view, 'cut curves');
    await curve.setValue('');
    await curve.trigger('blur');
    expect(written()![0]!.value).toEqual({
      carryM: 140,
      source: 'measured',
      sampleSize: 9,
      startDeg: -2,
    });
  });

  it('go when they are removed', async () => {
    const view = show(withOwn({ 'full: cut': {} }));
    await view.get('button[aria-label="Remove cut"]').trigger('click');
    expect(written()).toEqual([{ key: 'shot.full: cut', value: null, takenOn: ON }]);
  });

  it.each([
    ['low, cut', '144', 'no comma'],
    ['', '144', '1 to 24 characters'],
    ['cut', '', 'Its carry is missing'],
    ['draw', '144', 'such a shot already'],
  ])('are not added as "%s" with a carry of "%s"', async (name, carry, reason) => {
    const view = show(withOwn({ 'full: draw': {} }));
    await field(view, 'Name of an own shot').setValue(name);
    await field(view, 'Carry of an own shot').setValue(carry);
    await view.findAll('button').at(-1)!.trigger('click');
    expect(view.text()).toContain(reason);
    expect(written()).toBeUndefined();
    expect((field(view, 'Name of an own shot').element as HTMLInputElement).value).toBe(name);
  });

  it('are six at most, and are only read where nothing may be written', () => {
    const six = Object.fromEntries(Array.from({ length: 6 }, (_one, i) => [`half: number ${i}`, {}]));
    expect(show(withOwn(six)).find('[aria-label="Name of an own shot"]').exists()).toBe(false);
    const past = show(withOwn({ 'full: cut': {} }), true);
    expect(past.find('[aria-label="Name of an own shot"]').exists()).toBe(false);
    expect(past.get('button').attributes('disabled')).toBeDefined();
  });

  it('may be meant with their club alone', () => {
    const labels = (club?: ClubView) => shotOptions(club?.spec).map(({ label }) => label);
    expect(labels()).toEqual(['full', 'hard', 'soft', 'choked', 'three-quarter', 'half']);
    expect(labels(withOwn({ 'choked: low': {} }))).toContain('choked, low');
  });
});
