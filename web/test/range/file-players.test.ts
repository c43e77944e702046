import { mount } from '@vue/test-utils';
import { beforeEach, describe, expect, it } from 'vitest';
import FilePlayers from '../../src/range/FilePlayers.vue';
import { freshPinia } from '../pinia';

describe('the players of a file', () => {
  beforeEach(() => {
    freshPinia();
  });
  const view = (players: readonly [label: string, rows: number][], asked?: string) =>
    mount(FilePlayers, {
      props: { players: players.map(([label, rows]) => ({ label, rows })), name: 'Ann Bell', asked },
    });

  it('are chosen from where there are several, each with its rows', () => {
    const several = view([
      ['Bo Carr', 12],
      ['C. Dahl', 3],
      ['', 1],
    ]);
    expect(several.text()).toContain('the shots of 3 players');
    expect(several.text()).toContain('◆ None is called Ann Bell; choose one.');
    const field = several.getComponent({ name: 'ChoiceField' });
    const { options } = field.props() as unknown as { options: { value: string; label: string }[] };
    expect(options.map(({ label }) => label)).toEqual(['Bo Carr (12)', 'C. Dahl (3)', 'no player named (1)']);
    field.vm.$emit('update:value', 'Bo Carr');
    expect(several.emitted('update:asked')).toEqual([['Bo Carr']]);
  });
  it('are asked no more once one is chosen', () => {
    const chosen = view(
      [
        ['Ann Bell', 12],
        ['Bo Carr', 3],
      ],
      'Ann Bell',
    );
    expect(chosen.text()).not.toContain('◆');
  });
  it('are named where the only one is somebody else, and not where it is the player or nobody', () => {
    expect(view([['Bo Carr', 12]]).text()).toContain('◆ The file says these are the shots of Bo Carr');
    for (const own of ['ann bell', 'BELL, ANN', 'Ánn_Bell']) expect(view([[own, 12]]).text()).toBe('');
    expect(view([]).text()).toBe('');
  });
});
