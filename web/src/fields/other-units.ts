/** What one unit is in the first of its list; yard, mile, pound and knot are exact by their definitions. */
const SIZES: readonly Readonly<Record<string, number>>[] = [
  { m: 1, cm: 0.01, mm: 0.001, km: 1000, in: 0.0254, ft: 0.3048, yd: 0.9144 },
  { 'm/s': 1, 'km/h': 1 / 3.6, mph: 0.44704, kn: 1852 / 3600 },
  { g: 1, kg: 1000, oz: 28.349523125, lb: 453.59237 },
];
const ALSO_WRITTEN: Readonly<Record<string, string>> = {
  ...{ c: '°c', celsius: '°c', f: '°f', fahrenheit: '°f' },
  ...{
    y: 'yd',
    yds: 'yd',
    yard: 'yd',
    yards: 'yd',
    '"': 'in',
    inch: 'in',
    inches: 'in',
    "'": 'ft',
    feet: 'ft',
  },
  ...{ metre: 'm', metres: 'm', meter: 'm', meters: 'm', grams: 'g', ounces: 'oz', ounce: 'oz' },
  ...{ mps: 'm/s', kmh: 'km/h', kph: 'km/h', kt: 'kn', kts: 'kn', knot: 'kn', knots: 'kn' },
};
const FEWEST_DECIMALS = 1;

function named(word: string): string {
  const plain = word.toLowerCase().trim();
  return ALSO_WRITTEN[plain] ?? plain;
}

/**
 * A number with a unit behind it, and how it is said in that of its field.
 * @param own unit of the field, "°F", "mph", "m"
 * @returns undefined where nothing stands behind the number, or a word that is no unit of that kind
 * @example inOtherUnit('20 C', '°F') // { number: '20', convert: (20) => 68 }
 */
export function inOtherUnit(
  written: string,
  own: string | undefined,
): { number: string; convert: (value: number) => number } | undefined {
  const [, number, word] = /^(.*\d)\s*([a-z°/"']+)$/i.exec(written.trim()) ?? [];
  if (number === undefined || own === undefined) return undefined;
  const [from, to] = [named(word!), named(own)];
  const convert = converter(from, to);
  return convert && { number: number.trim(), convert };
}

function converter(from: string, to: string): ((value: number) => number) | undefined {
  if (from === to) return (value) => value;
  if (from === '°c' && to === '°f') return (value) => rounded(value * 1.8 + 32);
  if (from === '°f' && to === '°c') return (value) => rounded((value - 32) / 1.8);
  const sizes = SIZES.find((one) => Object.hasOwn(one, from) && Object.hasOwn(one, to));
  return sizes && ((value) => rounded((value * sizes[from]!) / sizes[to]!));
}

/** To as much as a person would have written: a tenth, or of small numbers three digits. */
function rounded(value: number): number {
  const decimals = Math.max(FEWEST_DECIMALS, 2 - Math.floor(Math.log10(Math.abs(value) || 1)));
  return Number(value.toFixed(Math.min(decimals, 6)));
}
