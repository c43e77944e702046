import type { ClubLifeView, ReadingView } from '@tasche/contract';
import {
  counted,
  BUILD_SHEET,
  measuredKey,
  quantityOf,
  type DistanceUnit,
  type ReadingKey,
} from '@tasche/core';
import { format } from 'date-fns';
import type { RouteLocationRaw } from 'vue-router';
import { shortDay } from '../app/day';
import { factWords, readingName } from './fact-words';

/** One thing that happened to a club. */
export interface LifeEntry {
  key: string;
  kind: 'build' | 'reading' | 'session' | 'bag' | 'ticket';
  /** YYYY-MM-DD; empty where not known. */
  day: string;
  title: string;
  text: string;
  who: string;
  to?: RouteLocationRaw;
}

const BUILD_KEYS: ReadonlySet<ReadingKey> = new Set(
  BUILD_SHEET.flatMap(({ keys }) => keys).flatMap((key) => [key, measuredKey(key)]),
);

/**
 * Everything that happened to a club in order, the newest first. What was recorded of one day by one
 * person is one entry.
 */
export function clubLife(
  { club, readings, sessions, stints, tickets }: ClubLifeView,
  unit: DistanceUnit,
): LifeEntry[] {
  const params = { playerId: club.playerId };
  return [
    ...readingEntries(readings.rows, unit),
    ...sessions.map(({ id, name, day, shots }): LifeEntry => ({
      key: `session ${id}`,
      kind: 'session',
      day,
      title: name || 'Session',
      text: `${counted(shots, 'shot')} measured`,
      who: '',
      to: { name: 'range', params: { ...params, sessionId: id } },
    })),
    ...stints.flatMap(({ from, to }, i): LifeEntry[] => [
      ...(to === null
        ? []
        : [
            bagEntry(
              `out ${i}`,
              to,
              'Out of the gamer',
              from === null ? '' : `in since ${shortDay(dayOf(from))}`,
            ),
          ]),
      bagEntry(`in ${i}`, from, 'Into the gamer', to === null ? 'and still there' : ''),
    ]),
    ...tickets.map(({ id, name, state, doneOn, dueOn, became, why }): LifeEntry => ({
      key: `ticket ${id}`,
      kind: 'ticket',
      day: doneOn ?? dueOn ?? '',
      title: name,
      text: [
        state,
        ...became.map(({ key, value }) => `${readingName(key)} became ${factWords(key, value, unit)}`),
        why,
      ]
        .filter(Boolean)
        .join('; '),
      who: '',
      to: { name: 'bench', params },
    })),
  ].sort((a, b) => whenOf(b).localeCompare(whenOf(a)) || a.key.localeCompare(b.key));
}

/** An open job without a day stands before everything that was. */
function whenOf({ kind, day }: LifeEntry): string {
  return day === '' && kind === 'ticket' ? '9999' : day;
}

function bagEntry(key: string, moment: string | null, title: string, text: string): LifeEntry {
  return { key: `bag ${key}`, kind: 'bag', day: moment === null ? '' : dayOf(moment), title, text, who: '' };
}

/** The day of a moment where the reader is. */
function dayOf(moment: string): string {
  return format(new Date(moment), 'yyyy-MM-dd');
}

function readingEntries(rows: readonly ReadingView[], unit: DistanceUnit): LifeEntry[] {
  const entries = new Map<string, LifeEntry>();
  for (const { id, key, value, takenOn, who, why, undone } of rows) {
    if (undone) continue;
    const kind = BUILD_KEYS.has(key) ? 'build' : 'reading';
    const title = kind === 'build' ? 'Build:' : quantityOf(key) ? 'Recorded:' : 'Carry:';
    const groupKey = `${title} ${takenOn} ${who} ${why}`;
    const said = `${readingName(key)} ${factWords(key, value, unit)}`;
    const known = entries.get(groupKey);
    if (known) known.text = `${known.text}, ${said}`;
    else
      entries.set(groupKey, {
        key: `${groupKey} ${id}`,
        kind,
        day: takenOn,
        title,
        text: said,
        who: [who, why].filter(Boolean).join(': '),
      });
  }
  return [...entries.values()];
}
