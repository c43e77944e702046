import { describe, expect, it } from 'vitest';
import { drawChart, type ChartOption } from '../../src/flight/draw-chart';
import { chartFrame, type ChartInk } from '../../src/flight/flight-charts';
import { averageFlights, landingView } from '../../src/range/range-charts';

const ink: ChartInk = {
  ink: '#000000',
  quiet: '#666666',
  line: '#dddddd',
  linen: '#ffffff',
  lines: ['#111111', '#222222', '#333333', '#444444', '#555555', '#666666'],
};
const balls = (name: string, count: number) => ({
  name,
  xs: Array.from({ length: count }, (_one, i) => 150 + (i % 7)),
  ys: Array.from({ length: count }, (_one, i) => (i % 5) - 2),
});
function picture(option: ChartOption, widthPx = 480): SVGSVGElement {
  const page = document.createElement('div');
  page.innerHTML = drawChart(option, widthPx, 300);
  return page.querySelector('svg')!;
}
const words = (svg: SVGSVGElement) => [...svg.querySelectorAll('text')].map((text) => text.textContent);
const axes = (yAxis: object): ChartOption => {
  const frame = chartFrame(ink, 'metres', 'left');
  return { ...frame, yAxis: { ...frame.yAxis, min: -20, max: 20, interval: 10, ...yAxis }, series: [] };
};

describe('a chart is drawn without a page', () => {
  it('as large as it is asked, in the colours and the words it was given', () => {
    const svg = picture(landingView([balls('7 iron', 12), balls('8 iron', 12)], 'm', ink), 640);
    expect([svg.getAttribute('width'), svg.getAttribute('height')]).toEqual(['640', '300']);
    expect(words(svg)).toEqual(expect.arrayContaining(['7 iron', '8 iron', 'carry, metres', 'left']));
    const dots = [...svg.querySelectorAll('path')].filter((path) => path.getAttribute('fill') === '#111111');
    expect(dots.length).toBeGreaterThanOrEqual(12);
  });

  it('a name is text, whatever is in it', () => {
    const svg = picture(landingView([balls('<img src=x onerror=alert(1)> & "7"', 12)], 'm', ink));
    expect(svg.querySelector('img, image, script')).toBeNull();
    expect(words(svg)).toContain('<img src=x onerror=alert(1)> & "7"');
  });

  it('hundreds of balls of one club are one shape, not an element each', () => {
    const few = picture(landingView([balls('7 iron', 12)], 'm', ink)).querySelectorAll('path').length;
    const many = picture(landingView([balls('7 iron', 2000)], 'm', ink)).querySelectorAll('path').length;
    expect(many).toBeLessThan(few);
  });

  it('its axes show the numbers asked for: without a sign, and none outside', () => {
    const label = (numbers: object) => ({ axisLabel: { color: '#666666', numbers } });
    const left = (option: ChartOption) => words(picture(option)).filter((word) => /^-?\d+$/.test(word));
    expect(left(axes({}))).toEqual(expect.arrayContaining(['-20', '-10', '0', '10', '20']));
    const absolute = left(axes(label({ isAbsolute: true })));
    expect(absolute.filter((word) => word === '20')).toHaveLength(2);
    expect(absolute.some((word) => word.startsWith('-'))).toBe(false);
    expect(left(axes(label({ from: -10 })))).not.toContain('-20');
    expect(left(axes(label({ to: 10 })))).not.toContain('20');
  });

  it('what is to be drawn can be sent to a worker', () => {
    const path = Float64Array.from([0, 0, 75, 30, 150, 0]);
    for (const option of [
      landingView([balls('7 iron', 12)], 'yd', ink),
      averageFlights([{ name: '7 iron', path }], 'yd', ink),
    ])
      expect(structuredClone(option)).toEqual(option);
  });
});
