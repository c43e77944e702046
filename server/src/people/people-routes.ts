import {
  MAX_PEOPLE,
  inviteSchema,
  memberChangeSchema,
  personIdSchema,
  plainEmail,
  rowIdSchema,
  wholeDocument,
  type InvitationView,
  type MadeLinkView,
  type PeopleView,
  type Role,
} from '@tasche/contract';
import type { EntityManager } from '@mikro-orm/postgresql';
import { Router, type Request } from 'express';
import * as yup from 'yup';
import { readQuery } from '../http/read-query.js';
import type { Asks } from '../http/route-list.js';
import { badInput, conflict, notFound, ruleBroken } from '../http/http-error.js';
import { jsonBody, type RouteContext } from '../http/route-context.js';
import { Player } from '../players/player.js';
import { asAsker } from '../workspaces/in-workspace.js';
import type { Letter } from '../mail/mail-service.js';
import { invitationLetter, resetLetter } from './letters.js';
import { note, readAudit, type AuditedEvent } from './audit.js';
import { RESET_ELSEWHERE, makeLink } from './one-time-links.js';
import { Membership, OneTimeLink, Person } from './person.js';

const invite = wholeDocument(inviteSchema);
const memberChange = wholeDocument(memberChangeSchema);
const onePerson = wholeDocument(personIdSchema);
const oneRow = wholeDocument(rowIdSchema);
const auditQuery = yup.object({
  limit: yup.number().integer().min(1).max(200).default(50),
  before: yup.number().integer().min(1).max(Number.MAX_SAFE_INTEGER),
});

export const peopleAsks: Asks = {
  'POST /people/invite': { body: invite },
  'POST /people/withdraw': { body: oneRow },
  'POST /people/change': { body: memberChange },
  'POST /people/remove': { body: onePerson },
  'POST /people/reset': { body: onePerson },
  'GET /audit': { query: auditQuery },
};

/** Who is in a workspace, as what; for its owners. */
export function peopleRoutes({ orm, scopeOf, people, mail }: RouteContext): Router {
  const router = Router();

  router.get('/people', async (request, response) => {
    response.json(await inHere(request, readPeople));
  });

  router.post('/people/invite', async (request, response) => {
    const form = invite.validateSync(jsonBody(request), { strict: true });
    const email = plainEmail(form.email);
    const { link, about } = await inHere(request, async (em, here) => {
      await requirePlayers(em, form.playerIds);
      const members = await readPeople(em, here);
      if (members.members.length + members.invitations.length >= MAX_PEOPLE)
        throw ruleBroken(`A workspace has at most ${MAX_PEOPLE} people.`);
      if (members.members.some((one) => one.email === email))
        throw conflict(`${form.email} is in this workspace already.`);
      await noted(em, request, 'invited', `${form.name} <${email}> as ${form.role}`);
      const link = makeLink(em, originOf(request), {
        purpose: 'invitation',
        workspaceId: here.workspaceId,
        name: form.name,
        email,
        role: form.role,
        playerIds: form.playerIds ?? null,
        madeBy: here.who,
      });
      return { link, about: { name: form.name, email, madeBy: here.who } };
    });
    const { workspaceName } = await scopeOf(request);
    response.json(await mailed(link, invitationLetter({ ...about, workspaceName, link, role: form.role })));
  });

  router.post('/people/withdraw', async (request, response) => {
    const { id } = oneRow.validateSync(jsonBody(request), { strict: true });
    response.json(
      await inHere(request, async (em, here) => {
        const link = await em.findOne(OneTimeLink, { id, usedAt: null });
        if (!link) throw notFound('link');
        link.expiresAt = new Date(0);
        await noted(em, request, 'link withdrawn', link.email);
        await em.flush();
        return readPeople(em, here);
      }),
    );
  });

  router.post('/people/change', async (request, response) => {
    const { personId, role, playerIds } = memberChange.validateSync(jsonBody(request), { strict: true });
    response.json(
      await inHere(request, async (em, here) => {
        await requirePlayers(em, playerIds);
        const member = await memberOf(em, here.workspaceId, personId);
        const was = member.role;
        Object.assign(member, { role, playerIds: playerIds ?? null });
        await em.flush();
        await requireOwner(em, here.workspaceId);
        await noted(em, request, 'role changed', `${await nameOf(em, personId)}: ${was} to ${role}`);
        return readPeople(em, here);
      }),
    );
  });

  router.post('/people/remove', async (request, response) => {
    const { personId } = onePerson.validateSync(jsonBody(request), { strict: true });
    const view = await inHere(request, async (em, here) => {
      const member = await memberOf(em, here.workspaceId, personId);
      await noted(em, request, 'removed', `${await nameOf(em, personId)}, ${member.role}`);
      em.remove(member);
      await em.flush();
      await requireOwner(em, here.workspaceId);
      await em.execute(
        'update access_token set revoked_at = now() where person_id = ? and workspace_id = ? and revoked_at is null',
        [personId, here.workspaceId],
      );
      return readPeople(em, here);
    });
    // A person who is in no workspace any more is signed out; otherwise they go on in another.
    const left = await asAsker(orm, { personId }, (em) => em.count(Membership, { personId }));
    if (left === 0) await people?.sessions.end(personId, { allBut: null });
    response.json(view);
  });

  router.post('/people/reset', async (request, response) => {
    const { personId } = onePerson.validateSync(jsonBody(request), { strict: true });
    // A link sets a password for every workspace: an owner of one does not get into another by it.
    const places = await asAsker(orm, { personId }, (em) => em.count(Membership, { personId }));
    const { link, about } = await inHere(request, async (em, here) => {
      await memberOf(em, here.workspaceId, personId);
      if (places > 1) throw ruleBroken(RESET_ELSEWHERE);
      const person = await em.findOneOrFail(Person, { id: personId });
      await noted(em, request, 'reset made', `for ${person.name} <${person.email}>`);
      const { name, email } = person;
      const link = makeLink(em, originOf(request), {
        purpose: 'reset',
        workspaceId: here.workspaceId,
        personId,
        name,
        email,
        madeBy: here.who,
      });
      return { link, about: { name, email, madeBy: here.who } };
    });
    const { workspaceName } = await scopeOf(request);
    response.json(await mailed(link, resetLetter({ ...about, workspaceName, link })));
  });

  router.get('/audit', async (request, response) => {
    const { limit, before } = readQuery(request, auditQuery);
    response.json(await inHere(request, (em, { workspaceId }) => readAudit(em, workspaceId, limit, before)));
  });
  return router;

  /** Sends the letter with a link, where this server sends letters, once the link is there. */
  async function mailed(link: MadeLinkView, letter: Letter): Promise<MadeLinkView> {
    return mail ? { ...link, mailed: await mail.send(letter) } : link;
  }

  async function inHere<T>(
    request: Request,
    work: (em: EntityManager, here: { workspaceId: string; who: string }) => Promise<T>,
  ): Promise<T> {
    const { workspaceId, personId, who } = await scopeOf(request);
    return asAsker(orm, { workspaceId, personId }, (em) => work(em, { workspaceId, who }));
  }

  async function noted(
    em: EntityManager,
    request: Request,
    what: AuditedEvent,
    detail: string,
  ): Promise<void> {
    const { workspaceId, personId, who } = await scopeOf(request);
    await note(em, request, { workspaceId, personId, who }, what, detail);
  }
}

async function readPeople(em: EntityManager, { workspaceId }: { workspaceId: string }): Promise<PeopleView> {
  const members = await em.find(
    Membership,
    { workspaceId },
    { limit: MAX_PEOPLE, orderBy: { since: 'asc', personId: 'asc' } },
  );
  const persons = await em.find(Person, { id: { $in: members.map(({ personId }) => personId) } });
  const links = await em.find(
    OneTimeLink,
    { workspaceId, usedAt: null, purpose: { $ne: 'first' }, expiresAt: { $gt: new Date() } },
    { limit: MAX_PEOPLE, orderBy: { madeAt: 'desc', id: 'asc' } },
  );
  return {
    members: members.map(({ personId, role, playerIds, since }) => {
      const { name, email, codeSecret } = persons.find(({ id }) => id === personId)!;
      return {
        personId,
        name,
        email,
        role,
        playerIds: playerIds ?? null,
        since: since.toISOString(),
        code: codeSecret != null,
      };
    }),
    invitations: links.map(({ id, purpose, name, email, role, playerIds, madeBy, expiresAt }) => ({
      id,
      purpose: purpose as InvitationView['purpose'],
      name,
      email,
      role: role ?? null,
      playerIds: playerIds ?? null,
      madeBy: madeBy || 'whoever runs the server',
      expiresAt: expiresAt.toISOString(),
    })),
  };
}

async function memberOf(em: EntityManager, workspaceId: string, personId: string): Promise<Membership> {
  // Of two owners who remove each other, one waits and is then refused.
  await em.execute('select id from workspace where id = ? for update', [workspaceId]);
  const member = await em.findOne(Membership, { workspaceId, personId });
  if (!member) throw notFound('person');
  return member;
}

async function nameOf(em: EntityManager, id: string): Promise<string> {
  return (await em.findOneOrFail(Person, { id })).name;
}

/** @throws HttpError where no owner would be left */
async function requireOwner(em: EntityManager, workspaceId: string): Promise<void> {
  const owner: Role = 'owner';
  if ((await em.count(Membership, { workspaceId, role: owner })) === 0)
    throw ruleBroken('A workspace needs at least one owner. Make somebody else an owner first.');
}

async function requirePlayers(
  em: EntityManager,
  playerIds: readonly string[] | null | undefined,
): Promise<void> {
  if (!playerIds?.length) return;
  const known = await em.count(Player, { id: { $in: [...playerIds] }, removedAt: null });
  if (known !== new Set(playerIds).size)
    throw badInput('One of these players is not in this workspace.', [
      { field: 'playerIds', message: 'not a player here' },
    ]);
}

/** The address of the page as its reader sees it. */
export function originOf(request: Request): string {
  return `${request.protocol}://${request.get('host')}`;
}
