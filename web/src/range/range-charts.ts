import { ellipseOf, ellipseOutline, fromMetres, holdingScale, type DistanceUnit } from '@tasche/core';
import {
  FRAME_PX,
  bandedFrame,
  chartFrame,
  colourOf,
  rulers,
  type ChartInk,
  type Point,
} from '../flight/flight-charts';
import { nameBand } from '../flight/name-band';
import { heightUnit } from './strike-units';

/** Balls of one name, by where they landed. Metres along and right of the line. */
interface Landings {
  name: string;
  xs: readonly number[];
  ys: readonly number[];
}

const SYMBOLS = ['circle', 'diamond', 'triangle', 'rect', 'pin', 'roundRect'] as const;

/** More landing points of one club are not drawn one by one. */
const MAX_SINGLE = 300;

/** The share of balls to come that the drawn ellipse is meant to hold. */
export const HELD_SHARE = 0.8;

/** A name on a chart stands clear of the lines it lies on. */
const haloed = (ink: ChartInk) => ({ color: ink.ink, textBorderColor: ink.linen, textBorderWidth: 4 });

/**
 * Where balls landed, from above: each a dot, and the ellipse that is to hold eight of the next ten. Left of
 * the line is up.
 */
export function landingView(all: readonly Landings[], unit: DistanceUnit, ink: ChartInk) {
  const far = (metres: number) => Math.round(fromMetres(metres, unit) * 10) / 10;
  const xs = all.flatMap((one) => one.xs);
  const outlines = all.map(({ xs: carries, ys }) => {
    const ellipse = ellipseOf(carries, ys);
    return ellipse
      ? ellipseOutline(ellipse, holdingScale(carries.length, HELD_SHARE)).map(([x, y]): Point => [
          far(x),
          far(y),
        ])
      : [];
  });
  const reach = Math.max(
    10,
    ...all.flatMap(({ ys }) => ys.map((y) => Math.abs(far(y)) * 1.1)),
    ...outlines.flat().map(([, y]) => Math.abs(y) * 1.15),
  );
  const along = [...xs.map(far), ...outlines.flat().map(([x]) => x)];
  const [min, max] = [Math.min(...along, Infinity), Math.max(...along, -Infinity)];
  const series = all.flatMap(({ name, xs: carries, ys }, i) => {
    const colour = colourOf(i, all.length, ink);
    const outline = outlines[i]!;
    // Neighbours are named at opposite ends, or their names would lie on each other.
    const below = i % 2 === 1;
    const end = outline.reduce<Point | undefined>(
      (best, point) => (!best || point[1] < best[1] !== below ? point : best),
      undefined,
    );
    return [
      {
        name,
        type: 'scatter' as const,
        data: carries.map((x, k): Point => [far(x), far(ys[k]!)]),
        // Told apart by shape too: not everyone can tell colours apart.
        symbol: SYMBOLS[i % SYMBOLS.length]!,
        symbolSize: 8,
        itemStyle: { color: colour, opacity: 0.6 },
        // Drawn in one go: a thousand of them one by one would block the page.
        large: carries.length > MAX_SINGLE,
        largeThreshold: MAX_SINGLE,
      },
      {
        name,
        type: 'line' as const,
        data: outline,
        showSymbol: false,
        lineStyle: { color: colour, width: 1.6, type: 'dashed' as const },
        itemStyle: { color: colour },
        markPoint: {
          symbol: 'circle',
          symbolSize: 1,
          data: end ? [{ coord: end }] : [],
          label: {
            show: true,
            position: below ? ('bottom' as const) : ('top' as const),
            distance: 3,
            ...haloed(ink),
            formatter: name,
          },
        },
      },
    ];
  });
  const base = chartFrame(ink, unit === 'yd' ? 'carry, yards' : 'carry, metres', 'left');
  const room = Number.isFinite(min)
    ? { min: Math.floor((min - 5) / 10) * 10, max: Math.ceil((max + 5) / 10) * 10 }
    : {};
  return {
    ...base,
    xAxis: { ...base.xAxis, ...room },
    yAxis: {
      ...base.yAxis,
      inverse: true,
      nameLocation: 'start' as const,
      min: -Math.ceil(reach / 10) * 10,
      max: Math.ceil(reach / 10) * 10,
      axisLabel: { color: ink.quiet, numbers: { isAbsolute: true } },
    },
    series,
  };
}

/** The flights of average launches, from the side. */
export function averageFlights(
  all: readonly { name: string; path: Float64Array }[],
  unit: DistanceUnit,
  ink: ChartInk,
  widthPx = USUAL_PX.width,
) {
  const height = heightUnit(unit);
  const step = HEIGHT_STEP[height];
  const paths = all.map(({ path }) => {
    const points: Point[] = [];
    for (let k = 0; k < path.length; k += 2)
      points.push([
        Math.round(fromMetres(path[k]!, unit) * 10) / 10,
        Math.round(fromMetres(path[k + 1]!, height) * 10) / 10,
      ]);
    return points;
  });
  const series = paths.map((data, i) => ({
    name: all[i]!.name,
    type: 'line' as const,
    data,
    showSymbol: false,
    smooth: 0.3,
    lineStyle: { color: colourOf(i, all.length, ink), width: 1.8 },
    itemStyle: { color: colourOf(i, all.length, ink) },
  }));
  const base = chartFrame(ink, unit === 'yd' ? 'yards' : 'metres', height);
  const every = paths.flat();
  const reach = Math.ceil((Math.max(1, ...every.map(([x]) => x)) + 10) / 50) * 50;
  const top = Math.ceil((Math.max(1, ...every.map(([, y]) => y)) * 1.05) / step) * step;
  // Each name stands over where its ball lands, in a band above: none lies on a flight.
  const band = nameBand(
    paths.map((points, i) => ({ name: all[i]!.name, at: points.at(-1)?.[0] ?? 0 })),
    {
      top,
      step,
      plotPx: USUAL_PX.height - FRAME_PX.height,
      pxPerUnit: (widthPx - FRAME_PX.width) / reach,
      footOf: () => 0,
      up: 1,
      colours: { name: ink.ink, line: ink.line },
    },
  );
  return {
    ...bandedFrame(base, reach, top, band.heightOf(top), step, ink),
    series: [...rulers(0, top, step, reach, ink), ...series, ...band.seriesIn(top)],
  };
}

/** Half the page, and the steps of its heights, in the reader's units. */
const USUAL_PX = { width: 480, height: 300 };
const HEIGHT_STEP = { ft: 20, m: 5 } as const;
