import { linkKeySchema, plainEmail, signInSchema, useLinkSchema, wholeDocument } from '@tasche/contract';
import type { EntityManager, MikroORM } from '@mikro-orm/postgresql';
import { Router, type Request } from 'express';
import { v4 as newId } from 'uuid';
import { HttpError, conflict, ruleBroken } from '../http/http-error.js';
import { jsonBody, type RouteContext } from '../http/route-context.js';
import type { Asks } from '../http/route-list.js';
import { asAsker, tellOf } from '../workspaces/in-workspace.js';
import { note } from './audit.js';
import { beginSession, endSession } from './browser-sessions.js';
import { identityOf, signedInView, signedOut } from './identify.js';
import { BY_THE_SERVER, RESET_ELSEWHERE, readLink, withLink } from './one-time-links.js';
import { requireUncommon } from './common-passwords.js';
import { hashPassword } from './passwords.js';
import { Membership, Person, type OneTimeLink } from './person.js';
import { signIn } from './sign-in.js';

const signInBody = wholeDocument(signInSchema);
const keyBody = wholeDocument(linkKeySchema);
const useBody = wholeDocument(useLinkSchema);

export const signInAsks: Asks = {
  'POST /sign-in': { body: signInBody },
  'POST /links/look': { body: keyBody },
  'POST /links/use': { body: useBody },
  'POST /links/join': { body: keyBody },
};

/** How somebody gets in and out. */
export function signInRoutes({ orm, identify, scopeOf, people }: RouteContext): Router {
  const router = Router();

  router.post('/sign-in', async (request, response) => {
    requirePrivacy(request);
    const form = signInBody.validateSync(jsonBody(request), { strict: true });
    const person = await signIn(orm, required(people).tries, request, form);
    await enter(orm, request, person.id, { stay: form.stay === true });
    response.json(await signedInView(orm, await identify(request)));
  });

  router.post('/sign-out', async (request, response) => {
    const { personId, who, workspaceId, means } = await scopeOf(request);
    if (means !== 'session') throw ruleBroken('No session is signed in here.');
    await asAsker(orm, { personId, workspaceId }, (em) =>
      note(em, request, { personId, who, workspaceId }, 'signed out'),
    );
    await endSession(request);
    response.json({ ok: true });
  });

  router.post('/links/look', async (request, response) => {
    const { key } = keyBody.validateSync(jsonBody(request), { strict: true });
    response.json(await readLink(orm, key));
  });

  // A person without an account makes one with the link; one who lost their password sets a new one.
  router.post('/links/use', async (request, response) => {
    requirePrivacy(request);
    const form = useBody.validateSync(jsonBody(request), { strict: true });
    const { name: calledBefore, email: knownAt } = await readLink(orm, form.key);
    requireUncommon(form.password, 'password', [form.name ?? calledBefore, form.email ?? knownAt]);
    const passwordHash = await hashPassword(form.password);
    const person = await withLink(orm, form.key, async (em, link) => {
      if (link.purpose === 'reset') return reset(em, request, link, passwordHash);
      if (link.purpose === 'copy' || link.purpose === 'move')
        throw ruleBroken('That link hands over a player. Sign in as an owner of the workspace they go to.');
      const email = plainEmail(form.email ?? link.email);
      const name = form.name?.trim() ?? '';
      if (email === '' || name === '')
        throw ruleBroken('Enter your name and e-mail address; you sign in with the address.');
      const id = newId();
      await tellOf(em, { personId: id, workspaceId: link.workspaceId!, key: email });
      if (await em.findOne(Person, { email }))
        throw conflict(
          'Somebody with that address already has an account: sign in first, then open the link again.',
        );
      em.create(
        Person,
        { id, email, name, passwordHash, codeSecret: null, codeStep: 0, recoveryCodes: [] },
        { persist: true },
      );
      await em.flush();
      await join(em, request, link, { id, name });
      return { id, name };
    });
    await required(people).sessions.end(person.id, { allBut: null });
    await enter(orm, request, person.id, { stay: false });
    response.json(await signedInView(orm, await identify(request)));
  });

  // A person with an account accepts an invitation with it.
  router.post('/links/join', async (request, response) => {
    const { key } = keyBody.validateSync(jsonBody(request), { strict: true });
    const { personId, who } = await scopeOf(request);
    if (personId === null) throw signedOut('Sign in first.');
    const workspaceId = await withLink(orm, key, async (em, link) => {
      if (link.purpose !== 'invitation') throw ruleBroken('That link is not an invitation.');
      await tellOf(em, { personId, workspaceId: link.workspaceId! });
      if (await em.findOne(Membership, { workspaceId: link.workspaceId!, personId }))
        throw conflict('You are already in that workspace.');
      await join(em, request, link, { id: personId, name: who });
      return link.workspaceId!;
    });
    request.session.workspaceId = workspaceId;
    response.json(await signedInView(orm, await identify(request)));
  });
  return router;
}

/** Makes somebody a member as the link says, and uses the link up. */
async function join(
  em: EntityManager,
  request: Request,
  link: OneTimeLink,
  { id, name }: { id: string; name: string },
): Promise<void> {
  const { workspaceId, role, playerIds } = link;
  em.create(
    Membership,
    { workspaceId: workspaceId!, personId: id, role: role!, playerIds: playerIds ?? null },
    { persist: true },
  );
  link.usedAt = new Date();
  await note(em, request, { personId: id, who: name, workspaceId: workspaceId! }, 'joined', `as ${role}`);
  await em.flush();
}

/** Sets a new password; the second factor goes too, because it may have been lost with the phone. */
async function reset(
  em: EntityManager,
  request: Request,
  link: OneTimeLink,
  passwordHash: string,
): Promise<{ id: string; name: string }> {
  const id = link.personId!;
  await tellOf(em, { personId: id, workspaceId: link.workspaceId!, key: link.keyHash });
  const person = await em.findOneOrFail(Person, { id });
  // They may have joined another workspace since the link was made: an owner of one does not get into
  // another by it.
  if (link.madeBy !== BY_THE_SERVER && (await em.count(Membership, { personId: id })) > 1)
    throw ruleBroken(RESET_ELSEWHERE);
  Object.assign(person, { passwordHash, codeSecret: null, codeStep: 0, recoveryCodes: [] });
  link.usedAt = new Date();
  await note(
    em,
    request,
    { personId: id, who: person.name, workspaceId: link.workspaceId! },
    'password changed',
    'by a link',
  );
  await em.flush();
  return { id, name: person.name };
}

/** A password is sent over TLS or within this machine, or not at all. */
export function requirePrivacy(request: Request): void {
  if ((request as Partial<Request>).session) return;
  throw new HttpError(403, {
    error: 'forbidden',
    message:
      'Nobody signs in over plain HTTP from another machine. Open the https address of this server; if you did, it has to be told of the proxy in front of it (TASCHE_PROXIES).',
  });
}

/** @throws HttpError where this server has no sign-in */
function required(people: RouteContext['people']): NonNullable<RouteContext['people']> {
  if (!people) throw ruleBroken('This server has no sign-in.');
  return people;
}

/** Begins the session of somebody who is let in, in the first of their workspaces. */
export async function enter(
  orm: MikroORM,
  request: Request,
  personId: string,
  { stay }: { stay: boolean },
): Promise<void> {
  const identity = await identityOf(orm, personId);
  const place = identity?.workspaces[0];
  if (!place)
    throw new HttpError(403, {
      error: 'forbidden',
      message: 'You are in no workspace any more. Ask an owner for an invitation.',
    });
  await beginSession(request, { personId, workspaceId: place.id, stay });
  await asAsker(orm, { personId, workspaceId: place.id }, (em) =>
    note(
      em,
      request,
      { personId, who: identity.name, workspaceId: place.id },
      'signed in',
      stay ? 'stays signed in' : '',
    ),
  );
}
