import { showQuantity, type ClubView } from '@tasche/contract';
import { BUILD_SHEET, buildOf, quantityOf, type QuantityKey } from '@tasche/core';

/** A fact of a club's build, as its sheet shows it. */
interface BuildRow {
  key: QuantityKey;
  label: string;
  /** With its unit; undefined if not recorded. */
  value?: string;
  /** Of when it is, yyyy-mm-dd. */
  since?: string;
}

const LABELS: Partial<Record<QuantityKey, string>> = { loftSetDeg: 'Loft', lieSetDeg: 'Lie' };
/** Without these it cannot be built again. */
const NEEDED: ReadonlySet<QuantityKey> = new Set([
  'head',
  'loftSetDeg',
  'lieSetDeg',
  'lengthIn',
  'shaft',
  'shaftWeightG',
  'flex',
  'grip',
  'swingWeight',
]);
const HAS_SLEEVE: ReadonlySet<ClubView['kind']> = new Set(['driver', 'fairway', 'hybrid']);

type Club = Pick<ClubView, 'kind' | 'spec'>;

/** The sheet of a club, group by group; what does not apply to its kind, and is not recorded, is left out. */
export function buildRows(club: Club): { title: string; rows: BuildRow[] }[] {
  const parts = new Map(buildOf(club.spec).map((part) => [part.key, part]));
  return BUILD_SHEET.map(({ title, keys }) => ({
    title,
    rows: keys
      .filter((key) => parts.has(key) || isOf(club, key))
      .map((key): BuildRow => {
        const part = parts.get(key);
        const quantity = quantityOf(key)!;
        return {
          key,
          label: LABELS[key] ?? quantity.label,
          ...(part && { value: showQuantity(quantity, part.value), since: part.takenOn }),
        };
      }),
  }));
}

/** Whether a fact makes sense for the club though nothing is written in it. */
function isOf({ kind }: Club, key: QuantityKey): boolean {
  if (key === 'toeHangDeg') return kind === 'putter';
  if (key === 'setting' || key === 'sleevePositions') return HAS_SLEEVE.has(kind);
  if (key === 'grind' || key === 'bounceDeg') return kind === 'wedge';
  return true;
}

/** What is not recorded and without which it cannot be built again. */
export function missingOf(groups: readonly { rows: readonly BuildRow[] }[]): BuildRow[] {
  return groups
    .flatMap(({ rows }) => rows)
    .filter(({ value, key }) => value === undefined && NEEDED.has(key));
}

const ON_LABEL: readonly QuantityKey[] = ['loftSetDeg', 'lieSetDeg', 'lengthIn', 'swingWeight'];

/** Loft, lie, length and swing weight, as far as they are known: "46° · 64° · 35.5 in · D4". */
export function labelWords(groups: readonly { rows: readonly BuildRow[] }[]): string {
  const rows = groups.flatMap((group) => group.rows);
  return ON_LABEL.flatMap((key) => rows.find((row) => row.key === key)?.value ?? []).join(' · ');
}
