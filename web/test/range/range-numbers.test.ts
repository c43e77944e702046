import { describe, expect, it } from 'vitest';
import { landingView, averageFlights } from '../../src/range/range-charts';
import {
  clubColumns,
  plusMinusWords,
  sideWords,
  speedNumber,
  strikeColumns,
} from '../../src/range/strike-units';

const INK = { ink: '#000', quiet: '#666', line: '#ccc', linen: '#fff', lines: ['#1', '#2', '#3', '#4'] };

describe('numbers of the range as people say them', () => {
  it('sides by letter, speeds and heights in the unit that goes with the player’s', () => {
    expect([sideWords(-2.7432, 'yd'), sideWords(4.2, 'm'), sideWords(0.2, 'm')]).toEqual(['3 L', '4 R', '0']);
    expect([speedNumber(44.704, 'yd'), speedNumber(44.704, 'm')]).toEqual(['100.0', '44.7']);
    expect([plusMinusWords(1.8288, 'yd'), plusMinusWords(undefined, 'yd')]).toEqual(['±2.0', '']);
  });
  it('a strike’s columns', () => {
    const whole = {
      clubSpeedMps: undefined,
      ballSpeedMps: 44.704,
      launchDeg: 16.25,
      azimuthDeg: 0,
      spinRpm: 7001.4,
      spinAxisDeg: 0,
      carryM: 91.44,
      totalM: 96.012,
      offlineM: -1.8288,
      apexM: 30.48,
      descentDeg: 48.4,
      modelled: [],
      isSideKnown: true,
      atBaseline: { carryM: 0, totalM: 0, offlineM: 0, apexM: 0, descentDeg: 0, firmGreenRunM: 4 },
    };
    expect(strikeColumns('yd').map(({ head, show }) => `${head} ${show(whole, {})}`)).toEqual([
      'Carry yd 100.0',
      'Total yd 105.0',
      'Side 2 L',
      'Ball mph 100.0',
      'Launch 16.3°',
      'Spin 7001',
      'Apex ft 100',
      'Lands 48°',
    ]);
    // What only a device tells has a column where it told it of any ball.
    const strikes = [{ given: { clubSpeedMps: 30, ballSpeedMps: 43.5, attackDeg: -3.25 } }, { given: {} }];
    expect(
      strikes.map(({ given }) =>
        clubColumns(strikes).map(({ head, show }) => `${head} ${show(whole, given)}`),
      ),
    ).toEqual([
      ['Smash 1.45', 'Attack -3.3°'],
      ['Smash –', 'Attack –'],
    ]);
    expect(clubColumns([{ given: { ballSpeedMps: 43.5 } }])).toEqual([]);
  });
});

describe('the view from above', () => {
  it('shows every ball where it landed, left up, and an ellipse about them that is inside the picture', () => {
    const xs = [91.44, 96.012, 100.584, 93, 97],
      ys = [-9.144, 0, 4.572, 2, -3];
    const { series, xAxis, yAxis } = landingView([{ name: '7 iron', xs, ys }], 'yd', INK);
    expect(series[0]!.data).toEqual([
      [100, -10],
      [105, 0],
      [110, 5],
      [101.7, 2.2],
      [106.1, -3.3],
    ]);
    expect(yAxis.inverse).toBe(true);
    const outline = series[1]!.data as [number, number][];
    expect(outline.length).toBeGreaterThan(30);
    const room = xAxis as { min: number; max: number };
    for (const [x, y] of outline) {
      expect(x).toBeGreaterThanOrEqual(room.min);
      expect(x).toBeLessThanOrEqual(room.max);
      expect(Math.abs(y)).toBeLessThanOrEqual(yAxis.max);
    }
  });
  it('with two balls has no ellipse, and with none does not fall over', () => {
    expect(landingView([{ name: 'x', xs: [100, 101], ys: [0, 1] }], 'm', INK).series[1]!.data).toEqual([]);
    expect(landingView([], 'm', INK).series).toEqual([]);
  });
  it('average flights are drawn in yards and feet', () => {
    const flight = Float64Array.from([0, 0, 45.72, 15.24, 91.44, 0]);
    const chart = averageFlights(
      [
        { name: 'a', path: flight },
        { name: 'b', path: flight },
      ],
      'yd',
      INK,
    );
    const lines = chart.series.filter((one) => 'smooth' in one);
    // Each name has a row of its own over where its ball lands, above every flight.
    const names = chart.series.filter((one) => one.type === 'scatter').map(({ data }) => data[0] as number[]);
    expect(names.map(([x]) => x)).toEqual([100, 100]);
    expect(new Set(names.map(([, y]) => y)).size).toBe(2);
    for (const [, y] of names) expect(y).toBeGreaterThan(60);
    expect(lines[0]!.data).toEqual([
      [0, 0],
      [50, 50],
      [100, 0],
    ]);
  });
});
