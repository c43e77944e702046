import type { ChangeResult, Command, SheetView } from '@tasche/contract';
import type { Shot } from '@tasche/core';
import type { Express } from 'express';
import type { MikroORM } from '@mikro-orm/postgresql';
import { pino } from 'pino';
import request from 'supertest';
import { v4 as newId } from 'uuid';
import { inject } from 'vitest';
import { migrate, openDatabase, roleIn } from '../src/database/database.js';
import type { SignedIn } from '../src/people/scope.js';
import { createApp, type AppOptions } from '../src/http/app.js';
import { inWorkspace } from '../src/workspaces/in-workspace.js';
import { Workspace } from '../src/workspaces/workspace.js';

/** A server on the real database, with a workspace of its own, as its browser would see it. */
export interface Workbench {
  orm: MikroORM;
  workspaceId: string;
  http: ReturnType<typeof request>;
  /** The same application again, with what belongs to it. */
  app: (more?: Partial<AppOptions>) => Express;
  change: (commands: readonly Command[], more?: { id?: string; why?: string }) => request.Test;
  done: (commands: readonly Command[], why?: string) => Promise<ChangeResult>;
  undo: (changeId: string, id?: string) => request.Test;
  sheet: (playerId: string, asOf?: string) => Promise<SheetView>;
  player: (unit?: 'yd' | 'm') => Promise<string>;
  club: (
    playerId: string,
    name: string,
    readings?: Extract<Command, { do: 'addClub' }>['readings'],
    id?: string,
  ) => Promise<string>;
  bag: (playerId: string, name: string, clubIds?: readonly string[]) => Promise<string>;
}

/** A machine that stands still for some seconds is no failure of what is tested. */
const PATIENT_MS = 60_000;

let shared: Promise<MikroORM> | undefined;

export async function workbench(who = 'Jonas Brandl'): Promise<Workbench> {
  shared ??= migrate(inject('ownerUrl'), roleIn(inject('databaseUrl'))).then(() =>
    openDatabase(
      inject('databaseUrl'),
      { pool: { min: 2, max: 10, acquireTimeoutMillis: PATIENT_MS } },
      { connectionTimeoutMillis: PATIENT_MS },
    ),
  );
  const orm = await shared;
  const workspaceId = newId();
  await inWorkspace(orm, { workspaceId }, (em) => {
    em.create(Workspace, { id: workspaceId, name: 'Test van', person: who }, { persist: true });
    return Promise.resolve();
  });
  return workbenchIn(orm, workspaceId, who);
}

/** Another person at the same workbench. */
export function workbenchIn(
  orm: MikroORM,
  workspaceId: string,
  who: string,
  as: Partial<SignedIn> = {},
): Workbench {
  const app = (more: Partial<AppOptions> = {}) =>
    createApp({
      orm,
      identify: () =>
        Promise.resolve({
          workspaceId,
          workspaceName: 'Test van',
          who,
          personId: null,
          role: 'owner',
          playerIds: null,
          means: 'machine',
          csrf: null,
          mayWrite: true,
          ...as,
        }),
      log: pino({ level: 'silent' }),
      ...more,
    });
  const http = request(app());
  const change: Workbench['change'] = (commands, { id = newId(), why } = {}) =>
    http.post('/api/changes').send({ id, commands, ...(why !== undefined && { why }) });
  const done: Workbench['done'] = async (commands, why) => {
    const response = await change(commands, why === undefined ? {} : { why });
    if (response.status !== 200) throw new Error(`${response.status}: ${JSON.stringify(response.body)}`);
    return response.body as ChangeResult;
  };
  return {
    orm,
    workspaceId,
    http,
    app,
    change,
    done,
    undo: (changeId, id = newId()) => http.post(`/api/changes/${changeId}/undo`).send({ id }),
    sheet: async (playerId, asOf) =>
      (await http.get(`/api/players/${playerId}/sheet${asOf ? `?asOf=${asOf}` : ''}`).expect(200))
        .body as SheetView,
    player: async (unit = 'yd') => {
      const id = newId();
      await done([{ do: 'addPlayer', player: { id, name: 'Davor', hand: 'right', distanceUnit: unit } }]);
      return id;
    },
    club: async (playerId, name, readings = [], id = newId()) => {
      await done([{ do: 'addClub', club: { id, playerId, name, kind: 'iron' }, readings }]);
      return id;
    },
    bag: async (playerId, name, clubIds = []) => {
      const id = newId();
      await done([{ do: 'addBag', bag: { id, playerId, name }, clubIds }]);
      return id;
    },
  };
}

export const on = (
  key: Extract<Command, { do: 'addClub' }>['readings'][number]['key'],
  value: number | string | Shot | null,
  takenOn = '2026-11-01',
) => ({ key, value, takenOn });
export const carry = (carryM: number, more: Partial<Shot> = {}) =>
  on('shot.full', { carryM, source: 'stated', ...more });
