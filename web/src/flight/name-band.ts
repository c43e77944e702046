/** Names of many flights, in rows above a chart, each over where its ball lands. */
interface NamedEnd {
  name: string;
  /** On the chart's axis of distances. */
  at: number;
}

/** Pixels of a row of names, and of a letter in it. */
const ROW_PX = 14;
const LETTER_PX = 6.2;
const GAP_PX = 8;
/** More rows would leave no room for the flights: names that fit in none are left out. */
const MAX_ROWS = 4;

/**
 * The row of each name, from the bottom up, so that none covers another; undefined where no row has room.
 * @param pxPerUnit how wide a unit of distance is drawn
 */
export function nameRows(ends: readonly NamedEnd[], pxPerUnit: number): (number | undefined)[] {
  const rightOf: number[] = [];
  const rows = new Map<NamedEnd, number>();
  for (const end of ends.toSorted((a, b) => a.at - b.at)) {
    const half = (end.name.length * LETTER_PX) / 2;
    const left = end.at * pxPerUnit - half;
    const free = rightOf.findIndex((right) => right + GAP_PX <= left);
    const row = free === -1 ? rightOf.length : free;
    if (row >= MAX_ROWS) continue;
    rightOf[row] = left + half * 2;
    rows.set(end, row);
  }
  return ends.map((end) => rows.get(end));
}

/**
 * The band as series of a chart, and how high it is, in whole steps of the axis, whose marks begin at its end.
 * @param top where the band begins, on the axis upwards
 * @param step between two marks of that axis
 * @param plotPx how high the plot is with the band
 * @param footOf where a name's line ends, on the same axis
 * @param up 1 where the axis rises upwards, -1 where it falls
 */
export function nameBand(
  ends: readonly NamedEnd[],
  {
    top,
    step,
    plotPx,
    pxPerUnit,
    footOf,
    up,
    colours,
  }: {
    top: number;
    step: number;
    plotPx: number;
    pxPerUnit: number;
    footOf: (i: number) => number;
    up: 1 | -1;
    colours: { name: string; line: string };
  },
) {
  const rows = nameRows(ends, pxPerUnit);
  const bandPx = (Math.max(-1, ...rows.map((row) => row ?? -1)) + 1) * ROW_PX;
  // The band takes its pixels from the plot: a pixel is more of the axis with it than without.
  const heightOf = (whole: number) =>
    Math.ceil((whole * bandPx) / Math.max(1, plotPx - bandPx) / step) * step;
  return {
    /** How much longer the axis is for the band, where it is `whole` long without. */
    heightOf,
    seriesIn: (whole: number) => {
      const perPx = (whole + heightOf(whole)) / plotPx;
      const yOf = (row: number) => up * (top + (row + 0.5) * ROW_PX * perPx);
      return ends.flatMap(({ name, at }, i) => {
        const row = rows[i];
        if (row === undefined) return [];
        return [
          {
            type: 'line' as const,
            data: [
              [at, footOf(i)],
              [at, up * (top + row * ROW_PX * perPx)],
            ],
            showSymbol: false,
            silent: true,
            lineStyle: { color: colours.line, width: 1 },
            z: 1,
          },
          {
            type: 'scatter' as const,
            data: [[at, yOf(row)]],
            symbolSize: 0.1,
            silent: true,
            label: {
              show: true,
              formatter: name,
              position: 'inside' as const,
              color: colours.name,
              fontSize: 11,
            },
          },
        ];
      });
    },
  };
}
