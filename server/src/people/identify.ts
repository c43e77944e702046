import type { Role, SignedInView } from '@tasche/contract';
import type { MikroORM } from '@mikro-orm/postgresql';
import type { Request } from 'express';
import type { SessionData } from 'express-session';
import { HttpError } from '../http/http-error.js';
import { holderOfToken } from '../tokens/access-token.js';
import { bearsSession, endOf, isOnThisMachine } from './browser-sessions.js';
import type { Identify, SignedIn } from './scope.js';

/** Who somebody is and where, in one call; made again whenever the tables are brought up to date. */
export const IDENTITY_SQL = `
  create or replace function identity_of(of_person uuid) returns json language plpgsql as $$
  begin
    perform set_config('tasche.person', of_person::text, true);
    return (
      select json_build_object('name', person.name, 'workspaces', (
        select coalesce(json_agg(json_build_object('id', workspace.id, 'name', workspace.name, 'role', membership.role,
          'playerIds', membership.player_ids) order by membership.since, workspace.id), '[]')
        from membership join workspace on workspace.id = membership.workspace_id where membership.person_id = of_person))
      from person where id = of_person);
  end $$`;

interface Identity {
  name: string;
  workspaces: { id: string; name: string; role: Role; playerIds: string[] | null }[];
}

export async function identityOf(orm: MikroORM, personId: string): Promise<Identity | null> {
  const [row] = await orm.em
    .getConnection()
    .execute<{ identity: Identity | null }[]>('select identity_of(?) as identity', [personId]);
  return row!.identity;
}

/**
 * Finds out who asks: by a token, by the browser's session, or, where everybody at this machine is let in,
 * by that.
 * A session that was ended gives no access, not even on this machine.
 * @param machine the user of this machine; left out where people sign in
 */
export function identifyBy(orm: MikroORM, machine?: () => Promise<SignedIn>): Identify {
  return async (request) => {
    const bearer = /^Bearer ([\w-]{20,100})$/.exec(request.get('authorization') ?? '')?.[1];
    if (bearer !== undefined) return byToken(orm, bearer);
    if (request.get('authorization') !== undefined) throw signedOut('That is not a token of this server.');
    // Requests that come over plain HTTP from elsewhere have none.
    const session = (request as Partial<Request>).session as SessionData | undefined;
    if (session?.personId !== undefined && Date.now() < endOf(session)) {
      const found = await placeOf(orm, session.personId, session.workspaceId);
      // Of a page of another workspace nothing is written here: another tab may have gone elsewhere since.
      if (found)
        return {
          ...found,
          means: 'session',
          csrf: `${session.csrf}.${found.workspaceId}`,
          mayWrite: true,
        };
    }
    // A session that only asks for a passkey's answer belongs to no one yet.
    if (bearsSession(request) && session?.challenge === undefined)
      throw signedOut('You are signed out here; sign in again.');
    if (machine && isOnThisMachine(request)) return machine();
    throw signedOut('Sign in first.');
  };
}

async function byToken(orm: MikroORM, bearer: string): Promise<SignedIn> {
  const token = await holderOfToken(orm, bearer);
  const found = token && (await placeOf(orm, token.personId, token.workspaceId, true));
  if (!found) throw signedOut('That token is unknown here, or has ended.');
  return {
    ...found,
    means: 'token',
    tokenId: token.id,
    csrf: null,
    mayWrite: token.scopes.includes('write'),
  };
}

/**
 * Somebody in the workspace they are in, or in the first that is theirs where they no longer belong to that
 * one.
 */
async function placeOf(
  orm: MikroORM,
  personId: string,
  workspaceId: string,
  only = false,
): Promise<Omit<SignedIn, 'means' | 'csrf' | 'mayWrite'> | undefined> {
  const identity = await identityOf(orm, personId);
  const place =
    identity?.workspaces.find(({ id }) => id === workspaceId) ?? (only ? undefined : identity?.workspaces[0]);
  return (
    place && {
      personId,
      who: identity!.name,
      workspaceId: place.id,
      workspaceName: place.name,
      role: place.role,
      playerIds: place.playerIds,
    }
  );
}

export async function signedInView(orm: MikroORM, signedIn: SignedIn): Promise<SignedInView> {
  const { workspaceId, workspaceName, who, personId, role, playerIds, means, csrf } = signedIn;
  const workspaces = personId === null ? [] : ((await identityOf(orm, personId))?.workspaces ?? []);
  return {
    workspace: { id: workspaceId, name: workspaceName },
    who,
    personId,
    role,
    playerIds: playerIds ?? null,
    workspaces: workspaces.map(({ id, name, role: there }) => ({ id, name, role: there })),
    means,
    csrf,
  };
}

export function signedOut(message: string): HttpError {
  return new HttpError(401, { error: 'signed-out', message });
}
