import type { ClubView, Command } from '@tasche/contract';
import { mount } from '@vue/test-utils';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { nextTick } from 'vue';
import HandShots from '../../src/range/HandShots.vue';
import { useRange } from '../../src/range/range-store';
import { freshPinia } from '../pinia';
import { clubView, sheetOf, showSheet } from '../sheet';

const named = (id: string, name: string): ClubView => ({ ...clubView(id), name });
const form = (...clubs: readonly ClubView[]) => {
  showSheet(sheetOf(clubs, []));
  const view = mount(HandShots, {
    props: { sessionId: 's', unit: 'm' },
    global: { stubs: { RouterLink: { template: '<a><slot /></a>' } } },
  });
  const write = async (text: string) => {
    await view.get('input[aria-label="Carries by hand"]').setValue(text);
    await view.get('form').trigger('submit');
  };
  const typed = () => (view.get('input[aria-label="Carries by hand"]').element as HTMLInputElement).value;
  return { view, write, typed };
};

describe('the form for shots by hand', () => {
  let written: [clubId: string, carryM: number | undefined][];
  beforeEach(() => {
    freshPinia();
    written = [];
    vi.spyOn(useRange(), 'change').mockImplementation((commands: readonly Command[]) => {
      for (const one of commands)
        if (one.do === 'addStrikes')
          written.push(
            ...one.strikes.map(({ clubId, given }): (typeof written)[number] => [clubId!, given.carryM]),
          );
      return '';
    });
  });

  it('has the only club there is in hand', async () => {
    const { write, typed } = form(named('a', '7 iron'));
    await write('150 152');
    expect(written).toEqual([
      ['a', 150],
      ['a', 152],
    ]);
    expect(typed()).toBe('');
  });

  it('asks for the club among several, keeps what was typed, and goes on with the last one named', async () => {
    const { view, write, typed } = form(named('a', '7 iron'), named('b', '8 iron'));
    await write('150');
    expect(view.emitted('problem')!.at(-1)![0]).toContain('start with its name');
    expect(typed()).toBe('150');
    expect(written).toEqual([]);
    await write('7i 150 / 8 iron: 140');
    await write('141');
    expect(written).toEqual([
      ['a', 150],
      ['b', 140],
      ['b', 141],
    ]);
    expect(view.emitted('problem')!.at(-1)).toEqual(['']);
  });

  it('takes a list line by line', async () => {
    const { view, typed } = form(named('a', '7 iron'), named('b', '8 iron'));
    const event = new Event('paste', { cancelable: true });
    Object.assign(event, { clipboardData: { getData: () => '7 iron 150 151\r\n8 iron 140\n' } });
    view.get('input[aria-label="Carries by hand"]').element.dispatchEvent(event);
    await nextTick();
    expect(event.defaultPrevented).toBe(true);
    expect(typed()).toBe('7 iron 150 151 / 8 iron 140');
  });

  it('shows what is pasted behind what was typed, and empties itself once it is taken', async () => {
    const { view, typed } = form(named('a', '7 iron'), named('b', '8 iron'));
    const input = view.get<HTMLInputElement>('input[aria-label="Carries by hand"]');
    await input.setValue('7 iron ');
    input.element.setSelectionRange(7, 7);
    await input.trigger('paste', { clipboardData: { getData: () => '150 151\n8 iron 140' } });
    expect(typed()).toBe('7 iron 150 151 / 8 iron 140');
    await view.get('form').trigger('submit');
    expect(written).toEqual([
      ['a', 150],
      ['a', 151],
      ['b', 140],
    ]);
    expect(typed()).toBe('');
  });

  it('leads to the bag where there is nothing to hit', () => {
    const { view } = form({ ...named('p', 'Putter'), kind: 'putter' });
    expect(view.find('form').exists()).toBe(false);
    expect(view.text()).toContain('There is no club to hit yet. To the bag');
  });
});
