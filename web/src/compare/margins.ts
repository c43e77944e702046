import {
  MARGIN_BOUNDS,
  USUAL_MARGINS,
  fromMetres,
  toMetres,
  type DistanceUnit,
  type MarginPart,
  type Margins,
  type Question,
} from '@tasche/core';
import { heightUnit } from '../range/strike-units';

/** A margin a comparison is judged by; its `key` is its place in the address. */
interface MarginField {
  part: MarginPart;
  key: string;
  label: string;
}

const MARGINS: readonly MarginField[] = [
  { part: 'carryM', key: 'carry', label: 'carry' },
  { part: 'apexM', key: 'apex', label: 'apex' },
  { part: 'spinRpm', key: 'spin', label: 'spin' },
];

/** Those a task is judged by. */
export function marginsOf(question: Question): MarginField[] {
  return MARGINS.filter(
    ({ part }) =>
      part === 'carryM' || question === 'matches' || (part === 'spinRpm' && question === 'more-spin'),
  );
}

/** The margins an address holds; the usual ones where it holds none, or none within their bounds. */
export function marginsIn(text: (key: string) => string | undefined): Margins {
  return Object.fromEntries(
    MARGINS.map(({ part, key }) => {
      const value = Number(text(key) ?? NaN);
      const [min, max] = MARGIN_BOUNDS[part];
      return [part, value >= min && value <= max ? value : USUAL_MARGINS[part]];
    }),
  ) as unknown as Margins;
}

type ShownUnit = DistanceUnit | 'ft' | 'rpm';

export function unitOfMargin(part: MarginPart, unit: DistanceUnit): ShownUnit {
  return part === 'spinRpm' ? 'rpm' : part === 'apexM' ? heightUnit(unit) : unit;
}

/** A margin as it is shown, to a tenth of its unit. */
export function shownMargin(value: number, shown: ShownUnit): number {
  return Number((shown === 'rpm' ? value : fromMetres(value, shown)).toFixed(1));
}

/** What was typed, as it is kept in the address: metres or rpm to a thousandth, within its bounds. */
export function keptMargin(part: MarginPart, typed: number, unit: DistanceUnit): string {
  const shown = unitOfMargin(part, unit);
  const value = shown === 'rpm' ? typed : toMetres(typed, shown);
  const [min, max] = MARGIN_BOUNDS[part];
  return String(Math.round(Math.min(max, Math.max(min, value)) * 1000) / 1000);
}

export function marginBounds(part: MarginPart, unit: DistanceUnit): [number, number] {
  const [min, max] = MARGIN_BOUNDS[part];
  const shown = unitOfMargin(part, unit);
  return [shownMargin(min, shown), shownMargin(max, shown)];
}
