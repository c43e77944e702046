import type { ClubView } from '@tasche/contract';
import { USUAL_BOUNCE_WINDOW, bendPlan, ladderClub, loftChoicesOf } from '@tasche/core';
import { mount } from '@vue/test-utils';
import { describe, expect, it } from 'vitest';
import BendAnswerCard from '../../src/bench/BendAnswerCard.vue';
import BendTable from '../../src/bench/BendTable.vue';
import { bendRows } from '../../src/bench/bend-rows';
import { clubView } from '../sheet';

const ON = '2026-10-01';
const club = (name: string, kind: ClubView['kind'], loft: number, carryM: number): ClubView => {
  const view = clubView(name, { carryM, source: 'measured', sampleSize: 30, spreadM: 4 });
  return { ...view, kind, spec: { ...view.spec, loftStampedDeg: { value: loft, takenOn: ON } } };
};
/** The 8 iron stands strong: the step above it is short, and the 7 iron made stronger fixes it. */
const views = [
  club('Putter', 'putter', 3, 10),
  club('PW', 'iron', 44, 112),
  club('9 iron', 'iron', 40, 124),
  club('8 iron', 'iron', 34.5, 140.5),
  club('7 iron', 'iron', 32, 148),
  club('5 wood', 'fairway', 18, 195),
];
const clubs = views.map((view) => ({ view, ladder: ladderClub(view) }));
const answer = bendPlan({
  clubs: clubs.map(({ ladder }) => ladder),
  choices: new Map(views.map((view) => [view.id, loftChoicesOf(view, USUAL_BOUNCE_WINDOW)] as const)),
});

describe('a bend plan', () => {
  it('names its clubs from the longest down, with what is done to each, in the reader’s unit', () => {
    const rows = bendRows(clubs, answer.chosen, USUAL_BOUNCE_WINDOW, 'yd');
    expect(rows.map(({ name }) => name)).toEqual(['5 wood', '7 iron', '8 iron', '9 iron', 'PW']);
    const seven = rows.find(({ name }) => name === '7 iron')!;
    expect(seven).toMatchObject({ isBent: true, loft: '32.0°', carry: '162', movable: true });
    expect(seven.by).toBe('1° strong');
    expect(Number(seven.carryThen)).toBeGreaterThan(162);
    expect(rows[0]).toMatchObject({ allowed: 'not bent', isBent: false, becomes: '', movable: false });
    expect(bendRows(clubs, null, USUAL_BOUNCE_WINDOW, 'm').some(({ isBent }) => isBent)).toBe(false);
  });

  it('shows a table in which a club is left as it is, and taken up again', async () => {
    const rows = bendRows(clubs, answer.chosen, USUAL_BOUNCE_WINDOW, 'm');
    const table = mount(BendTable, { props: { rows, kept: ['9 iron'], unit: 'm' } });
    expect(table.find('tr.bent').text()).toContain('7 iron');
    const leave = table.findAll('button');
    expect(leave.map((button) => button.text())).toEqual(['leave', 'leave', 'left as it is', 'leave']);
    await leave[1]!.trigger('click');
    expect(table.emitted('keep')).toEqual([['8 iron']]);
  });

  it('says what it comes to, and what other efforts would; none reads like the one before it', async () => {
    const card = mount(BendAnswerCard, { props: { answer, plan: answer.chosen, unit: 'm' } });
    expect(card.find('h2').text()).toBe('7 iron 1° strong');
    const efforts = card.findAll('button');
    expect(efforts.length).toBeGreaterThan(1);
    const said = efforts.map((button) => button.text().replace(/^\d+\s*/, ''));
    expect(
      said.every(
        (one, i) => i === 0 || one !== said[i - 1] || efforts[i]!.attributes('aria-pressed') === 'true',
      ),
    ).toBe(true);
    await efforts[0]!.trigger('click');
    expect(card.emitted('pick')).toEqual([[0]]);
    await card.setProps({ plan: answer.now });
    expect(card.find('h2').text()).toBe('as it is');
    expect(card.text()).toContain('with every bent club half a degree off');
  });
});
