import { fromMetres, type DistanceUnit } from '@tasche/core';
import { tokensFor } from '../app/tokens';
import type { FlightTrace } from '../conditions/conditions-worker';
import { nameBand } from './name-band';

/** A flight with its club's name, as a chart shows it. */
export interface NamedTrace {
  name: string;
  trace: FlightTrace;
}

/** The workbench's colours as they are now, for charts that know no style sheets. */
export interface ChartInk {
  ink: string;
  quiet: string;
  line: string;
  linen: string;
  lines: readonly string[];
}

export function chartInk(dark: boolean): ChartInk {
  const { ink, quiet, line, linen, petrol, brass, brick, plum, olive } = tokensFor(dark);
  return { ink, quiet, line, linen, lines: [petrol, brass, brick, plum, olive, quiet] };
}

export type Point = [number, number];

/** Up to this many flights have room for thick lines and every shot. */
const FEW = 4;

/** More flights than there are colours share one, and are told apart by their names. */
export function colourOf(i: number, of: number, ink: ChartInk): string {
  return of <= ink.lines.length ? ink.lines[i % ink.lines.length]! : ink.lines[0]!;
}

/**
 * One deviation about the mean of a spread's landing points: the ellipse of their covariance, along and across.
 */
export function landingEllipse(shots: Float64Array, steps = 48): Point[] {
  const count = shots.length / 3;
  let [x, z] = [0, 0];
  for (let i = 0; i < count; i++) {
    x += shots[i * 3]! / count;
    z += shots[i * 3 + 1]! / count;
  }
  let [xx, xz, zz] = [0, 0, 0];
  for (let i = 0; i < count; i++) {
    const [dx, dz] = [shots[i * 3]! - x, shots[i * 3 + 1]! - z];
    xx += (dx * dx) / (count - 1);
    xz += (dx * dz) / (count - 1);
    zz += (dz * dz) / (count - 1);
  }
  // The factor of Cholesky turns a circle into the ellipse.
  const a = Math.sqrt(xx),
    b = a > 0 ? xz / a : 0,
    c = Math.sqrt(Math.max(0, zz - b * b));
  return Array.from({ length: steps + 1 }, (_one, i) => {
    const turn = (i / steps) * 2 * Math.PI;
    return [x + a * Math.cos(turn), z + b * Math.cos(turn) + c * Math.sin(turn)];
  });
}

export function chartFrame(ink: ChartInk, xName: string, yName: string) {
  const axis = {
    nameTextStyle: { color: ink.quiet },
    axisLabel: { color: ink.quiet },
    axisLine: { lineStyle: { color: ink.quiet } },
    splitLine: { lineStyle: { color: ink.line, opacity: 0.6 } },
  };
  return {
    animation: false,
    textStyle: { fontFamily: 'IBM Plex Sans', fontSize: 12.5 },
    grid: { left: 46, right: 26, top: 28, bottom: 34 },
    xAxis: {
      type: 'value' as const,
      name: xName,
      nameLocation: 'middle' as const,
      nameGap: 22,
      min: 0,
      ...axis,
      splitLine: { show: false },
    },
    yAxis: {
      type: 'value' as const,
      name: yName,
      nameGap: 10,
      ...axis,
      nameTextStyle: { color: ink.quiet, align: 'left' as const },
    },
  };
}

/** Heights over distance: the flight, its apex, and the run along the ground to where the ball stops. */
export function sideView(
  flights: readonly NamedTrace[],
  unit: DistanceUnit,
  ink: ChartInk,
  { widthPx, heightPx }: ChartSize = USUAL_SIZE,
) {
  const height = unit === 'yd' ? 'ft' : 'm';
  const far = (metres: number) => Math.round(fromMetres(metres, unit) * 10) / 10;
  const up = (metres: number) => Math.round(fromMetres(metres, height) * 10) / 10;
  const series = flights.flatMap(({ name, trace }, i) => {
    const colour = colourOf(i, flights.length, ink);
    const points: Point[] = [];
    for (let k = 0; k < trace.path.length; k += 3) points.push([far(trace.path[k]!), up(trace.path[k + 1]!)]);
    const land = points.at(-1)!;
    const top = points.reduce((best, point) => (point[1] > best[1] ? point : best), land);
    const few = flights.length <= FEW;
    return [
      {
        name,
        type: 'line' as const,
        data: points,
        showSymbol: false,
        smooth: 0.3,
        lineStyle: { color: colour, width: few ? 2.4 : 1.4 },
        itemStyle: { color: colour },
        emphasis: { focus: 'series' as const, lineStyle: { width: 3.4 } },
        triggerLineEvent: true,
        markPoint: {
          symbol: 'circle',
          symbolSize: 5,
          silent: true,
          itemStyle: { color: colour },
          label: {
            show: few,
            position: 'top' as const,
            color: ink.ink,
            formatter: `${name} ${Math.round(up(trace.moved.apexM))} ${height}`,
          },
          data: [{ coord: top }],
        },
      },
      {
        name,
        type: 'line' as const,
        symbol: 'circle',
        data: [
          { value: land, symbolSize: 0 },
          { value: [far(trace.moved.carryM + trace.moved.runM), land[1]], symbolSize: 5 },
        ],
        showSymbol: true,
        lineStyle: { color: colour, width: few ? 2.4 : 1.4, type: 'dotted' as const },
        itemStyle: { color: colour },
        emphasis: { focus: 'series' as const },
      },
    ];
  });
  const base = chartFrame(ink, unit === 'yd' ? 'yards' : 'metres', height);
  if (flights.length <= FEW) return { ...base, series };
  const reach = reachOf(flights, unit);
  const top =
    Math.ceil((Math.max(1, ...flights.map(({ trace }) => up(trace.moved.apexM))) * 1.05) / SIDE_STEP) *
    SIDE_STEP;
  const band = nameBand(landings(flights, unit), {
    top,
    step: SIDE_STEP,
    plotPx: heightPx - FRAME_PX.height,
    pxPerUnit: (widthPx - FRAME_PX.width) / reach,
    footOf: () => 0,
    up: 1,
    colours: { name: ink.quiet, line: ink.line },
  });
  return {
    ...bandedFrame(base, reach, top, band.heightOf(top), SIDE_STEP, ink),
    series: [...rulers(SIDE_STEP, top, SIDE_STEP, reach, ink), ...series, ...band.seriesIn(top)],
  };
}

/** The frame of a view from the side with a band of names above it, whose axis has no marks in the band. */
export function bandedFrame(
  base: ReturnType<typeof chartFrame>,
  reach: number,
  top: number,
  bandHeight: number,
  step: number,
  ink: ChartInk,
) {
  return {
    ...base,
    xAxis: { ...base.xAxis, max: reach },
    yAxis: {
      ...base.yAxis,
      max: top + bandHeight,
      interval: step,
      axisLabel: { color: ink.quiet, numbers: { to: top } },
      splitLine: { show: false },
      axisTick: { show: false },
    },
  };
}

/** Steps of the axes of many flights, in the reader's units: heights, and distances from the line. */
const SIDE_STEP = 20;
const ABOVE_STEP = 10;

/** Lines across a chart up to where its names begin, which no axis can leave out. */
export function rulers(from: number, to: number, step: number, reach: number, ink: ChartInk) {
  return Array.from({ length: Math.floor((to - from) / step) + 1 }, (_one, i) => ({
    type: 'line' as const,
    data: [
      [0, from + i * step],
      [reach, from + i * step],
    ],
    showSymbol: false,
    silent: true,
    lineStyle: { color: ink.line, width: 1, opacity: 0.6 },
    z: 0,
  }));
}

/** A chart's size on the page. Pixels. */
interface ChartSize {
  widthPx: number;
  heightPx: number;
}
const USUAL_SIZE: ChartSize = { widthPx: 1140, heightPx: 270 };
/** What of a chart is its frame. Pixels. */
export const FRAME_PX = { width: 46 + 26, height: 28 + 34 };

/** Where the axis of distances ends: the farthest ball, rolled out, on a whole fifty. */
function reachOf(flights: readonly NamedTrace[], unit: DistanceUnit): number {
  const farthest = Math.max(...flights.map(({ trace }) => trace.moved.carryM + trace.moved.runM));
  return Math.ceil((fromMetres(farthest, unit) + 10) / 50) * 50;
}

function landings(flights: readonly NamedTrace[], unit: DistanceUnit) {
  return flights.map(({ name, trace }) => ({
    name,
    at: Math.round(fromMetres(trace.moved.carryM, unit) * 10) / 10,
  }));
}

/** From above: drift, landing points and their ellipse. Left of the line is up, as one looks down it. */
export function viewFromAbove(
  flights: readonly NamedTrace[],
  unit: DistanceUnit,
  ink: ChartInk,
  { widthPx, heightPx }: ChartSize = USUAL_SIZE,
) {
  const far = (metres: number) => Math.round(fromMetres(metres, unit) * 10) / 10;
  const few = flights.length <= FEW;
  const reach = Math.max(
    8,
    ...flights.flatMap(({ trace }) =>
      (few
        ? Array.from(trace.spread.shots).filter((_v, i) => i % 3 === 1)
        : landingEllipse(trace.spread.shots).map(([, z]) => z)
      ).map((z) => Math.abs(far(z)) * 1.1),
    ),
  );
  const series = flights.flatMap(({ name, trace }, i) => {
    const colour = colourOf(i, flights.length, ink);
    const line: Point[] = [];
    for (let k = 0; k < trace.path.length; k += 3) line.push([far(trace.path[k]!), far(trace.path[k + 2]!)]);
    const { shots } = trace.spread;
    const dots = few
      ? Array.from({ length: shots.length / 3 }, (_one, k): Point => [
          far(shots[k * 3]!),
          far(shots[k * 3 + 1]!),
        ])
      : [];
    return [
      {
        name,
        type: 'line' as const,
        data: line,
        showSymbol: false,
        smooth: 0.3,
        lineStyle: { color: colour, width: few ? 2.2 : 1.2 },
        itemStyle: { color: colour },
        emphasis: { focus: 'series' as const },
        endLabel: {
          show: few,
          formatter: name,
          color: ink.ink,
          fontSize: 12.5,
          distance: 8,
          offset: [0, i % 2 === 1 ? 11 : -9],
        },
        labelLayout: { hideOverlap: true },
      },
      {
        name,
        type: 'scatter' as const,
        data: dots,
        symbolSize: 3.5,
        itemStyle: { color: colour, opacity: 0.35 },
        silent: true,
      },
      {
        name,
        type: 'line' as const,
        data: landingEllipse(shots).map(([x, z]): Point => [far(x), far(z)]),
        showSymbol: false,
        lineStyle: { color: colour, width: 1.4, type: 'dashed' as const },
        itemStyle: { color: colour },
        emphasis: { focus: 'series' as const },
      },
    ];
  });
  const base = chartFrame(ink, unit === 'yd' ? 'yards' : 'metres', 'left');
  const half = few ? Math.ceil(reach / 5) * 5 : Math.ceil(reach / ABOVE_STEP) * ABOVE_STEP;
  const farthest = reachOf(flights, unit);
  const band = few
    ? undefined
    : nameBand(landings(flights, unit), {
        top: half,
        step: ABOVE_STEP,
        plotPx: heightPx - FRAME_PX.height,
        pxPerUnit: (widthPx - FRAME_PX.width) / farthest,
        footOf: (i) => Math.min(...landingEllipse(flights[i]!.trace.spread.shots).map(([, z]) => far(z))),
        up: -1,
        colours: { name: ink.quiet, line: ink.line },
      });
  return {
    ...base,
    ...(!few && { xAxis: { ...base.xAxis, max: farthest } }),
    yAxis: {
      ...base.yAxis,
      inverse: true,
      nameLocation: 'start' as const,
      min: -half - (band?.heightOf(2 * half) ?? 0),
      max: half,
      ...(band && { interval: ABOVE_STEP, axisTick: { show: false } }),
      axisLabel: { color: ink.quiet, numbers: { from: -half, isAbsolute: true } },
      ...(band && { splitLine: { show: false } }),
    },
    series: [
      ...(band ? rulers(-half, half, ABOVE_STEP, farthest, ink) : []),
      ...series,
      ...(band?.seriesIn(2 * half) ?? []),
    ],
  };
}
