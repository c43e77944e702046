import type { BagAnswer, LadderClub } from '@tasche/core';
import { mount } from '@vue/test-utils';
import { describe, expect, it } from 'vitest';
import LockBoard from '../../src/plan/LockBoard.vue';

const iron = (id: string, carryM: number, loftDeg: number): LadderClub => ({
  id,
  name: `${id} iron`,
  kind: 'iron',
  loftDeg,
  shots: { full: { carryM, source: 'measured', sampleSize: 20, spreadM: 4 } },
});
const CLUBS = [iron('7', 150, 32), iron('8', 140, 36), iron('9', 130, 40), iron('6', 160, 28)];
const answer = {
  best: { ids: ['7', '8', '9'], strokes: 70, forNeeds: 69, forSteps: 1, price: 0 },
  runnersUp: [],
  reasons: [
    { id: '7', worth: 0.52, need: 'approach from 150', distanceM: undefined, shot: 'full', needsMet: 3 },
    { id: '8', worth: 0.002, need: undefined, distanceM: undefined, shot: undefined, needsMet: 0 },
    { id: '9', worth: 0.2, need: 'approach from 125', distanceM: undefined, shot: 'soft', needsMet: 1 },
  ],
  leftOut: [{ id: '6', costs: 0.14, onTheCourse: 0.11, outId: '7' }],
} as unknown as BagAnswer;

function board(more: object = {}) {
  const redrawn: string[] = [];
  const view = mount(LockBoard, {
    props: {
      clubs: CLUBS,
      home: CLUBS,
      chosen: ['7', '8', '9'],
      always: [],
      never: [],
      oneOf: [],
      kinds: [],
      limit: 14,
      allowed: 14,
      gamer: ['6', '8', '9'],
      modelled: [],
      why: { '7': '7 iron: best for 3 shots.' },
      answer,
      unit: 'm' as const,
      readOnly: false,
      ...more,
    },
    attachTo: document.body,
    global: {
      mixins: [
        {
          updated(this: { $options: { __name?: string }; $props: { id?: string } }) {
            if (this.$options.__name === 'LockRow') redrawn.push(this.$props.id!);
          },
        },
      ],
    },
  });
  const row = (id: string) => view.get(`[data-club="${id}"]`);
  return { view, row, redrawn };
}

describe('the board of a round’s bag', () => {
  it('shows what is chosen and what is left out, longest first, with what each is worth and what moves', () => {
    const { view } = board();
    const rows = view.findAll('li').map((one) => one.text().replace(/\s+/g, ' '));
    expect(rows.map((text) => text.match(/\d iron(in|out)?/)![0])).toEqual([
      '7 ironin',
      '8 iron',
      '9 iron',
      '6 ironout',
    ]);
    expect(rows[0]).toContain('0.52');
    expect(rows[1]).toContain('=');
    expect(rows[2]).toContain('approach from 125, soft');
    expect(rows[3]).toContain('for the 7 iron');
    view.unmount();
  });

  it('locks by key and by the mark, goes from row to row, and leaves everything be for a reader', async () => {
    const { view, row } = board();
    await row('8').trigger('keydown', { key: 'o' });
    await row('8').trigger('keydown', { key: 'i' });
    await row('6').get('button').trigger('click');
    expect(view.emitted('set')).toEqual([
      [{ always: [], never: ['8'] }],
      [{ always: ['8'], never: [] }],
      [{ always: ['6'], never: [] }],
    ]);
    await row('7').trigger('focusin');
    expect(row('7').text()).toContain('best for 3 shots.');
    await row('7').trigger('keydown', { key: 'ArrowDown' });
    expect((document.activeElement as HTMLElement).dataset.club).toBe('8');
    await row('7').trigger('keydown', { key: 'Enter' });
    expect(view.emitted('need')).toEqual([['approach from 150']]);
    view.unmount();
    const { view: read, row: readRow } = board({ readOnly: true });
    await readRow('8').trigger('keydown', { key: 'o' });
    expect(read.emitted('set')).toBeUndefined();
    read.unmount();
  });

  it('draws the row of a club that was locked again, and no other', async () => {
    const { view, row, redrawn } = board();
    await view.setProps({ never: ['8'] });
    expect(redrawn).toEqual(['8']);
    expect(row('8').attributes('aria-label')).toContain('8 iron: never in, chosen');
    view.unmount();
  });
});
