import { homeCard } from '@tasche/contract';
import { distanceCard } from '@tasche/core';
import { mount } from '@vue/test-utils';
import { describe, expect, it } from 'vitest';
import CardTable from '../../src/card/CardTable.vue';
import { helperColumns, helperNumber, shotColumns, stepsWords } from '../../src/card/card-words';
import { clubView, sheetOf } from '../sheet';

const soft = { value: { carryM: 130, source: 'stated' as const }, takenOn: '2026-10-01' };
const seven = clubView('7', { carryM: 144 });
const clubs = [
  { ...seven, spec: { ...seven.spec, 'shot.soft': soft } },
  { ...clubView('5'), spec: { loftStampedDeg: { value: 24, takenOn: '2026-10-01' } } },
];
function worked(unit: 'yd' | 'm') {
  const sheet = sheetOf(clubs, ['7', '5']);
  const page = homeCard({ ...sheet, unit }, sheet.bags[0]!);
  return { page, card: distanceCard(page.request) };
}

describe('a card on the screen', () => {
  it('has a column for every kind of shot recorded, and marks what is modelled', () => {
    const view = mount(CardTable, { props: { worked: worked('m'), unit: 'm' } });
    const [carries] = view.findAll('table');
    expect(carries!.findAll('thead th').map((head) => head.text())).toEqual([
      'Club',
      'Stock',
      'Soft',
      'Flag',
    ]);
    const rows = carries!.findAll('tbody tr');
    expect(rows[0]!.text()).toContain('○');
    expect(rows[1]!.findAll('td')[1]!.text()).toBe('144');
    expect(rows[1]!.findAll('td')[2]!.text()).toBe('130');
    expect(view.text()).toContain('○ modelled, not measured');
    expect(view.text()).not.toContain('No bag is settled');
  });

  it('says so where the bag of a round is not settled yet, and shows home beside the day', () => {
    const { page, card } = worked('m');
    const view = mount(CardTable, {
      props: {
        worked: {
          page: {
            ...page,
            name: 'Round 1',
            roundIds: ['a'],
            isSettled: false,
            day: '2026-12-04',
            courseName: 'Hochfirn',
            air: { temperatureC: 9, humidityPct: 60, windMps: 8, windFromDeg: 270 },
          },
          card,
        },
        unit: 'm',
      },
    });
    expect(view.text()).toContain('No bag is settled yet');
    expect(view.text()).toContain('8 m/s from the W');
    expect(view.find('thead').text()).toContain('At home');
  });

  it('names its helpers in the reader’s units', () => {
    const { page, card } = worked('yd');
    expect(shotColumns(card)).toEqual(['full', 'soft']);
    expect(stepsWords(page.request.steps, 'yd')).toBe('10 mph, 10 yd up or down, 20 °F');
    expect(helperColumns(page.request.steps, 'yd').map(({ says }) => says)).toContain(
      'a target 10 yd higher',
    );
    const club = card.clubs[0]!;
    expect(helperNumber(club, 'into', 'yd')).toMatch(/^−\d+$/);
    expect(helperNumber(club, 'behind', 'yd')).toMatch(/^\+\d+$/);
    expect(helperNumber(club, 'across', 'yd')).toMatch(/^\d+$/);
    expect(helperNumber({ ...club, helpers: {} }, 'into', 'yd')).toBe('–');
  });
});
