import type { MikroORM } from '@mikro-orm/postgresql';
import { v4 as newId } from 'uuid';
import { BY_THE_SERVER, makeLink } from '../people/one-time-links.js';
import { Membership, OneTimeLink } from '../people/person.js';
import type { SignedIn } from '../people/scope.js';
import { tellOf } from './in-workspace.js';
import { Workspace } from './workspace.js';

/**
 * The first workspace there is; an empty one is made on the first day.
 * @param orm as the owner of the tables: nobody else sees every workspace
 */
export async function firstWorkspace(orm: MikroORM): Promise<Workspace> {
  return orm.em.fork().transactional(async (em) => {
    await em.execute('lock table workspace in exclusive mode');
    const [first] = await em.find(Workspace, {}, { limit: 1, orderBy: { createdAt: 'asc', id: 'asc' } });
    return (
      first ?? em.create(Workspace, { id: newId(), name: 'My workbench', person: 'Owner' }, { persist: true })
    );
  });
}

/**
 * While a workspace has no owner: an address where the first makes their account, instead of any made before.
 * @returns null where it has one
 */
export async function firstPersonLink(
  orm: MikroORM,
  workspaceId: string,
  origin: string,
): Promise<string | null> {
  return orm.em.fork().transactional(async (fork) => {
    const em = fork as typeof orm.em;
    await tellOf(em, { workspaceId });
    if ((await em.count(Membership, { workspaceId, role: 'owner' })) > 0) return null;
    await em.nativeUpdate(OneTimeLink, { workspaceId, purpose: 'first' }, { expiresAt: new Date(0) });
    const { url } = makeLink(em, origin, {
      purpose: 'first',
      workspaceId,
      name: '',
      email: '',
      role: 'owner',
      madeBy: BY_THE_SERVER,
    });
    return url;
  });
}

/** The user of this machine, as the owner of a workspace that needs no sign-in. */
export function machinePerson({ id, name, person }: Workspace): SignedIn {
  return {
    workspaceId: id,
    workspaceName: name,
    playerIds: null,
    who: person,
    personId: null,
    role: 'owner',
    means: 'machine',
    csrf: null,
    mayWrite: true,
  };
}
