import { passkeyNameSchema, rowTextIdSchema, shape, wholeDocument } from '@tasche/contract';
import {
  generateAuthenticationOptions,
  generateRegistrationOptions,
  verifyAuthenticationResponse,
  verifyRegistrationResponse,
  type AuthenticationResponseJSON,
  type AuthenticatorTransport,
  type RegistrationResponseJSON,
} from '@simplewebauthn/server';
import type { MikroORM } from '@mikro-orm/postgresql';
import { Router, type Request } from 'express';
import * as yup from 'yup';
import { badInput, notFound, ruleBroken } from '../http/http-error.js';
import { jsonBody, required, type RouteContext } from '../http/route-context.js';
import type { Asks } from '../http/route-list.js';
import { asAsker } from '../workspaces/in-workspace.js';
import { note } from './audit.js';
import { signedInView, signedOut } from './identify.js';
import { originOf } from './people-routes.js';
import { Passkey, Person } from './person.js';
import { enter, requirePrivacy } from './sign-in-routes.js';

const MAX_PASSKEYS = 20;
const MAX_ANSWER = 20_000;
/** What a browser's authenticator answered; the library looks into it. */
const answerSchema = required(
  yup
    .object()
    .test(
      'size',
      '${path} is too large',
      (value) => value == null || JSON.stringify(value).length <= MAX_ANSWER,
    ),
);
const addBody = wholeDocument(passkeyNameSchema.shape({ answer: answerSchema }));
const signInBody = wholeDocument(shape({ answer: answerSchema, stay: yup.boolean().strict() }));
const removeBody = wholeDocument(rowTextIdSchema);

export const passkeyAsks: Asks = {
  'POST /account/passkeys/finish': { body: addBody },
  'POST /account/passkeys/remove': { body: removeBody },
  'POST /sign-in/passkey/finish': { body: signInBody },
};

/** Passkeys (WebAuthn level 2): a key on a device in place of password and code. */
export function passkeyRoutes({ orm, identify, scopeOf, people }: RouteContext): Router {
  const router = Router();

  router.post('/account/passkeys/start', async (request, response) => {
    const personId = await self(request);
    const { person, passkeys } = await read(orm, personId);
    if (passkeys.length >= MAX_PASSKEYS) throw ruleBroken(`At most ${MAX_PASSKEYS} passkeys a person.`);
    const options = await generateRegistrationOptions({
      rpName: 'Tasche',
      rpID: siteOf(request),
      userName: person.email,
      userDisplayName: person.name,
      attestationType: 'none',
      excludeCredentials: passkeys.map(({ id }) => ({ id })),
      authenticatorSelection: { residentKey: 'required', userVerification: 'required' },
    });
    request.session.challenge = options.challenge;
    response.json(options);
  });

  router.post('/account/passkeys/finish', async (request, response) => {
    const { name, answer } = addBody.validateSync(jsonBody(request), { strict: true });
    const personId = await self(request);
    const { who, workspaceId } = await scopeOf(request);
    const made = await verifyRegistrationResponse({
      response: answer as unknown as RegistrationResponseJSON,
      expectedChallenge: takeChallenge(request),
      expectedOrigin: originOf(request),
      expectedRPID: siteOf(request),
      requireUserVerification: true,
    }).catch(() => undefined);
    const credential = made?.verified ? made.registrationInfo?.credential : undefined;
    if (!credential) throw badInput('The passkey’s answer is not right; try again.');
    await asAsker(orm, { personId, workspaceId }, async (em) => {
      em.create(
        Passkey,
        {
          id: credential.id,
          personId,
          publicKey: Buffer.from(credential.publicKey).toString('base64url'),
          counter: credential.counter,
          transports: credential.transports ?? [],
          name,
        },
        { persist: true },
      );
      await note(em, request, { personId, who, workspaceId }, 'passkey added', name);
    });
    response.json({ ok: true });
  });

  router.post('/account/passkeys/remove', async (request, response) => {
    const { id } = removeBody.validateSync(jsonBody(request), { strict: true });
    const personId = await self(request);
    const { who, workspaceId } = await scopeOf(request);
    await asAsker(orm, { personId, workspaceId }, async (em) => {
      const passkey = await em.findOne(Passkey, { id, personId });
      if (!passkey) throw notFound('passkey');
      em.remove(passkey);
      await note(em, request, { personId, who, workspaceId }, 'passkey removed', passkey.name);
    });
    response.json({ ok: true });
  });

  router.post('/sign-in/passkey/start', async (request, response) => {
    requirePrivacy(request);
    const options = await generateAuthenticationOptions({
      rpID: siteOf(request),
      userVerification: 'required',
    });
    request.session.challenge = options.challenge;
    response.json(options);
  });

  router.post('/sign-in/passkey/finish', async (request, response) => {
    requirePrivacy(request);
    const { answer, stay } = signInBody.validateSync(jsonBody(request), { strict: true });
    const given = answer as unknown as AuthenticationResponseJSON;
    const challenge = takeChallenge(request);
    const id = typeof given.id === 'string' ? given.id : '';
    const passkey = await asAsker(orm, { key: id }, (em) => em.findOne(Passkey, { id }));
    const checked =
      passkey &&
      (await verifyAuthenticationResponse({
        response: given,
        expectedChallenge: challenge,
        expectedOrigin: originOf(request),
        expectedRPID: siteOf(request),
        requireUserVerification: true,
        credential: {
          id: passkey.id,
          publicKey: new Uint8Array(Buffer.from(passkey.publicKey, 'base64url')),
          counter: passkey.counter,
          transports: passkey.transports as AuthenticatorTransport[],
        },
      }).catch(() => undefined));
    if (!checked?.verified) throw signedOut('That passkey is not known here.');
    const { personId } = passkey!;
    await asAsker(orm, { personId }, (em) =>
      em.nativeUpdate(Passkey, { id }, { counter: checked.authenticationInfo.newCounter }),
    );
    await enter(orm, request, personId, { stay: stay === true });
    response.json(await signedInView(orm, await identify(request)));
  });
  return router;

  async function self(request: Request): Promise<string> {
    const { personId, means } = await scopeOf(request);
    if (personId === null || means !== 'session' || !people)
      throw ruleBroken('No account is signed in here.');
    return personId;
  }
}

function read(orm: MikroORM, personId: string): Promise<{ person: Person; passkeys: Passkey[] }> {
  return asAsker(orm, { personId }, async (em) => ({
    person: await em.findOneOrFail(Person, { id: personId }),
    passkeys: await em.find(Passkey, { personId }),
  }));
}

/** The site a passkey belongs to: its host without the port. */
function siteOf(request: Request): string {
  return request.hostname;
}

/** What the passkey had to answer; asked once. */
function takeChallenge(request: Request): string {
  const { challenge } = request.session;
  delete request.session.challenge;
  if (!challenge) throw ruleBroken('Start over: no passkey is expected here.');
  return challenge;
}
