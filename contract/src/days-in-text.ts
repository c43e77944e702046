/** A day as it is written: the year is often left out. */
export interface WrittenDay {
  day: number;
  /** 1 to 12. */
  month: number;
  year?: number;
}

/** Days found in a line, and where they stand in it. */
interface WrittenDays {
  from: WrittenDay;
  to: WrittenDay;
  start: number;
  end: number;
}

interface DayReading {
  /** "3/12" is the twelfth of March. */
  isMonthFirst: boolean;
  /** The month a list stands under, 1 to 12: "12-15" alone is of it. */
  month?: number | undefined;
}

const LANGUAGES = ['en', 'de', 'fr', 'es', 'it', 'nl', 'sv', 'nb', 'da', 'pt'] as const;

const plain = (word: string) => word.toLowerCase().replace(/\.$/, '');

/** What a month or a day of the week is called, long and short, in the languages lists are written in. */
function namesOf(part: 'month' | 'weekday', dates: readonly Date[]): Map<string, number> {
  const names = new Map<string, number>();
  for (const language of LANGUAGES)
    for (const width of ['long', 'short'] as const) {
      const format = new Intl.DateTimeFormat(language, { [part]: width, timeZone: 'UTC' });
      // Beside a day a month may be written otherwise: "Mär", "März".
      const beside = new Intl.DateTimeFormat(language, { [part]: width, day: 'numeric', timeZone: 'UTC' });
      dates.forEach((date, i) => {
        names.set(plain(format.format(date)), i + 1);
        const inDate = beside.formatToParts(date).find(({ type }) => type === part);
        if (inDate) names.set(plain(inDate.value), i + 1);
      });
    }
  return names;
}

const MONTHS = namesOf(
  'month',
  Array.from({ length: 12 }, (_one, month) => new Date(Date.UTC(2026, month, 15))),
).set('sept', 9);
const WEEKDAYS = namesOf(
  'weekday',
  Array.from({ length: 7 }, (_one, day) => new Date(Date.UTC(2026, 0, 5 + day))),
);

/** The day of the week a word names, in any of the languages: 1 for Monday to 7. "mar" is a month. */
export const weekdayOf = (word: string): number | undefined =>
  MONTHS.has(plain(word)) ? undefined : WEEKDAYS.get(plain(word));

type Token = { start: number; end: number } & (
  | { is: 'date'; of: WrittenDay; isPair?: boolean }
  | { is: 'number'; value: number }
  | { is: 'year'; value: number }
  | { is: 'month'; value: number }
  | { is: 'weekday' | 'to' | 'blank' | 'mark' | 'other' }
);

/** What a line is made of; the first that fits. */
const PIECES = new RegExp(
  [
    String.raw`(?<iso>\d{4}-\d{2}-\d{2})(?!\d)`,
    String.raw`(?<time>\d{1,2}:\d{2})`,
    String.raw`(?<dotted>\d{1,2}\.\s?\d{1,2}\.(?:\s?\d{4}|\d{2}(?!\d))?)`,
    String.raw`(?<slashed>\d{1,2}\/\d{1,2}(?:\/(?:\d{4}|\d{2}))?(?![\d\/]))`,
    String.raw`(?<dashed>\d{1,2}-\d{1,2}-\d{4})`,
    String.raw`(?<year>(?:19|20)\d{2}(?!\d)|[’']\d{2}(?!\d))`,
    String.raw`(?<number>\d{1,2})(?:st|nd|rd|th|er|º|ª|\.)?(?![\p{L}\d])`,
    String.raw`(?<word>\p{L}+\.?)`,
    String.raw`(?<to>[\-–—&])`,
    String.raw`(?<mark>[\t,;|\(])`,
    String.raw`(?<blank>\s)`,
    String.raw`[^]`,
  ].join('|'),
  'giu',
);
const WORDS_TO = new Set(
  'to till until through thru and bis und au et al a e y tot en til till och og'.split(' '),
);
const BLANK_WORDS = new Set('of the on from von vom am den du le de del dal'.split(' '));

/**
 * The first days a line names: "12-15 Mar 2027", "Mar 12 to 15", "Fri 28 Feb - Sun 2 March", "12.-15.03.27",
 * "2027-03-12, 2027-03-15", "3/12".
 * @returns undefined where the line names none
 */
export function daysInText(line: string, reading: DayReading): WrittenDays | undefined {
  const tokens = tokensOf(line, reading.isMonthFirst);
  for (let i = 0; i < tokens.length; i++) {
    const found = pairAt(tokens, i) ?? daysAt(tokens, i, reading.month);
    if (found)
      return { ...found.days, start: tokens[leadOf(tokens, i)]!.start, end: tokens[found.next - 1]!.end };
  }
  return undefined;
}

/** The day a text names and says nothing beside. */
export function oneDayIn(text: string, isMonthFirst: boolean): WrittenDay | undefined {
  const found = daysInText(text, { isMonthFirst });
  const isWhole = found?.start === 0 && /^\W*$/.test(text.slice(found.end));
  const isOne = found?.from.day === found?.to.day && found?.from.month === found?.to.month;
  return found && isWhole && isOne ? found.to : undefined;
}

/** Which of "3/12" and "13/3", or "3-12-2027", is the month, by the dates that can be read only one way. */
export function slashedOrder(text: string): 'day first' | 'month first' | 'either' | 'none' {
  const pairs = [
    ...text.matchAll(/(?<![\d/])(\d{1,2})\/(\d{1,2})(?!\d)/g),
    ...text.matchAll(/(?<![\d-])(\d{1,2})-(\d{1,2})-\d{4}(?!\d)/g),
  ].map(([, a, b]) => [Number(a), Number(b)]);
  if (pairs.length === 0) return 'none';
  if (pairs.some(([a]) => a! > 12)) return 'day first';
  return pairs.some(([, b]) => b! > 12) ? 'month first' : 'either';
}

/** The month a line is nothing but, perhaps with its year: "March 2027". */
export function monthOnly(line: string): { month: number; year?: number } | undefined {
  const [word = '', year, ...more] = line.split(/[^\p{L}\d]+/u).filter(Boolean);
  if (more.length > 0 || (year !== undefined && !/^\d{4}$/.test(year))) return undefined;
  const month = MONTHS.get(plain(word));
  return month === undefined ? undefined : { month, ...(year && { year: Number(year) }) };
}

function tokensOf(line: string, isMonthFirst: boolean): Token[] {
  return [...line.matchAll(PIECES)].map((piece): Token => {
    const place = { start: piece.index, end: piece.index + piece[0].length };
    const { iso, dotted, slashed, dashed, year, number, word, to, mark, blank } = piece.groups!;
    if (iso !== undefined) {
      const [y, month, day] = iso.split('-').map(Number);
      return { ...place, is: 'date', of: { day: day!, month: month!, year: y! } };
    }
    const parts = dotted ?? slashed ?? dashed;
    if (parts !== undefined) {
      const [a, b, y] = parts.split(/[./-]/).map((one) => one.trim());
      const [day, month] = dotted === undefined && isMonthFirst ? [b, a] : [a, b];
      const of = { day: Number(day), month: Number(month), ...(y && { year: fullYear(y) }) };
      return { ...place, is: 'date', of, isPair: slashed !== undefined && !y };
    }
    if (year !== undefined) return { ...place, is: 'year', value: fullYear(year) };
    if (number !== undefined) return { ...place, is: 'number', value: Number(number) };
    if (word !== undefined) return { ...place, ...wordOf(plain(word)) };
    if (to !== undefined) return { ...place, is: 'to' };
    if (mark !== undefined) return { ...place, is: 'mark' };
    return { ...place, is: blank !== undefined ? 'blank' : 'other' };
  });
}

function wordOf(word: string): { is: 'month'; value: number } | { is: 'weekday' | 'to' | 'blank' | 'other' } {
  const month = MONTHS.get(word);
  if (month !== undefined) return { is: 'month', value: month };
  if (WEEKDAYS.has(word)) return { is: 'weekday' };
  if (WORDS_TO.has(word)) return { is: 'to' };
  return { is: BLANK_WORDS.has(word) ? 'blank' : 'other' };
}

function fullYear(written: string): number {
  const year = Number(written.replace(/\D/g, ''));
  return year < 100 ? 2000 + year : year;
}

/** A day that may lack its month, and the token after it. */
interface Found {
  day: number;
  month?: number;
  year?: number;
  /** "Mar 12": a day alone may follow, "Mar 12-15". */
  isMonthLed?: boolean;
  next: number;
}

function daysAt(
  tokens: readonly Token[],
  at: number,
  monthAbove: number | undefined,
): { days: { from: WrittenDay; to: WrittenDay }; next: number } | undefined {
  const first = dayAt(tokens, at);
  if (!first) return undefined;
  const second = secondDay(tokens, first);
  const last = second ?? first;
  const year = yearAfter(tokens, last.next);
  const to = { ...last, ...(last.year === undefined && year) };
  const month = to.month ?? first.month ?? monthAbove;
  if (month === undefined) return undefined;
  const days = {
    from: withYear({ day: first.day, month: first.month ?? month }, first.year),
    to: withYear({ day: to.day, month }, to.year),
  };
  return { days, next: to.next };
}

/** "14/15 August" is two days. */
function pairAt(
  tokens: readonly Token[],
  at: number,
): { days: { from: WrittenDay; to: WrittenDay }; next: number } | undefined {
  const pair = tokens[at];
  const next = past(tokens, at + 1, 'blank');
  const month = tokens[next];
  if (pair?.is !== 'date' || !pair.isPair || month?.is !== 'month') return undefined;
  const days = [pair.of.day, pair.of.month].sort((a, b) => a - b);
  const after = yearAfter(tokens, next + 1);
  const [from, to] = days.map((day) => withYear({ day, month: month.value }, after?.year));
  return { days: { from: from!, to: to! }, next: after?.next ?? next + 1 };
}

/** "from the 3rd to…": the small words before a day are part of it. */
function leadOf(tokens: readonly Token[], at: number): number {
  let i = at;
  while (i > 0 && tokens[i - 1]!.is === 'blank') i--;
  return i;
}

const withYear = (day: { day: number; month: number }, year: number | undefined): WrittenDay =>
  year === undefined ? day : { ...day, year };

/** "15", "15 Mar", "Mar 15", a date; a day of the week may stand before it. */
function dayAt(tokens: readonly Token[], at: number): Found | undefined {
  let i = at;
  while (tokens[i]?.is === 'weekday') i = past(tokens, i + 1, 'blank', 'mark');
  const token = tokens[i];
  if (token?.is === 'date') return { ...token.of, next: i + 1 };
  if (token?.is === 'number') {
    const next = past(tokens, i + 1, 'blank');
    const month = tokens[next];
    if (month?.is !== 'month') return { day: token.value, next: i + 1 };
    return { day: token.value, month: month.value, ...(yearAfter(tokens, next + 1) ?? { next: next + 1 }) };
  }
  if (token?.is !== 'month') return undefined;
  const day = tokens[past(tokens, i + 1, 'blank')];
  if (day?.is !== 'number') return undefined;
  const next = past(tokens, i + 1, 'blank') + 1;
  return { day: day.value, month: token.value, isMonthLed: true, ...(yearAfter(tokens, next) ?? { next }) };
}

/** The last day, after "to" or a dash; or after no more than a comma where both are whole dates. */
function secondDay(tokens: readonly Token[], first: Found): Found | undefined {
  const gap = past(tokens, first.next, 'blank', 'mark');
  const isSaid = tokens[gap]?.is === 'to';
  const second = dayAt(tokens, isSaid ? past(tokens, gap + 1, 'blank', 'to') : gap);
  if (!second) return undefined;
  if (!isSaid) return first.month !== undefined && second.month !== undefined ? second : undefined;
  // "12 Mar - 18 holes": what follows a day with its month has a month too, or is no day.
  const mayBeAlone = first.month === undefined || first.isMonthLed === true;
  return second.month !== undefined || (mayBeAlone && second.day > first.day && second.day <= 31)
    ? second
    : undefined;
}

function yearAfter(tokens: readonly Token[], at: number): { year: number; next: number } | undefined {
  const i = past(tokens, at, 'blank', 'mark');
  const token = tokens[i];
  return token?.is === 'year' ? { year: token.value, next: i + 1 } : undefined;
}

/** The first token from there on that is none of these. */
function past(tokens: readonly Token[], from: number, ...kinds: readonly Token['is'][]): number {
  let i = from;
  while (i < tokens.length && kinds.includes(tokens[i]!.is)) i++;
  return i;
}
