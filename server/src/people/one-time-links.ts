import { INVITATION_DAYS, type LinkView, type MadeLinkView, type Role } from '@tasche/contract';
import type { EntityManager, MikroORM } from '@mikro-orm/postgresql';
import { v4 as newId } from 'uuid';
import { HttpError, notFound } from '../http/http-error.js';
import { asAsker } from '../workspaces/in-workspace.js';
import { Workspace } from '../workspaces/workspace.js';
import { hashOfKey, newKey } from './keys.js';
import { OneTimeLink, Person } from './person.js';

const DAY_MS = 86_400_000;
/** Where a link leads; the key stands after the #, so that no server and no log sees it. */
const PAGE = '/welcome';

/** Stands for the operator of the server: no person's name is empty. */
export const BY_THE_SERVER = '';

/** Why an owner's link sets no password. */
export const RESET_ELSEWHERE =
  'They belong to other workspaces too, so no owner of a single one can reset their password. Whoever runs the server can: ./tasche reset-link.';

interface LinkOrder {
  purpose: OneTimeLink['purpose'];
  workspaceId: string | null;
  personId?: string | null;
  name: string;
  email: string;
  role?: Role | null;
  playerIds?: string[] | null;
  /** Their name; `BY_THE_SERVER` where the operator did. */
  madeBy: string;
}

/** Makes a link that works once. @param origin of the page, such as `https://van.example` */
export function makeLink(em: EntityManager, origin: string, order: LinkOrder): MadeLinkView {
  const key = newKey();
  const expiresAt = new Date(Date.now() + INVITATION_DAYS * DAY_MS);
  em.create(
    OneTimeLink,
    {
      id: newId(),
      keyHash: hashOfKey(key),
      personId: null,
      role: null,
      playerIds: null,
      ...order,
      expiresAt,
      usedAt: null,
    },
    { persist: true },
  );
  return { url: `${origin}${PAGE}#${key}`, expiresAt: expiresAt.toISOString(), mailed: null };
}

/**
 * Does something with the link of a key, which must be good now.
 * @throws HttpError 404 where there is none, or it was used, withdrawn, or is too old
 */
export async function withLink<T>(
  orm: MikroORM,
  key: string,
  work: (em: EntityManager, link: OneTimeLink) => Promise<T>,
): Promise<T> {
  const keyHash = hashOfKey(key);
  return asAsker(orm, { key: keyHash }, async (em) => {
    // Two who use it at once: the second waits, and then finds it used.
    await em.execute('select pg_advisory_xact_lock(hashtextextended(?, 1))', [keyHash]);
    const link = await em.findOne(OneTimeLink, { keyHash });
    if (!link || link.usedAt || link.expiresAt.getTime() <= Date.now())
      throw new HttpError(404, {
        ...notFound('link').problem,
        message: 'This link was used already, was withdrawn, or is too old. Ask the sender for a new one.',
      });
    return work(em, link);
  });
}

export async function readLink(orm: MikroORM, key: string): Promise<LinkView> {
  const link = await withLink(orm, key, (_em, found) => Promise.resolve(found));
  const { purpose, role, name, email, workspaceId } = link;
  const about = await asAsker(orm, { ...(workspaceId && { workspaceId }), key: email }, async (em) => ({
    workspace: workspaceId ? await em.findOne(Workspace, { id: workspaceId }) : null,
    person: email === '' ? null : await em.findOne(Person, { email }),
  }));
  return {
    purpose,
    workspaceName: about.workspace?.name ?? null,
    role: role ?? null,
    name,
    email,
    known: purpose === 'invitation' && about.person !== null,
  };
}
