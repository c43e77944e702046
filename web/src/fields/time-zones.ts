import { beginsWith, plainLetters } from '@tasche/contract';

const MAX_SHOWN = 20;
/** A country's name, however little of it is typed, is told by so many letters. */
const MIN_OF_COUNTRY = 4;

/**
 * Time zones whose name holds what was typed: those that begin with it first, then those of countries it begins a
 * word of; none for an empty text.
 */
export function zonesLike(text: string): string[] {
  const wanted = plainLetters(text.trim()).replace(/\s+/g, '_');
  if (wanted === '') return [];
  const zones = Intl.supportedValuesOf('timeZone').filter((zone) => zone.toLowerCase().includes(wanted));
  const exact = zones.filter((zone) => zone.toLowerCase() === wanted);
  if (exact.length === 1) return exact;
  const begins = (zone: string) =>
    zone
      .toLowerCase()
      .split('/')
      .some((word) => word.startsWith(wanted));
  const all = [...zones.filter(begins), ...ofCountries(text), ...zones];
  return [...new Set(all)].slice(0, MAX_SHOWN);
}

/** The same as what browsers have had under two names. */
interface ZonesOfLocale {
  getTimeZones?: () => string[] | undefined;
  timeZones?: string[];
}
let countries: readonly { name: string; zones: readonly string[] }[] | undefined;

/** Countries by their names in English and in the reader's language, with their zones. */
function allCountries(): NonNullable<typeof countries> {
  const letters = Array.from({ length: 26 }, (_one, i) => String.fromCharCode(65 + i));
  const codes = letters.flatMap((one) => letters.map((other) => one + other));
  const namings = ['en', navigator.language].map(
    (language) => new Intl.DisplayNames(language, { type: 'region', fallback: 'none' }),
  );
  return codes.flatMap((code) => {
    const names = namings.flatMap((naming) => naming.of(code) ?? []);
    if (names.length === 0) return [];
    const locale = new Intl.Locale(`und-${code}`) as ZonesOfLocale;
    const zones = locale.getTimeZones?.() ?? locale.timeZones ?? [];
    return zones.length === 0 ? [] : [...new Set(names)].map((name) => ({ name, zones }));
  });
}

function ofCountries(text: string): string[] {
  if (text.trim().length < MIN_OF_COUNTRY) return [];
  countries ??= allCountries();
  const isBegun = beginsWith(text);
  const isMeant = (name: string) => isBegun(name) || name.split(/[\s-]+/).some(isBegun);
  return countries.filter(({ name }) => isMeant(name)).flatMap(({ zones }) => zones);
}

/** The reader's own. */
export function ownZone(): string {
  return Intl.DateTimeFormat().resolvedOptions().timeZone;
}
