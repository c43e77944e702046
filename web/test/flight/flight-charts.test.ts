import { toMetres } from '@tasche/core';
import { describe, expect, it } from 'vitest';
import { nameRows } from '../../src/flight/name-band';
import { landingEllipse, sideView, viewFromAbove, type ChartInk } from '../../src/flight/flight-charts';
import { trace } from './trace';

const ink: ChartInk = {
  ink: '#000',
  quiet: '#666',
  line: '#ddd',
  linen: '#fff',
  lines: ['#1', '#2', '#3', '#4'],
};
describe('the ellipse of landing points', () => {
  it('is one deviation of the points in every direction', () => {
    const { shots } = trace(6).spread;
    const ellipse = landingEllipse(shots, 360);
    const mean = (part: number) =>
      Array.from(shots)
        .filter((_v, i) => i % 3 === part)
        .reduce((sum, v) => sum + v, 0) / 200;
    for (const turn of [0, 0.5, 1, 2]) {
      const [ux, uz] = [Math.cos(turn), Math.sin(turn)];
      const along = Array.from(
        { length: 200 },
        (_one, i) => (shots[i * 3]! - mean(0)) * ux + (shots[i * 3 + 1]! - mean(1)) * uz,
      );
      const deviation = Math.sqrt(along.reduce((sum, v) => sum + v * v, 0) / 199);
      const reach = Math.max(...ellipse.map(([x, z]) => (x - mean(0)) * ux + (z - mean(1)) * uz));
      expect(reach).toBeCloseTo(deviation, 2);
    }
  });
});

describe('the pictures of a flight', () => {
  const named = [{ name: '7 iron', trace: trace(6) }];

  it("from the side ends where the ball stops, in the reader's unit", () => {
    const { series } = sideView(named, 'yd', ink);
    const [flight, roll] = series as unknown as [
      { data: [number, number][] },
      { data: { value: [number, number] }[] },
    ];
    expect(flight.data[0]).toEqual([0, 0]);
    const carryYd = named[0]!.trace.moved.carryM / toMetres(1, 'yd');
    expect(flight.data.at(-1)![0]).toBeCloseTo(carryYd, 0);
    expect(roll.data[1]!.value[0]).toBeCloseTo(
      (named[0]!.trace.moved.carryM + named[0]!.trace.moved.runM) / toMetres(1, 'yd'),
      0,
    );
    expect(Math.max(...flight.data.map(([, y]) => y))).toBeCloseTo(
      named[0]!.trace.moved.apexM / toMetres(1, 'ft'),
      -1,
    );
  });

  it('from above shows the drift, every shot of one club, and only ellipses of many', () => {
    const one = viewFromAbove(named, 'm', ink).series as unknown as {
      type: string;
      data: [number, number][];
    }[];
    expect(one[0]!.data.at(-1)![1]).toBeLessThan(-8);
    expect(one.find((each) => each.type === 'scatter')!.data).toHaveLength(200);
    const many = viewFromAbove(
      Array.from({ length: 6 }, () => named[0]!),
      'm',
      ink,
    ).series as unknown as { type: string; data: unknown[]; label?: object }[];
    const shots = many.filter((each) => each.type === 'scatter' && !each.label);
    expect(shots).toHaveLength(6);
    expect(shots.every((each) => each.data.length === 0)).toBe(true);
  });

  it('of many flights has every name in a band above them, none over another', () => {
    const at = (name: string, distance: number) => ({ name, at: distance });
    const ends = [at('Driver', 300), at('3 wood', 290), at('5 wood', 285), at('PW', 120)];
    // Two pixels a yard: three names of forty pixels within thirty.
    expect(nameRows(ends, 2)).toEqual([2, 1, 0, 0]);
    // Room for all of them.
    expect(nameRows(ends, 20)).toEqual([0, 0, 0, 0]);
    // Where there is none, a name is left out rather than written over another.
    expect(
      nameRows(
        Array.from({ length: 6 }, (_one, i) => at(`club ${i}`, 100)),
        1,
      ),
    ).toEqual([0, 1, 2, 3, undefined, undefined]);
  });

  it('of many flights has the same axis of distances from the side and from above', () => {
    const many = Array.from({ length: 6 }, (_one, i) => ({ ...named[0]!, name: `${i} iron` }));
    const [side, above] = [sideView(many, 'yd', ink), viewFromAbove(many, 'yd', ink)];
    expect(side.xAxis).toMatchObject({ min: 0, max: (above.xAxis as { max?: number }).max });
    const { max, interval } = side.yAxis as { max?: number; interval?: number };
    expect(max! % interval!).toBe(0);
    const names = (side.series as { label?: { formatter?: string } }[]).flatMap(
      ({ label }) => label?.formatter ?? [],
    );
    expect(names).toEqual(['0 iron', '1 iron', '2 iron', '3 iron']);
  });
});
