import {
  BASELINE,
  MEDIUM_FAIRWAY,
  airsOf,
  compareBuilds,
  completeStrike,
  crossingOf,
  type BuildParts,
  type Crossing,
} from '@tasche/core';
import { mount } from '@vue/test-utils';
import { describe, expect, it } from 'vitest';
import BuildPicker from '../../src/compare/BuildPicker.vue';
import BuildTable from '../../src/compare/BuildTable.vue';
import CrossingGrid from '../../src/compare/CrossingGrid.vue';
import IntervalBars from '../../src/compare/IntervalBars.vue';

const HERE = { conditions: BASELINE, surface: MEDIUM_FAIRWAY };
const PLACES = airsOf(HERE, HERE);
const MARGINS = { carryM: 3, apexM: 2, spinRpm: 300 };

function build(id: string, ballSpeedMps: number, parts: BuildParts = {}, isMeasured = true) {
  const strikes = [-0.6, 0, 0.6, 0.3].map((off) =>
    completeStrike(
      isMeasured
        ? {
            ballSpeedMps: ballSpeedMps + off,
            launchDeg: 14 + off,
            spinRpm: 5000 + 300 * off,
            azimuthDeg: off,
            spinAxisDeg: 0,
          }
        : { carryM: 200 + 4 * off },
      { kind: 'fairway', loftDeg: 18 },
      PLACES,
    ),
  );
  return { id, name: id, parts, strikes };
}
const plainText = (view: { text: () => string }) => view.text().replace(/\s+/g, ' ');

describe('builds side by side', () => {
  const builds = [build('old', 62), build('new', 64), build('typed', 0, {}, false)];
  const { summaries } = compareBuilds(builds, 'holds');
  const table = () =>
    mount(BuildTable, {
      props: {
        summaries,
        answer: { points: [{ id: 'new', xs: [], ys: [], outliers: 2 }], strokes: [] },
        names: new Map(builds.map(({ id, name }) => [id, name])),
        unit: 'm' as const,
      },
    });

  it('each has its total with its spread, its descent and, where its launches were measured, its run', () => {
    const rows = table()
      .findAll('tbody tr')
      .map((row) => row.findAll('th, td').map(plainText).join(' | '));
    expect(rows[0]).toMatch(/^old \| 4 \| \d+\.\d ?±\d+\.\d \| \d+ spread \d+\.\d/);
    expect(rows[0]).toMatch(/\d+°, \d+/);
    expect(rows[1]).toContain('◆2');
    expect(rows[2]).toMatch(/\d+°, –/);
  });

  it('another can be made the one the rest are compared with', async () => {
    const view = table();
    const buttons = view.findAll('button').filter((button) => button.text() === 'make first');
    expect(buttons).toHaveLength(2);
    await buttons[1]!.trigger('click');
    expect(view.emitted('first')).toEqual([['typed']]);
  });

  it('are ordered by a head', async () => {
    const view = table();
    const carries = () =>
      view.findAll('tbody tr').map((row) => Number.parseFloat(row.findAll('td')[2]!.text()));
    await view.get('button[aria-label="Carry: order"]').trigger('click');
    expect(carries()).toEqual(carries().toSorted((a, b) => a - b));
    await view.get('button[aria-label="Carry, ascending: order"]').trigger('click');
    expect(carries()).toEqual(carries().toSorted((a, b) => b - a));
    expect(new Set(carries()).size).toBeGreaterThan(1);
  });
});

describe('heads by shafts', () => {
  const parts = (head: string, shaft: string) => ({ head, shaft });
  const all = [
    build('a', 60, parts('Kvarn', 'Siv')),
    build('b', 61, parts('Kvarn', 'Rohr')),
    build('c', 64, parts('Halm', 'Siv')),
    build('d', 65, parts('Halm', 'Rohr')),
  ];
  const grid = (crossing: Crossing) =>
    mount(CrossingGrid, {
      props: { crossing, measure: 'carryM' as const, label: 'Longest', unit: 'm' as const },
    });

  it('shows every pair, and what each part does where all were hit', () => {
    const text = plainText(grid(crossingOf(all, 'carryM')!));
    expect(text).toContain('Every head with every shaft');
    expect(text).toMatch(/head Halm against Kvarn: carry \+\d+\.\d m/);
    expect(text).toMatch(/shaft Rohr against Siv: carry/);
  });

  it('says why nothing is told where one was not', () => {
    const text = plainText(grid(crossingOf(all.slice(0, 3), 'carryM')!));
    expect(text).toContain('not hit');
    expect(text).toContain('once every cell of the grid has shots');
  });
});

describe('intervals', () => {
  it('are drawn against their margins, a descent has none', () => {
    const [pair] = compareBuilds([build('old', 62), build('new', 64)], 'holds').pairs;
    const view = mount(IntervalBars, {
      props: { differences: pair!.differences, margins: MARGINS, unit: 'yd', open: [] },
    });
    const text = plainText(view);
    expect(pair!.differences.map(({ part }) => part)).toContain('descentDeg');
    expect(text).toContain('run on a firm green');
    expect(text).toContain('margin 3.3 yd');
    expect(text).not.toContain('descent');
  });
});

describe('which builds', () => {
  it('no more than six are chosen, and a chosen one can be left again', () => {
    const builds = Array.from({ length: 7 }, (_one, i) => ({
      id: `b${i}`,
      clubId: `b${i}`,
      name: `build ${i}`,
      kind: 'iron' as const,
      parts: {},
      strikes: [],
      days: ['2026-11-01', '2026-11-02'] as const,
    }));
    const view = mount(BuildPicker, { props: { builds, chosen: builds.slice(0, 6) } });
    const buttons = view.findAll('button');
    expect(buttons.map((button) => button.attributes('aria-pressed'))).toEqual([
      ...Array<string>(6).fill('true'),
      'false',
    ]);
    expect(buttons[6]!.attributes('disabled')).toBeDefined();
    expect(buttons[0]!.attributes('disabled')).toBeUndefined();
  });
});
