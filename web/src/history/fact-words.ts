import { showQuantity } from '@tasche/contract';
import {
  distanceNumber,
  quantityOf,
  shotKindOf,
  sourceWords,
  type DistanceUnit,
  type Fact,
  type ReadingKey,
  shotKindWords,
} from '@tasche/core';

/** "Loft set", "soft carry": what a reading is of. */
export function readingName(key: ReadingKey): string {
  return quantityOf(key)?.label ?? `${shotKindWords(shotKindOf(key)!)} carry`;
}

/** "46.0°", "165 yd (24 shots)", or a dash where nothing is known. */
export function factWords(key: ReadingKey, value: Fact['value'] | null, unit: DistanceUnit): string {
  if (value === null) return '–';
  const quantity = quantityOf(key);
  if (quantity) return showQuantity(quantity, value);
  return typeof value === 'object'
    ? `${distanceNumber(value.carryM, unit)} ${unit} (${sourceWords(value, unit)})`
    : String(value);
}
