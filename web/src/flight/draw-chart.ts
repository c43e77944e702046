import { LineChart, ScatterChart } from 'echarts/charts';
import { GridComponent, MarkPointComponent } from 'echarts/components';
import { init, use } from 'echarts/core';
import { LabelLayout } from 'echarts/features';
import { SVGRenderer } from 'echarts/renderers';

use([LineChart, ScatterChart, GridComponent, MarkPointComponent, LabelLayout, SVGRenderer]);

/** Which numbers stand along an axis, and how. */
interface AxisNumbers {
  /** None below it. */
  from?: number;
  /** None above it. */
  to?: number;
  /** Without their sign: left and right of a line are both so far from it. */
  isAbsolute?: boolean;
}

interface ChartAxis {
  axisLabel: { color: string; numbers?: AxisNumbers };
  [part: string]: unknown;
}

/** What ECharts is to draw. It goes to a worker, so it holds no functions. */
export interface ChartOption {
  xAxis: ChartAxis;
  yAxis: ChartAxis;
  series: readonly object[];
  [part: string]: unknown;
}

function axisOf({ axisLabel: { numbers, ...label }, ...axis }: ChartAxis): object {
  if (!numbers) return { ...axis, axisLabel: label };
  const { from = -Infinity, to = Infinity, isAbsolute = false } = numbers;
  const formatter = (value: number) =>
    value < from || value > to ? '' : String(isAbsolute ? Math.abs(value) : value);
  return { ...axis, axisLabel: { ...label, formatter } };
}

/**
 * A chart as the text of an SVG picture. It needs no page, so it can be drawn by a worker.
 * @param widthPx its width in CSS pixels, above 0, as its height is
 */
export function drawChart(option: ChartOption, widthPx: number, heightPx: number): string {
  const chart = init(null, null, { renderer: 'svg', ssr: true, width: widthPx, height: heightPx });
  try {
    chart.setOption({ ...option, xAxis: axisOf(option.xAxis), yAxis: axisOf(option.yAxis) });
    return chart.renderToSVGString();
  } finally {
    chart.dispose();
  }
}
