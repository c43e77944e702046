import {
  TableError,
  daysInText,
  isBlankRow,
  monthOnly,
  slashedOrder,
  splitTable,
  readClock,
  zoneSchema,
  type WrittenDay,
} from '@tasche/contract';
import { daysBetween } from '@tasche/core';
import { courseNamed } from './course-named';
import { MAX_NAME, problemOfDays, type EventRow } from './event-row';

/** Longer lists are no season. */
export const MAX_LIST_CHARACTERS = 200_000;
const MAX_ROWS = 500;

interface EventListReading {
  /** YYYY-MM-DD; a date without a year is the next one of it. */
  today: string;
  /** "3/12" is the twelfth of March, where the list itself does not tell. */
  isMonthFirst: boolean;
  /** Names of the courses there are, by which one is known among the words of a line. */
  courses: readonly string[];
}

export interface EventList {
  rows: readonly EventRow[];
  /** Dates like "3/12" could be read either way. */
  isOrderGuessed: boolean;
  /** Lines above the first event that hold no date, and rows of a table that are other things. */
  ignored: readonly string[];
}

/**
 * The events of a list as people keep them: a line or a table row each, with its days, its name and perhaps its
 * course, in whatever order. A line that is a month or a year is of those below it.
 * @throws Error saying what the list is not
 */
export function readEventList(text: string, reading: EventListReading): EventList {
  if (text.length > MAX_LIST_CHARACTERS)
    throw new Error(`This list has ${text.length} characters; at most ${MAX_LIST_CHARACTERS} are read.`);
  const order = slashedOrder(text);
  const isMonthFirst = order === 'month first' || (order !== 'day first' && reading.isMonthFirst);
  const lines = linesOf(text);
  if (lines.length > MAX_ROWS)
    throw new Error(`This list has ${lines.length} lines; at most ${MAX_ROWS} are read.`);
  const rows: EventRow[] = [];
  const ignored: string[] = [];
  let above: Above = {};
  for (const line of lines) {
    if (line.kind !== undefined) {
      ignored.push(`${line.cells?.name ?? ''} (${line.kind})`.trim());
      continue;
    }
    // A row of a table is an event, though its date may be no more than a month.
    const head = line.cells ? undefined : headIn(line.days);
    if (head) {
      above = { ...head, ...(head.year === undefined && above.year !== undefined && { year: above.year }) };
      continue;
    }
    const row = rowOf(line, above, { ...reading, isMonthFirst });
    if (row.from !== '') above = { ...above, year: Number(row.from.slice(0, 4)), from: row.from };
    // Titles and heads of columns stand above the first event.
    else if (rows.length === 0 && !line.cells && row.problem === NO_DATE) {
      const year = yearIn(line.days);
      if (year !== undefined) above = { year };
      ignored.push(line.days.trim().replace(/\s+/g, ' '));
      continue;
    }
    rows.push(row);
  }
  return { rows, isOrderGuessed: order === 'either', ignored };
}

/** What the lines above one say of its days. */
interface Above {
  /** 1 to 12. */
  month?: number;
  year?: number;
  /** The first day of the event above. */
  from?: string;
}
const NO_DATE = 'has no date';

/** A line of the list: where its days are looked for, and what else it says. */
interface ListLine {
  days: string;
  /** What it is, where a table says that it is no event. */
  kind?: string;
  /** Of a table whose columns have heads. */
  cells?: { name: string; place: string; zone: string; time: string };
}

type Head = 'what' | 'name' | 'place' | 'days' | 'time' | 'zone';
const HEADS: Readonly<Record<Head, RegExp>> = {
  what: /^what$/i,
  name: /^(name|event|events|tournament|competition|title|summary|turnier|wettspiel|veranstaltung)$/i,
  place: /^(course|golf course|venue|place|location|where|club|platz|golfplatz|ort|anlage)$/i,
  days: /^(dates?|days?|when|from|to|start|starts|end|ends|until|(start|end|first|last) (date|day)|datum|termin|tag|von|vom|bis|beginn|ende)$/i,
  time: /^(time|tee time|uhrzeit|zeit)$/i,
  zone: /^(time zone|zone|zeitzone)$/i,
};

function linesOf(text: string): ListLine[] {
  const table = tableOf(text);
  const at = (table ?? []).slice(0, MAX_LINES_ABOVE).findIndex((row) => {
    const heads = row.map(headOf);
    return heads.includes('name') && heads.includes('days');
  });
  if (table && at !== -1) {
    const heads = table[at]!.map(headOf);
    const of = (row: readonly string[], head: Head) =>
      row.filter((cell, i) => heads[i] === head && cell.trim() !== '').join('\t');
    const above = table.slice(0, at).map((row) => ({ days: row.join(' ') }));
    const below = table.slice(at + 1).map((row): ListLine => {
      const kind = of(row, 'what').trim();
      const cells = {
        name: of(row, 'name'),
        place: of(row, 'place'),
        zone: of(row, 'zone'),
        time: of(row, 'time'),
      };
      return { days: of(row, 'days'), cells, ...(!['', 'event'].includes(kind.toLowerCase()) && { kind }) };
    });
    return [...above, ...below];
  }
  const lines = table && /["\t;|]/.test(text) ? table.map((row) => row.join('\t')) : text.split(/\r?\n/);
  return lines.filter((line) => line.trim() !== '').map((days) => ({ days }));
}
/** A title, a date, an address: no more than so many lines stand above the heads. */
const MAX_LINES_ABOVE = 20;

function tableOf(text: string): string[][] | undefined {
  try {
    return splitTable(text).filter((row) => !isBlankRow(row));
  } catch (error) {
    if (error instanceof TableError) return undefined;
    throw error;
  }
}

const headOf = (cell: string) => (Object.keys(HEADS) as Head[]).find((head) => HEADS[head].test(cell.trim()));

/** A month or a year that lines stand under: "March", "March 2027", "Season 2027". */
function headIn(line: string): Above | undefined {
  const month = monthOnly(line);
  if (month) return month;
  const year = yearIn(line);
  return year !== undefined && YEAR_HEAD.test(line.trim()) ? { year } : undefined;
}
const YEAR_HEAD =
  /^(?:(?:season|saison|schedule|calendar|kalender|programme?|events|termine|turniere)\s+)?\d{4}\W*$/i;

function yearIn(line: string): number | undefined {
  const [, year] = /(?<!\d)((?:19|20)\d{2})(?!\d)/.exec(line) ?? [];
  return year === undefined ? undefined : Number(year);
}

function rowOf(
  { days, cells }: ListLine,
  above: Above,
  { today, isMonthFirst, courses }: EventListReading,
): EventRow {
  const found = daysInText(days, { isMonthFirst, month: above.month });
  const rest = found ? `${days.slice(0, found.start)}\t${days.slice(found.end)}` : days;
  const time = timeIn(cells?.time ?? rest) ?? (cells && readClock(cells.time)) ?? null;
  const said = cells
    ? { name: cells.name.trim(), place: cells.place.trim() }
    : nameAndPlace(withoutTimes(rest), courses);
  const zone =
    cells && cells.zone.trim() !== '' && zoneSchema.isValidSync(cells.zone.trim()) ? cells.zone.trim() : null;
  const row = {
    uid: '',
    name: said.name.slice(0, MAX_NAME),
    place: said.place.slice(0, MAX_NAME),
    from: '',
    to: '',
    zone,
    time,
    problem: null,
    note: null,
  };
  if (!found) return { ...row, name: row.name || days.trim().slice(0, MAX_NAME), problem: NO_DATE };
  const dated = withYears(found.from, found.to, { ...above, ...yearOfLine(found, rest) }, today);
  if (!dated) return { ...row, problem: 'has a day that is in no calendar' };
  const isSecondDate = !cells && daysInText(rest, { isMonthFirst }) !== undefined;
  if (isSecondDate)
    return { ...row, ...dated, problem: 'has two dates: write each event on a line of its own' };
  return { ...row, ...dated, problem: row.name === '' ? 'has no name' : problemOfDays(dated.from, dated.to) };
}

/** "Spring Open 2027, 12-15 March": a year that stands elsewhere in the line. */
function yearOfLine({ from, to }: { from: WrittenDay; to: WrittenDay }, rest: string): Above {
  const year = from.year ?? to.year ?? yearIn(rest);
  return year === undefined ? {} : { year, from: '' };
}

const HOUR = String.raw`(?:[01]?\d|2[0-3])`;
const HALF = String.raw`\s?(?:[ap]\.?m\b\.?|uhr\b)`;
/** "4 hrs" is how long it takes; "1340 hrs" is a time. */
const CLOCK = String.raw`(?:${HOUR}[:h][0-5]\d(?:${HALF})?|${HOUR}(?:\.?[0-5]\d)?${HALF}|\d{4}\s?hrs?\b)`;
/** When it begins, and when it ends; what is said before it ("tee off 8:40"). */
const TIMES = new RegExp(
  String.raw`(?:\b(?:tee[ -]?(?:off|times?)|starts?|starting|at|um|from)\b:?\s?){0,2}(?<![\d:.,/])(${CLOCK})(?:\s?[-–]\s?${CLOCK})?(?![\d:])`,
  'giu',
);

/** The first time in a text, "08:40". */
function timeIn(text: string): string | undefined {
  const found = [...text.matchAll(TIMES)].map(([, clock]) => readClock(clock!));
  return found.find((time) => time !== undefined);
}
/** "2027 am Rhein" is no time, and stays. */
const withoutTimes = (text: string) =>
  text.replace(TIMES, (all, clock: string) => (readClock(clock) === undefined ? all : '\t'));
const BULLET = /^\s*[-–—•*·]\s+/;
const BETWEEN = /\t|;|\||,|\s[-–—@]\s|\s(?:at|im|in|auf|@)\s(?=\p{Lu})|\s{2,}|:\s/u;

/** The event and its course: words that are a course's name are it, else what comes second. */
function nameAndPlace(rest: string, courses: readonly string[]): { name: string; place: string } {
  const parts = rest
    .replace(BULLET, '')
    .split(BETWEEN)
    .map((part) => withoutEnds(part, MARKS_BEFORE, MARKS_AFTER))
    .filter((part) => /\p{L}/u.test(part));
  const [name = '', second = ''] = parts;
  if (parts.length > 1) {
    const isCourse = (part: string) => courseNamed(part, courses) !== undefined;
    // "Hochfirn, Spring Open" begins with its course; "Hochfirn Open, North Course" does not.
    const isName = courses.some((course) => course.toLowerCase() === name.toLowerCase());
    const place = parts.slice(1).find(isCourse) ?? (isName ? name : second);
    return { name: place === name ? second : name, place };
  }
  const whole = name.toLowerCase();
  const at = courses.findIndex((course) => ` ${whole}`.endsWith(` ${course.toLowerCase()}`));
  if (at === -1) return { name, place: '' };
  const before = withoutEnds(name.slice(0, -courses[at]!.length), '', MARKS_AFTER);
  return { name: before || name, place: courses[at]! };
}
const MARKS_BEFORE = ' .:)–—-';
const MARKS_AFTER = ' :(–—-';

/** A text without what of these marks stands at its beginning and its end. */
function withoutEnds(text: string, before: string, after: string): string {
  let from = 0;
  let to = text.length;
  while (from < to && before.includes(text[from]!)) from++;
  while (to > from && after.includes(text[to - 1]!)) to--;
  return text.slice(from, to);
}

/**
 * Days with their years: as written; else that of the lines above, or the next where a list goes on over New Year;
 * else the next time they come.
 * @returns undefined where a day is in no calendar
 */
function withYears(
  from: WrittenDay,
  to: WrittenDay,
  above: Above,
  today: string,
): { from: string; to: string } | undefined {
  const over = from.month > to.month ? 1 : 0;
  const inYear = (year: number) => {
    const first = dayText(from, from.year ?? (to.year === undefined ? year : to.year - over));
    const last = dayText(to, to.year ?? (from.year ?? year) + over);
    return first === undefined || last === undefined ? undefined : { from: first, to: last };
  };
  const days = inYear(above.year ?? Number(today.slice(0, 4)));
  if (!days || from.year !== undefined || to.year !== undefined) return days;
  const isNextYear =
    above.year === undefined
      ? days.to < today
      : above.from
        ? daysBetween(days.from, above.from) > HALF_A_YEAR
        : false;
  return isNextYear ? inYear(Number(days.from.slice(0, 4)) + 1) : days;
}
/** A list that goes back by more days went on over New Year. */
const HALF_A_YEAR = 182;

function dayText({ day, month }: WrittenDay, year: number): string | undefined {
  const text = `${year}-${String(month).padStart(2, '0')}-${String(day).padStart(2, '0')}`;
  const date = new Date(`${text}T00:00:00Z`);
  return !Number.isNaN(date.valueOf()) && date.toISOString().startsWith(text) ? text : undefined;
}
