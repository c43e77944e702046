import type { ClubView, RoundAfter } from '@tasche/contract';
import { mount } from '@vue/test-utils';
import { beforeEach, describe, expect, it } from 'vitest';
import AfterRound from '../../src/plan/AfterRound.vue';
import PlayedShots from '../../src/plan/PlayedShots.vue';
import { clubView } from '../sheet';
import { freshPinia } from '../pinia';

const seven: ClubView = { ...clubView('7'), name: '7 iron' };
const wedge: ClubView = { ...clubView('W'), name: '56', kind: 'wedge' };
const putter: ClubView = { ...clubView('P'), name: 'Putter', kind: 'putter' };
const CARRIED = [seven, wedge, putter].map(({ id, name, kind }) => ({ id, name, kind, shots: {} }));

describe('after the round', () => {
  beforeEach(() => {
    freshPinia();
  });
  const shown = (after: RoundAfter | null, readOnly = false, about = 'p/r') => {
    const view = mount(AfterRound, {
      props: {
        about,
        after,
        carried: CARRIED,
        clubs: [seven, wedge, putter],
        unit: 'm' as const,
        readOnly,
      },
    });
    const set = () => view.emitted<[RoundAfter]>('set')?.at(-1)?.[0];
    return { view, set };
  };
  const typed = async (view: ReturnType<typeof shown>['view'], text: string) => {
    await view.get('textarea[aria-label="What was hit from where"]').setValue(text);
    const take = view.findComponent(PlayedShots).findAll('button');
    return take.find((one) => /^Save/.test(one.text()))!;
  };

  it('keeps what was hit from where, and counts the hits from it; clubs without a recorded shot stay as counted', async () => {
    const { view, set } = shown({ hits: { '7': 9, W: 4 }, says: 'windy', keep: '' });
    const take = await typed(view, '1, 7 iron, 150, rough\n7i 140');
    expect(take.text()).toBe('Save 2 shots');
    await take.trigger('click');
    expect(set()).toEqual({
      hits: { '7': 2, W: 4 },
      says: 'windy',
      keep: '',
      shots: [
        { clubId: '7', distanceM: 150, lie: 'light rough', hole: 1 },
        { clubId: '7', distanceM: 140, lie: null, hole: null },
      ],
    });
  });

  it('names lines it cannot read, and leaves them to be put right', async () => {
    const { view, set } = shown({ hits: {}, says: '', keep: '' });
    const take = await typed(view, '7i 150\nputter 3\n2 iron 180\n9 iron 120');
    expect(view.text()).toContain('1 putt left out');
    expect(view.get('[aria-label="Lines that could not be read"]').findAll('li')).toHaveLength(2);
    await take.trigger('click');
    expect(set()!.shots).toHaveLength(1);
    expect(view.get<HTMLTextAreaElement>('textarea').element.value).toBe('2 iron 180\n9 iron 120');
  });

  it('shows what was recorded, and clears it with the counts left', async () => {
    const shots = [{ clubId: 'W', distanceM: 80, lie: 'sand' as const, hole: 4 }];
    const { view, set } = shown({ hits: { W: 1 }, says: '', keep: '', shots });
    expect(view.get('[aria-label="Shots entered"]').text()).toBe('1 shot entered: 4: 56 80 m sand');
    await view
      .findAll('button')
      .find((one) => one.text() === 'Clear all')!
      .trigger('click');
    expect(set()).toEqual({ hits: { W: 1 }, says: '', keep: '' });
  });

  it('is read-only for a person who may only read', () => {
    const { view } = shown({ hits: { W: 1 }, says: '', keep: '' }, true);
    expect(view.find('textarea[aria-label="What was hit from where"]').exists()).toBe(false);
    expect(view.findAll('button').some((one) => /Save|Clear/.test(one.text()))).toBe(false);
  });

  it('what is half typed of a round is there again, and stands in no other round', async () => {
    const NOTHING = { hits: {}, says: '', keep: '' };
    const first = shown(NOTHING);
    await typed(first.view, '4, seven, 150');
    first.view.unmount();
    const textOf = (about: string) =>
      shown(NOTHING, false, about).view.get<HTMLTextAreaElement>(
        'textarea[aria-label="What was hit from where"]',
      ).element.value;
    expect(textOf('p/other')).toBe('');
    expect(textOf('p/r')).toBe('4, seven, 150');
  });
});
