import { HOLE_WORDS } from './heads-in-other-languages.js';
import type { Scorecard } from './scorecard.js';

/** "Hole 1 par 4 350", "1: par 4, 350m", "#1 Par 4 412 yds": what a line of a message says of a hole. */
const HOLE_LINE = new RegExp(
  `^(?:(?:${HOLE_WORDS})\\b|h|#)? ?(\\d{1,2}) ?[.:),-]? ?par ?(\\d)(?: ?[,;:-])? (\\d{2,3}) ?(m|metres?|meters?|y|yds?|yards?)?$`,
  'iu',
);
/** "1 4 350 7": the hole, its par, its length, and a stroke index that is not read. */
const BARE_LINE = /^(\d{1,2})[ ,;]+([3-6])[ ,;]+(\d{2,3})(?:[ ,;]+(\d{1,2}))?$/;
/** Fewer lines of bare numbers may be anything. */
const MIN_BARE_LINES = 6;
const MIN_LINES = 2;
const MAX_LINES = 200;

/** The holes of a message that says one a line, in words or in bare numbers; undefined where it is none. */
export function cardOfLines(text: string): Scorecard | undefined {
  const lines = text
    .split('\n', MAX_LINES)
    .map((line) => line.trim().split(/\s+/).join(' '))
    .filter((line) => line !== '');
  return inWords(lines) ?? inNumbers(lines);
}

function inWords(lines: readonly string[]): Scorecard | undefined {
  const holes = lines.flatMap((line) => {
    const [, hole, par, length, unit = ''] = HOLE_LINE.exec(line) ?? [];
    return hole === undefined ? [] : [{ cells: [hole, par!, length!], unit: unit.toLowerCase().slice(0, 1) }];
  });
  const [first] = holes;
  // Lines in two units are left to be written again.
  if (!first || holes.length < MIN_LINES || holes.some(({ unit }) => unit !== first.unit)) return undefined;
  const named = first.unit === '' ? '' : ` [${first.unit === 'm' ? 'm' : 'yd'}]`;
  return { heads: ['Hole', 'Par', `Tee${named}`], rows: holes.map(({ cells }) => cells) };
}

function inNumbers(lines: readonly string[]): Scorecard | undefined {
  const read = lines.map((line) => BARE_LINE.exec(line)?.slice(1, 4));
  const rows = read.filter((row) => row !== undefined);
  const isCounted = rows.every(([hole], i) => Number(hole) === Number(rows[0]![0]) + i);
  if (rows.length < MIN_BARE_LINES || rows.length < lines.length || !isCounted) return undefined;
  return { heads: ['Hole', 'Par', 'Tee'], rows };
}
