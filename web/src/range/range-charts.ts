import { ellipseOf, ellipseOutline, fromMetres, holdingScale, type DistanceUnit } from '@tasche/core';
import { chartFrame, colourOf, type ChartInk, type Point } from '../flight/flight-charts';
import { heightUnit } from './strike-units';

/** Balls of one name, by where they landed. Metres along and right of the line. */
export interface Landings { name: string; xs: readonly number[]; ys: readonly number[] }

/** The share of balls to come that the drawn ellipse is meant to hold. */
export const HELD_SHARE = 0.8;

/** Where balls landed, from above: each a dot, and the ellipse that is to hold eight of the next ten. Left of the line is up. */
export function landingView(all: readonly Landings[], unit: DistanceUnit, ink: ChartInk) {
  const far = (metres: number) => Math.round(fromMetres(metres, unit) * 10) / 10;
  const xs = all.flatMap((one) => one.xs);
  const reach = Math.max(10, ...all.flatMap(({ ys }) => ys.map((y) => Math.abs(far(y)) * 1.15)));
  const [least, most] = [Math.min(...xs, Infinity), Math.max(...xs, -Infinity)];
  const series = all.flatMap(({ name, xs: along, ys }, i) => {
    const colour = colourOf(i, all.length, ink);
    const ellipse = ellipseOf(along, ys);
    const outline = ellipse ? ellipseOutline(ellipse, holdingScale(along.length, HELD_SHARE)).map(([x, y]): Point => [far(x), far(y)]) : [];
    const top = outline.reduce<Point | undefined>((best, point) => (!best || point[1] < best[1] ? point : best), undefined);
    return [
      { name, type: 'scatter' as const, data: along.map((x, k): Point => [far(x), far(ys[k]!)]), symbolSize: 7, itemStyle: { color: colour, opacity: 0.6 } },
      {
        name, type: 'line' as const, data: outline, showSymbol: false, lineStyle: { color: colour, width: 1.6, type: 'dashed' as const }, itemStyle: { color: colour },
        markPoint: { symbol: 'circle', symbolSize: 1, data: top ? [{ coord: top }] : [], label: { show: true, position: 'top' as const, distance: 3, color: ink.ink, formatter: name } },
      },
    ];
  });
  const base = chartFrame(ink, unit === 'yd' ? 'carry, yards' : 'carry, metres', 'left');
  const room = Number.isFinite(least) ? { min: Math.floor((far(least) - 12) / 10) * 10, max: Math.ceil((far(most) + 12) / 10) * 10 } : {};
  return {
    ...base, xAxis: { ...base.xAxis, ...room },
    yAxis: { ...base.yAxis, inverse: true, nameLocation: 'start' as const, min: -Math.ceil(reach / 5) * 5, max: Math.ceil(reach / 5) * 5, axisLabel: { color: ink.quiet, formatter: (value: number) => String(Math.abs(value)) } },
    series,
  };
}

/** The flights of average launches, from the side. */
export function averageFlights(all: readonly { name: string; path: Float64Array }[], unit: DistanceUnit, ink: ChartInk) {
  const height = heightUnit(unit);
  const series = all.map(({ name, path }, i) => {
    const colour = colourOf(i, all.length, ink);
    const points: Point[] = [];
    for (let k = 0; k < path.length; k += 2) points.push([Math.round(fromMetres(path[k]!, unit) * 10) / 10, Math.round(fromMetres(path[k + 1]!, height) * 10) / 10]);
    return {
      name, type: 'line' as const, data: points, showSymbol: false, smooth: 0.3, lineStyle: { color: colour, width: 1.8 }, itemStyle: { color: colour },
      endLabel: { show: true, formatter: name, color: ink.quiet, fontSize: 11, distance: 4 }, labelLayout: { moveOverlap: 'shiftY' as const },
    };
  });
  const base = chartFrame(ink, unit === 'yd' ? 'yards' : 'metres', height);
  return { ...base, grid: { ...base.grid, right: 60 }, series };
}
