import { LockMode, type EntityManager } from '@mikro-orm/postgresql';
import { v4 as newId } from 'uuid';
import { Bag, BagClub } from '../bags/bag.js';
import { Course, Event, Season } from '../schedule/schedule-rows.js';
import { Ticket, Wish } from '../bench/bench-rows.js';
import { Club } from '../clubs/club.js';
import { Plan } from '../plans/plan.js';
import { Player } from '../players/player.js';
import { RoundPlayed } from '../rounds/round-played.js';
import { Session } from '../sessions/session.js';

/** What one change did to one row, enough to take it back. */
export type RowDiff =
  | {
      of: EntityKind;
      id: string;
      before: Record<string, unknown> | null;
      after: Record<string, unknown>;
      /** The row's before the change. */ version?: number;
    }
  | { of: 'bagClubs'; id: string; before: readonly string[]; after: readonly string[] }
  /** The readings a change brought, by that change's id. */
  | {
      of: 'readings';
      id: string;
      withdrawn: boolean;
      /** Left out by earlier versions. */ clubIds?: readonly string[];
    }
  /** The strikes a change brought to a session. */
  | { of: 'strikes'; id: string; changeId: string; withdrawn: boolean }
  /** What strikes of a session were marked as. */
  | { of: 'strikeMarks'; id: string; before: readonly StrikeMark[]; after: readonly StrikeMark[] };

/** What a person may change about a strike. */
export interface StrikeMark {
  id: string;
  clubId: string | null;
  shot: string;
  leftOut: string | null;
}

const ENTITIES = {
  player: Player,
  club: Club,
  bag: Bag,
  plan: Plan,
  session: Session,
  course: Course,
  season: Season,
  event: Event,
  ticket: Ticket,
  wish: Wish,
  roundPlayed: RoundPlayed,
} as const;
export type EntityKind = keyof typeof ENTITIES;
export type EntityOf = {
  player: Player;
  club: Club;
  bag: Bag;
  plan: Plan;
  session: Session;
  course: Course;
  season: Season;
  event: Event;
  ticket: Ticket;
  wish: Wish;
  roundPlayed: RoundPlayed;
};

/** Something of every kind of row. */
export function ofEveryKind<T>(make: () => T): Record<EntityKind, T> {
  return Object.fromEntries(Object.keys(ENTITIES).map((kind) => [kind, make()])) as Record<EntityKind, T>;
}

/**
 * The version a row had before the change that is being made: every command of one change was written over it.
 */
const VERSIONS_BEFORE = new WeakMap<object, number>();
export function versionBefore(row: object): number | undefined {
  return VERSIONS_BEFORE.get(row);
}

/** Writes rows and remembers what they were; one trail a change. */
export class ChangeRecorder {
  readonly rowDiffs: RowDiff[] = [];
  readonly touched = ofEveryKind(() => new Set<string>());
  /** Clubs whose readings changed. */
  readonly reread = new Set<string>();
  /** Clubs whose build changed, not only what is known of it. */
  readonly rebuilt = new Set<string>();
  readonly #created = ofEveryKind(() => 0);
  readonly #rows = new Map<string, EntityOf[EntityKind]>();
  readonly #ownedBefore = new Map<string, number>();
  readonly #bagClubs = new Map<string, BagClub[]>();

  constructor(
    readonly em: EntityManager,
    readonly workspaceId: string,
  ) {}

  /** A row by its id, locked until the change is done; undefined when this workspace has none. */
  async load<K extends EntityKind>(kind: K, id: string): Promise<EntityOf[K] | undefined> {
    const known = this.#rows.get(id);
    if (known) return known as EntityOf[K];
    const found = await this.em.findOne(
      ENTITIES[kind] as typeof Player,
      { id },
      { lockMode: LockMode.PESSIMISTIC_WRITE },
    );
    if (found) this.#rows.set(id, found);
    return (found ?? undefined) as EntityOf[K] | undefined;
  }

  create<K extends EntityKind>(
    kind: K,
    data: Omit<EntityOf[K], 'workspaceId' | 'version' | 'removedAt'>,
  ): EntityOf[K] {
    const row = this.em.create(ENTITIES[kind] as typeof Player, {
      ...(data as unknown as Player),
      workspaceId: this.workspaceId,
      version: 1,
      removedAt: null,
    });
    this.em.persist(row);
    this.#rows.set(row.id, row);
    this.rowDiffs.push({ of: kind, id: row.id, before: null, after: {} });
    this.#created[kind] += 1;
    this.touched[kind].add(row.id);
    return row as unknown as EntityOf[K];
  }

  edit<K extends EntityKind>(kind: K, row: EntityOf[K], set: Partial<EntityOf[K]>): void {
    const before = Object.fromEntries(
      Object.keys(set).map((field) => [field, plain(row[field as keyof EntityOf[K]])]),
    );
    const after = Object.fromEntries(Object.entries(set).map(([field, value]) => [field, plain(value)]));
    Object.assign(row, set);
    this.bump(kind, row);
    this.rowDiffs.push({
      of: kind,
      id: row.id,
      before,
      after,
      version: VERSIONS_BEFORE.get(row) ?? row.version,
    });
  }

  /** Counts a row as changed, so that anyone who still holds the old one is told. */
  bump<K extends EntityKind>(kind: K, row: EntityOf[K]): void {
    if (!this.touched[kind].has(row.id)) {
      VERSIONS_BEFORE.set(row, row.version);
      row.version += 1;
    }
    this.touched[kind].add(row.id);
  }

  /** How many rows of a kind this change made. */
  created(kind: EntityKind): number {
    return this.#created[kind];
  }

  /** Clubs a player owns, this change's own among them; counted in the database once. */
  async clubsOwned(playerId: string): Promise<number> {
    const before =
      this.#ownedBefore.get(playerId) ?? (await this.em.count(Club, { playerId, removedAt: null }));
    this.#ownedBefore.set(playerId, before);
    return before + this.created('club');
  }

  /** Every row this change wrote. */
  rowIds(): string[] {
    return [...new Set(Object.values(this.touched).flatMap((ids) => [...ids]))];
  }

  /** Every player whose rows this change looked at or wrote. */
  playerIds(): string[] {
    return [
      ...new Set(
        [...this.#rows.values()].flatMap((row) =>
          'playerId' in row ? row.playerId : 'distanceUnit' in row ? row.id : [],
        ),
      ),
    ];
  }

  async clubIdsOf(bag: Bag): Promise<string[]> {
    return (await this.#rowsOf(bag)).map((row) => row.clubId);
  }

  /** Sets which clubs a bag holds, in order. */
  async setBagClubs(bag: Bag, after: readonly string[]): Promise<void> {
    const rows = await this.#rowsOf(bag);
    const before = rows.map((row) => row.clubId);
    const kept = rows.filter((row) => after.includes(row.clubId));
    rows.filter((row) => !after.includes(row.clubId)).forEach((row) => this.em.remove(row));
    const placed = after.map((clubId, place) => {
      const row =
        kept.find((one) => one.clubId === clubId) ??
        this.em.create(
          BagClub,
          { id: newId(), workspaceId: this.workspaceId, bagId: bag.id, clubId, place },
          { persist: true },
        );
      row.place = place;
      return row;
    });
    this.#bagClubs.set(bag.id, placed);
    this.rowDiffs.push({ of: 'bagClubs', id: bag.id, before, after: [...after] });
    this.bump('bag', bag);
  }

  /** Changes the marks of a session's strikes. */
  async setStrikes(
    session: Session,
    before: readonly StrikeMark[],
    after: readonly StrikeMark[],
  ): Promise<void> {
    await this.em.execute(
      `update strike set club_id = mark."clubId", shot = mark.shot, left_out = mark."leftOut"
       from jsonb_to_recordset(?::jsonb) as mark (id uuid, "clubId" uuid, shot text, "leftOut" text) where strike.id = mark.id and strike.session_id = ?`,
      [JSON.stringify(after), session.id],
    );
    this.rowDiffs.push({ of: 'strikeMarks', id: session.id, before, after });
    this.bump('session', session);
  }

  async #rowsOf(bag: Bag): Promise<BagClub[]> {
    const known = this.#bagClubs.get(bag.id);
    if (known) return known;
    const rows = await this.em.find(
      BagClub,
      { bagId: bag.id },
      { orderBy: { place: 'asc', id: 'asc' }, limit: 500 },
    );
    this.#bagClubs.set(bag.id, rows);
    return rows;
  }
}

/** As JSON would keep it, so that an image can be compared with a row. */
export function plain(value: unknown): unknown {
  return value === undefined ? null : (JSON.parse(JSON.stringify(value)) as unknown);
}
