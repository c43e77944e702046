import { givenOf, type ClubMatch, type StrikeFileSpec, type StrikeRow } from '@tasche/contract';
import { v4 as newId } from 'uuid';
import type { ChangeRecorder } from '../changes/change-recorder.js';
import type { Session } from '../sessions/session.js';
import { keepStrikes, strikesToKeep, type KeptStrike, type StrikesToKeep } from './insert-strikes.js';

/** Rows of a file that are to be kept, each of a club. */
type Waiting = readonly { row: StrikeRow; match: NonNullable<ClubMatch>; day: string; key: string }[];

/** Keeps the balls, in a session for each day. */
export class ImportedSessions {
  readonly #sessions = new Map<string, Session>();
  readonly #numbers = new Map<string, number>();

  constructor(
    readonly recorder: ChangeRecorder,
    readonly playerId: string,
    readonly order: StrikeFileSpec,
  ) {}

  /** The balls by day, numbered, made ready for the database. */
  ready(waiting: Waiting): Map<string, StrikesToKeep> {
    const byDay = new Map<string, KeptStrike[]>();
    for (const { row, match, day, key } of waiting) {
      const number = (this.#numbers.get(day) ?? 0) + 1;
      this.#numbers.set(day, number);
      const kept = byDay.get(day) ?? [];
      if (kept.length === 0) byDay.set(day, kept);
      kept.push({
        clubId: match.clubId,
        shot: row.shot ?? match.shot,
        number,
        hitAt: row.time === undefined ? null : `${day}T${row.time}${zone(this.order.zoneMinutes)}`,
        builtOn: day,
        given: givenOf(row),
        deviceKey: key,
        changeId: null,
      });
    }
    return new Map([...byDay].map(([day, strikes]) => [day, strikesToKeep(strikes)]));
  }

  async keep(ready: ReadonlyMap<string, StrikesToKeep>): Promise<void> {
    const fresh = [...ready.keys()].filter((day) => !this.#sessions.has(day));
    for (const day of fresh)
      this.#sessions.set(
        day,
        this.recorder.create('session', {
          ...this.order.session,
          id: newId(),
          playerId: this.playerId,
          heldOn: day,
          source: this.order.source,
          live: false,
          aim: null,
          basket: null,
        }),
      );
    if (fresh.length > 0) await this.recorder.em.flush();
    for (const [day, strikes] of ready)
      await keepStrikes(this.recorder.em, this.#sessions.get(day)!, strikes);
  }
}

function zone(minutes: number): string {
  const part = (value: number) => String(Math.trunc(value)).padStart(2, '0');
  return `${minutes < 0 ? '-' : '+'}${part(Math.abs(minutes) / 60)}:${part(Math.abs(minutes) % 60)}`;
}
