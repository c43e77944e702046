import type { PlanView } from '@tasche/contract';
import { gaps, swapEffects, type LadderClub } from '@tasche/core';
import { mount } from '@vue/test-utils';
import { describe, expect, it } from 'vitest';
import LadderRibs from '../../src/ladder/LadderRibs.vue';
import SwapList from '../../src/plan/SwapList.vue';
import WeekBoard from '../../src/plan/WeekBoard.vue';
import { clubView } from '../sheet';

const CARRIES = { '7': 150, '8': 138, '9': 126, PW: 114, '52': 96 };
const LOFTS = { '7': 32, '8': 36, '9': 40, PW: 44, '52': 52 };
const clubs = Object.entries(CARRIES).map(([id, carryM]): LadderClub => ({
  id,
  name: id,
  kind: id === '52' ? 'wedge' : 'iron',
  loftDeg: LOFTS[id as keyof typeof LOFTS],
  shots: { full: { carryM, source: 'stated' } },
}));
const inBag = clubs.filter(({ id }) => id !== '9');
const plan = {
  id: 'p',
  swaps: [{ outId: '9', why: 'not asked for' }],
  baseClubIds: clubs.map(({ id }) => id),
} as unknown as PlanView;

describe('the swaps of a week', () => {
  const list = (more: object = {}) =>
    mount(SwapList, {
      props: {
        plan,
        isGamer: false,
        effects: swapEffects(plan.baseClubIds, plan.swaps, clubs, {}),
        before: gaps(clubs),
        after: gaps(inBag),
        school: 'even-carries' as const,
        clubs: new Map(clubs.map(({ id }) => [id, clubView(id)])),
        count: 4,
        tooMany: 0,
        unit: 'm' as const,
        canEdit: true,
        ...more,
      },
    });

  it('are listed with what they come to together', () => {
    const view = list();
    expect(view.get('h2').text()).toMatch(
      /uneven by 2\.6 m → 4\.9 m,\s+even carries; 1 fault as before; 4 clubs$/,
    );
    expect(view.findAll('ol > *')).toHaveLength(1);
    expect(list({ tooMany: 2 }).get('h2').text()).toContain('2 must go');
    view.unmount();
  });

  it('say that the gamer goes as it is where there are none, and how to go back where it is the gamer now', () => {
    const none = list({ plan: { ...plan, swaps: [] }, effects: [] });
    expect(none.text()).toContain('The gamer stays as it is.');
    expect(list({ isGamer: true }).text()).toContain('This bag is the gamer now');
  });

  it('are taken back one by one, and reasons are recorded', async () => {
    const view = list();
    const why = view.get('input');
    await why.setValue('wind');
    await why.trigger('change');
    await why.trigger('blur');
    await view.get('button').trigger('click');
    const sent = view.emitted('swaps')!.map(([swaps]) => swaps);
    expect(sent).toContainEqual([{ outId: '9', why: 'wind' }]);
    expect(sent.at(-1)).toEqual([]);
  });
});

describe('the bag of a week beside its ladder', () => {
  const five: readonly LadderClub[] = [
    ...inBag,
    {
      id: '58',
      name: '58',
      kind: 'wedge',
      loftDeg: 58,
      shots: { full: { carryM: 80, source: 'stated' } },
    },
  ];
  const board = () =>
    mount(WeekBoard, {
      props: {
        active: null,
        rows: five.map(({ id }) => clubView(id)),
        inBag: five,
        report: gaps(five),
        gone: clubs.filter(({ id }) => id === '9'),
        fresh: new Set<string>(),
        moved: undefined,
        unit: 'm' as const,
        canEdit: true,
      },
    });

  it('speaks of the whole, of the step that is pointed at, and of the whole again once that is gone', async () => {
    const view = board();
    const whole = view.get('.sentence').text();
    expect(whole).toMatch(/first, one|One /);
    const step = gaps(five).steps[0]!;
    view.getComponent(LadderRibs).vm.$emit('point', step);
    await view.vm.$nextTick();
    expect(view.get('.sentence').text()).toMatch(/^7 to 8 is 4\.0° and 12 m/);
    await view.setProps({ report: gaps(clubs.filter(({ id }) => id !== '8')) });
    expect(view.get('.sentence').text()).not.toContain('7 to 8');
    view.unmount();
  });
});
