import { gaps, toMetres, type LadderClub, type Shot } from '@tasche/core';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { RAIL, railLayout } from '../../src/ladder/rail-layout';

const club = (id: string, carryM: number, loftDeg?: number, more: Partial<Shot> = {}): LadderClub => ({
  id,
  name: id,
  kind: 'iron',
  ...(loftDeg !== undefined && { loftDeg }),
  shots: { full: { carryM, source: 'stated', ...more } },
});
const HEIGHT = 500;
const layoutOf = (clubs: readonly LadderClub[], more: Partial<Parameters<typeof railLayout>[0]> = {}) =>
  railLayout({
    clubs,
    gone: [],
    report: gaps(clubs),
    heightPx: HEIGHT,
    unit: 'm',
    knownM: () => undefined,
    ...more,
  });

describe('the layout of the rail', () => {
  it('is true to distance, the longest club on top, whatever the carries (property)', () => {
    const carries = fc.uniqueArray(fc.integer({ min: 40, max: 280 }), { minLength: 2, maxLength: 16 });
    fc.assert(
      fc.property(carries, (list) => {
        const { pegs } = layoutOf(list.map((carryM) => club(String(carryM), carryM)));
        const [first, last] = [pegs[0]!, pegs.at(-1)!];
        const pxPerM = (last.y - first.y) / (first.rung.carryM - last.rung.carryM);
        expect(pxPerM).toBeGreaterThan(0);
        for (const { rung, y, labelY } of pegs) {
          expect(y).toBeCloseTo(first.y + (first.rung.carryM - rung.carryM) * pxPerM, 6);
          expect(labelY).toBeGreaterThanOrEqual(RAIL.top - 1e-9);
          expect(labelY).toBeLessThanOrEqual(HEIGHT - RAIL.bottom + 1e-9);
        }
        for (const [i, { labelY }] of pegs.slice(1).entries())
          expect(labelY - pegs[i]!.labelY).toBeGreaterThanOrEqual(18 - 1e-9);
      }),
    );
  });

  it('has ticks at whole tens of the reader’s unit, and tens of degrees between the lofts', () => {
    const clubs = [club('7', toMetres(150, 'yd'), 33), club('PW', toMetres(120, 'yd'), 46)];
    const { ticks, loftTicks, pegs } = layoutOf(clubs, { unit: 'yd' });
    expect(ticks.map(({ tens }) => tens)).toEqual([12, 13, 14, 15]);
    expect(ticks.at(-1)!.y).toBeCloseTo(pegs[0]!.y, 6);
    expect(loftTicks.map(({ deg }) => deg)).toEqual([40]);
    expect(pegs[0]!.loftY!).toBeLessThan(loftTicks[0]!.y);
    expect(loftTicks[0]!.y).toBeLessThan(pegs[1]!.loftY!);
  });

  it('marks a step that is too wide from club to club, with words where there is room', () => {
    const clubs = [200, 190, 180, 120, 110].map((carryM) => club(String(carryM), carryM));
    const { gaps: found, pegs } = layoutOf(clubs);
    expect(found).toHaveLength(1);
    expect(found[0]).toMatchObject({ step: { upperId: '180', lowerId: '120' }, top: pegs[2]!.y });
    expect(found[0]!.top + found[0]!.height).toBeCloseTo(pegs[3]!.y, 6);
    expect(found[0]!.labelY!).toBeGreaterThan(pegs[2]!.labelY);
    expect(layoutOf(clubs, { heightPx: 150 }).gaps[0]!.labelY).toBeUndefined();
  });

  it('shows the span of a club’s shots or its spread, and keeps what is not known on the rail', () => {
    const soft: LadderClub = {
      ...club('PW', 120),
      shots: {
        full: { carryM: 120, source: 'stated' },
        soft: { carryM: 110, source: 'stated' },
      },
    };
    const { pegs } = layoutOf([club('7', 150, undefined, { plusMinusM: 400 }), soft]);
    expect(pegs[0]!.span).toEqual({ from: RAIL.top, to: HEIGHT - RAIL.bottom, hasPartials: false });
    expect(pegs[1]!.span.hasPartials).toBe(true);
    expect(pegs[1]!.partials).toEqual([pegs[1]!.span.to]);
    // Spans that overlap stand side by side.
    expect(pegs.map(({ lane }) => lane)).toEqual([0, 1]);
  });

  it('has room for what was there before, and for where the air moved a club from', () => {
    const clubs = [club('7', 150), club('8', 140)];
    const layout = layoutOf(clubs, {
      gone: [club('3', 210)],
      knownM: ({ id }) => (id === '7' ? 160 : undefined),
    });
    expect(layout.gone[0]!.y).toBeLessThan(layout.pegs[0]!.knownY!);
    expect(layout.pegs[0]!.knownY!).toBeLessThan(layout.pegs[0]!.y);
    expect(layout.pegs[1]!.knownY).toBeUndefined();
  });

  it('is empty without clubs, and needs no loft', () => {
    expect(layoutOf([])).toMatchObject({ pegs: [], gone: [], gaps: [], ticks: [], loftTicks: [] });
    const { pegs, loftTicks } = layoutOf([club('7', 150)]);
    expect(pegs[0]!.loftY).toBeUndefined();
    expect(loftTicks).toEqual([]);
  });
});
