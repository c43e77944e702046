import type { BasketPart, LadderClub } from '@tasche/core';
import { mount } from '@vue/test-utils';
import { describe, expect, it } from 'vitest';
import BasketTable from '../../src/basket/BasketTable.vue';

const club = (id: string, full?: LadderClub['shots']['full'], changed = false): LadderClub => ({
  id,
  name: id,
  kind: 'iron',
  shots: { ...(full && { full }) },
  ...(changed && { changed: { full: {} } as never }),
});
const part = (clubId: string, more: Partial<BasketPart> = {}): BasketPart => ({
  clubId,
  shotKind: 'full',
  balls: 8,
  carryM: 150,
  nowM: 9,
  thenM: 4,
  ballM: 7,
  gain: 0.04,
  reason: { code: 'neighbours' },
  ...more,
});

function rows(parts: readonly BasketPart[], clubs: readonly LadderClub[], unit: 'yd' | 'm' = 'm') {
  const view = mount(BasketTable, {
    props: { parts, unit, clubs: new Map(clubs.map((one) => [one.id, one])) },
  });
  return view.findAll('tbody tr').map((row) =>
    row
      .findAll('th, td')
      .map((cell) => cell.text().replace(/\s+/g, ' '))
      .join(' | '),
  );
}

describe('the shots of a basket', () => {
  it('says how each carry is known now and after the balls, and what it settles', () => {
    const [row] = rows(
      [part('7 iron')],
      [club('7 iron', { carryM: 150, source: 'measured', sampleSize: 1 })],
    );
    expect(row).toMatch(
      /^7 iron \| 8 \| 150 1 shot \| 9 \| 4 \| 0\.04 \| Tells most about the clubs beside it/,
    );
  });

  it('is in the reader’s unit', () => {
    expect(rows([part('7 iron')], [club('7 iron', { carryM: 150, source: 'stated' })], 'yd')[0]).toMatch(
      /^7 iron \| 8 \| 164 stated \| 10 \| 4 \|/,
    );
  });

  it('an unknown carry is modelled, one from before a bend is said to be, a little gain is little', () => {
    const found = rows(
      [part('5 iron', { gain: 0.001 }), part('9 iron'), part('gone')],
      [club('5 iron'), club('9 iron', { carryM: 130, source: 'measured', sampleSize: 12 }, true)],
    );
    expect(found[0]).toMatch(/modelled \| 9 \| 4 \| little/);
    expect(found[1]).toContain('12 shots, before the club was changed');
    expect(found[2]).toContain('a deleted club');
  });
});
