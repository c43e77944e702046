import {
  codeOnlySchema,
  passwordChangeSchema,
  passwordOnlySchema,
  sessionEndSchema,
  wholeDocument,
  workspaceIdSchema,
  workspaceNameSchema,
  type AccountView,
} from '@tasche/contract';
import type { EntityManager } from '@mikro-orm/postgresql';
import { Router, type Request } from 'express';
import { generateSecret, generateURI } from 'otplib';
import { v4 as newId } from 'uuid';
import { badInput, notFound, ruleBroken } from '../http/http-error.js';
import { jsonBody, type RouteContext } from '../http/route-context.js';
import type { Asks } from '../http/route-list.js';
import { asAsker } from '../workspaces/in-workspace.js';
import { Workspace } from '../workspaces/workspace.js';
import { addressOf, note, type AuditedEvent } from './audit.js';
import { beginSession } from './browser-sessions.js';
import { signedInView } from './identify.js';
import { requireUncommon } from './common-passwords.js';
import { hashPassword, isPassword } from './passwords.js';
import { Membership, Passkey, Person } from './person.js';
import { newRecoveryCodes, stepOfCode } from './second-factor.js';

const passwordChange = wholeDocument(passwordChangeSchema);
const passwordOnly = wholeDocument(passwordOnlySchema);
const codeOnly = wholeDocument(codeOnlySchema);
const sessionEnd = wholeDocument(sessionEndSchema);
const workspaceBody = wholeDocument(workspaceIdSchema);
const workspaceName = wholeDocument(workspaceNameSchema);

export const accountAsks: Asks = {
  'POST /account/password': { body: passwordChange },
  'POST /account/code/start': { body: passwordOnly },
  'POST /account/code/confirm': { body: codeOnly },
  'POST /account/code/remove': { body: passwordOnly },
  'POST /account/sessions/end': { body: sessionEnd },
  'POST /workspaces/enter': { body: workspaceBody },
  'POST /workspaces': { body: workspaceName },
};

/** What somebody sees and changes of their own account. */
export function accountRoutes({ orm, identify, scopeOf, people }: RouteContext): Router {
  const router = Router();

  router.get('/account', async (request, response) => {
    response.json(await readAccount(request));
  });

  router.post('/account/password', async (request, response) => {
    const { current, next } = passwordChange.validateSync(jsonBody(request), { strict: true });
    const { personId, workspaceId } = await self(request);
    await requirePassword(request, current, 'current');
    const { name, email } = await ofPerson(request, (_em, person) => Promise.resolve(person));
    requireUncommon(next, 'next', [name, email]);
    const passwordHash = await hashPassword(next);
    await ofPerson(request, async (em, person) => {
      person.passwordHash = passwordHash;
      await noted(em, request, 'password changed');
    });
    // All other sessions end; this browser goes on under another id.
    const { stay } = request.session;
    await people!.sessions.end(personId, { allBut: null });
    await beginSession(request, { personId, workspaceId, stay: stay === true });
    response.json(await signedInView(orm, await identify(request)));
  });

  // The secret is kept only once a code made from it has been typed.
  router.post('/account/code/start', async (request, response) => {
    const { password } = passwordOnly.validateSync(jsonBody(request), { strict: true });
    await requirePassword(request, password, 'password');
    const secret = generateSecret();
    const { email } = await ofPerson(request, (_em, person) => Promise.resolve(person));
    request.session.codeSecret = secret;
    response.json({ secret, uri: generateURI({ issuer: 'Tasche', label: email, secret }) });
  });

  router.post('/account/code/confirm', async (request, response) => {
    const { code } = codeOnly.validateSync(jsonBody(request), { strict: true });
    const secret = request.session.codeSecret;
    if (!secret) throw ruleBroken('Start over: no code is expected here.');
    const step = await stepOfCode(secret, code, 0);
    if (step === undefined)
      throw badInput('That code is not right; the next one comes within half a minute.', [
        { field: 'code', message: 'not the code that is shown now' },
      ]);
    const { codes, hashes } = newRecoveryCodes();
    await ofPerson(request, async (em, person) => {
      Object.assign(person, { codeSecret: secret, codeStep: step, recoveryCodes: hashes });
      await noted(em, request, 'second factor added');
    });
    delete request.session.codeSecret;
    response.json({ recoveryCodes: codes });
  });

  router.post('/account/code/remove', async (request, response) => {
    const { password } = passwordOnly.validateSync(jsonBody(request), { strict: true });
    await requirePassword(request, password, 'password');
    await ofPerson(request, async (em, person) => {
      Object.assign(person, { codeSecret: null, codeStep: 0, recoveryCodes: [] });
      await noted(em, request, 'second factor removed');
    });
    response.json(await readAccount(request));
  });

  router.post('/account/sessions/end', async (request, response) => {
    const { id } = sessionEnd.validateSync(jsonBody(request), { strict: true });
    const { personId } = await self(request);
    const ended = await people!.sessions.end(
      personId,
      id === 'others' ? { allBut: request.sessionID } : { id },
    );
    if (ended === 0 && id !== 'others') throw notFound('session');
    await ofPerson(request, (em) => noted(em, request, 'session ended', `${ended}`));
    response.json(await readAccount(request));
  });

  router.post('/workspaces/enter', async (request, response) => {
    const { workspaceId } = workspaceBody.validateSync(jsonBody(request), { strict: true });
    const { personId } = await self(request);
    const found = await asAsker(orm, { personId }, (em) => em.findOne(Membership, { workspaceId, personId }));
    if (!found) throw notFound('workspace');
    request.session.workspaceId = workspaceId;
    response.json(await signedInView(orm, await identify(request)));
  });

  router.post('/workspaces', async (request, response) => {
    const { name } = workspaceName.validateSync(jsonBody(request), { strict: true });
    const { personId, who } = await self(request);
    const workspaceId = newId();
    await asAsker(orm, { personId, workspaceId }, async (em) => {
      em.create(Workspace, { id: workspaceId, name, person: who, demoLoadedAt: null }, { persist: true });
      await em.flush();
      em.create(Membership, { workspaceId, personId, role: 'owner', playerIds: null }, { persist: true });
      await note(em, request, { personId, who, workspaceId }, 'workspace made', name);
    });
    request.session.workspaceId = workspaceId;
    response.json(await signedInView(orm, await identify(request)));
  });
  return router;

  /** @throws HttpError where no account is signed in by a session */
  async function self(request: Request): Promise<{ personId: string; workspaceId: string; who: string }> {
    const { personId, workspaceId, who, means } = await scopeOf(request);
    if (personId === null || means !== 'session' || !people)
      throw ruleBroken('No account is signed in here.');
    return { personId, workspaceId, who };
  }

  async function ofPerson<T>(
    request: Request,
    work: (em: EntityManager, person: Person) => Promise<T>,
  ): Promise<T> {
    const { personId, workspaceId } = await self(request);
    return asAsker(orm, { personId, workspaceId }, async (em) =>
      work(em, await em.findOneOrFail(Person, { id: personId })),
    );
  }

  async function noted(em: EntityManager, request: Request, what: AuditedEvent, detail = ''): Promise<void> {
    const { personId, workspaceId, who } = await self(request);
    await note(em, request, { personId, workspaceId, who }, what, detail);
  }

  /** Changing how one signs in asks for the password again. @throws HttpError 400 naming the field */
  async function requirePassword(request: Request, password: string, field: string): Promise<void> {
    const { passwordHash, email } = await ofPerson(request, (_em, person) => Promise.resolve(person));
    const address = addressOf(request);
    await people!.tries.requireFew(email, address, true);
    if (await isPassword(passwordHash, password)) return;
    await people!.tries.failed(email, address);
    throw badInput('That is not your password.', [{ field, message: 'not your password' }]);
  }

  async function readAccount(request: Request): Promise<AccountView> {
    const { personId } = await self(request);
    const { person, passkeys } = await asAsker(orm, { personId }, async (em) => ({
      person: await em.findOneOrFail(Person, { id: personId }),
      passkeys: await em.find(Passkey, { personId }, { orderBy: { madeAt: 'asc' } }),
    }));
    return {
      id: personId,
      email: person.email,
      name: person.name,
      code: person.codeSecret != null,
      recoveryCodes: person.recoveryCodes.length,
      passkeys: passkeys.map(({ id, name, madeAt }) => ({ id, name, madeAt: madeAt.toISOString() })),
      sessions: await people!.sessions.listOf(personId, request.sessionID),
    };
  }
}
