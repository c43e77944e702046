import { randomUUID } from 'node:crypto';
import { setTimeout as wait } from 'node:timers/promises';
import { BASELINE, MEDIUM_FAIRWAY } from '@tasche/core';
import type { Ledger } from './ledger.js';
import type { Person } from './person.js';

const TYPED_EVERY_MS = 250;
const FILE_EVERY_MS = 4000;
const FILE_ROWS = 20;
const HIT_EVERY_MS = 2500;
const BALLS_AT_ONCE = 4;
const CHOSEN_EVERY_MS = 3000;

const FILE_ORDER = {
  source: 'a.csv',
  encoding: 'utf-8',
  delimiter: ',',
  heads: ['club', 'carry', 'launch', 'spin', 'land'],
  skipLines: 0,
  zoneMinutes: 0,
  clubs: {},
  mapping: {
    columns: [
      { column: 0, field: 'club' },
      { column: 1, field: 'carryM', unit: 'm' },
      { column: 2, field: 'launchDeg', unit: 'deg' },
      { column: 3, field: 'spinRpm', unit: 'rpm' },
      { column: 4, field: 'descentDeg', unit: 'deg' },
    ],
    decimal: '.',
    dates: 'day first',
    unitRows: 0,
    leftIsPositive: false,
  },
  session: {
    name: 'A file',
    heldOn: '2026-11-01',
    conditions: BASELINE,
    surface: MEDIUM_FAIRWAY,
    hitOff: 'grass',
    ball: '',
    notes: '',
  },
};

/** What the drill's people do, again and again; what is acknowledged goes into the ledger. */
export class Work {
  isRunning = false;
  /** Nothing new is typed, so that what is shown can be compared with what was typed. */
  isPaused = false;
  /** What is being typed, and not answered yet. */
  readonly typing = new Set<Promise<unknown>>();
  /** What was acknowledged last of each club. */
  readonly shown = new Map<string, { playerId: string; text: string }>();

  constructor(private readonly ledger: Ledger) {}

  /** Types a serial number and a head into one club again and again, two readings of one change. */
  async type(person: Person, playerId: string, clubId: string): Promise<void> {
    for (let version = 1; this.isRunning; version++) {
      const [changeId, serial] = [randomUUID(), `S${randomUUID().slice(0, 13)}`];
      this.ledger.sent.add(serial);
      const asked = person.askUntilAnswered(
        'POST',
        '/changes',
        JSON.stringify({
          id: changeId,
          commands: [
            {
              do: 'editClub',
              clubId,
              version,
              readings: [
                { key: 'serial', value: serial, takenOn: '2026-11-01' },
                { key: 'head', value: serial, takenOn: '2026-11-01' },
              ],
            },
          ],
        }),
      );
      this.typing.add(asked);
      const { status, text } = await asked;
      this.typing.delete(asked);
      if (status !== 200) {
        this.ledger.refused.push(`typing was answered ${status}: ${text}`);
        return;
      }
      this.ledger.moments.push(Date.now());
      this.ledger.readings.push({ changeId, playerId, serial });
      this.shown.set(clubId, { playerId, text: serial });
      do await wait(TYPED_EVERY_MS);
      while (this.isPaused);
    }
  }

  /** Brings in one file after the other. */
  async bringFiles(person: Person, playerId: string): Promise<void> {
    while (this.isRunning) {
      const changeId = randomUUID();
      // No file is another: the same again would be known as such.
      const about = (middle: number) => (middle * (0.95 + 0.1 * Math.random())).toFixed(2);
      const rows = Array.from({ length: FILE_ROWS }, () =>
        ['6 iron', about(150), about(15), about(6000), about(48)].join(','),
      );
      const body = [JSON.stringify(FILE_ORDER), FILE_ORDER.heads.join(','), ...rows, ''].join('\n');
      const { status, text } = await person.askUntilAnswered(
        'POST',
        `/players/${playerId}/strikes/import?take=good&changeId=${changeId}`,
        body,
        'application/octet-stream',
      );
      const taken = status === 200 ? (JSON.parse(text) as { taken: number }).taken : 0;
      if (taken !== FILE_ROWS)
        this.ledger.refused.push(`a file was answered ${status}: ${text.slice(0, 300)}`);
      else {
        this.ledger.moments.push(Date.now());
        this.ledger.imports.push({ changeId, rows: FILE_ROWS });
      }
      await wait(FILE_EVERY_MS);
    }
  }

  /** Has the monitor's simulated player hit balls; what comes of them the monitor knows. */
  async hitBalls(person: Person, sessionId: string, clubId: string): Promise<void> {
    while (this.isRunning) {
      await person.ask(
        'POST',
        `/sessions/${sessionId}/hit`,
        JSON.stringify({ clubId, shot: 'full', count: BALLS_AT_ONCE }),
      );
      await wait(HIT_EVERY_MS);
    }
  }

  /**
   * Chooses the bag of one round again and again; nothing it depends on changes, so that every answer is the
   * first.
   */
  async choose(person: Person, planId: string, roundId: string): Promise<void> {
    let first: string | undefined;
    while (this.isRunning) {
      const { status, text } = await person.ask('GET', `/plans/${planId}/rounds/${roundId}/choice`);
      if (status === 503 || status === 429) this.ledger.sentAway += 1;
      else if (status === 200) {
        first ??= text;
        this.ledger.choices += 1;
        if (text !== first) this.ledger.wrongChoices += 1;
      } else if (status !== 0 && status < 500)
        this.ledger.refused.push(`a choice was answered ${status}: ${text.slice(0, 300)}`);
      await wait(CHOSEN_EVERY_MS);
    }
  }
}
