/** One thing checked: what was expected, what came out, how far off it may be. */
export interface Row {
  what: string;
  /** What it is held to, in words with its unit. */
  expected: string;
  got: string;
  /** With its sign, in the unit of the bound. */
  deviation: string;
  allowed: string;
  met: boolean;
}

export interface Section {
  title: string;
  words: string;
  rows: readonly Row[];
}

export const signed = (value: number, decimals: number, unit = '') =>
  `${value >= 0 ? '+' : '−'}${Math.abs(value).toFixed(decimals)}${unit}`;

/** A number that must lie between two bounds. */
export function between(
  what: string,
  got: number,
  low: number,
  high: number,
  unit: string,
  decimals = 2,
): Row {
  const off = got < low ? got - low : got > high ? got - high : 0;
  return {
    what,
    expected: `${low} to ${high} ${unit}`,
    got: `${got.toFixed(decimals)} ${unit}`,
    deviation: off === 0 ? 'inside' : signed(off, decimals, ` ${unit}`),
    allowed: 'inside',
    met: off === 0,
  };
}

/** A number that must be within a share of another. */
export function nearBy(
  what: string,
  got: number,
  expected: number,
  mostPct: number,
  unit: string,
  decimals = 2,
): Row {
  const pct = (got / expected - 1) * 100;
  return {
    what,
    expected: `${expected.toFixed(decimals)} ${unit}`,
    got: `${got.toFixed(decimals)} ${unit}`,
    deviation: signed(pct, mostPct < 0.1 ? 4 : 2, ' %'),
    allowed: `${mostPct} %`,
    met: Math.abs(pct) <= mostPct,
  };
}

/** A number, zero or more, that must not be over a bound. */
export function atMost(what: string, got: number, max: number, unit: string, decimals = 4): Row {
  return {
    what,
    expected: '0',
    got: `${got.toFixed(decimals)} ${unit}`,
    deviation: signed(got, decimals, ` ${unit}`),
    allowed: `${max} ${unit}`,
    met: got <= max,
  };
}
