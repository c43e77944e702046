import type { SignedInView } from '@tasche/contract';
import {
  browserSupportsWebAuthn,
  startAuthentication,
  startRegistration,
  type PublicKeyCredentialCreationOptionsJSON,
  type PublicKeyCredentialRequestOptionsJSON,
} from '@simplewebauthn/browser';
import { post, requestSignedOut } from '../api/request';

/** A passkey belongs to a name; an address of digits has none. */
const DIGITS = /^[\d.]+$|^\[/;

export function hasPasskeys(): boolean {
  return browserSupportsWebAuthn() && !DIGITS.test(window.location.hostname);
}

/** Asks the device for its passkey and signs in with what it answers. @throws where there was no answer */
export async function passkeyAnswer(stay: boolean): Promise<SignedInView> {
  const optionsJSON = await requestSignedOut<PublicKeyCredentialRequestOptionsJSON>(
    '/sign-in/passkey/start',
    {},
  );
  const answer = await startAuthentication({ optionsJSON }).catch(notDone);
  return requestSignedOut<SignedInView>('/sign-in/passkey/finish', { answer, stay });
}

/** Has the device make a passkey. @throws where it did not */
export async function addPasskey(name: string): Promise<void> {
  const optionsJSON = await post<PublicKeyCredentialCreationOptionsJSON>('/account/passkeys/start', {});
  const answer = await startRegistration({ optionsJSON }).catch(notDone);
  await post('/account/passkeys/finish', { name, answer });
}

function notDone(error: unknown): never {
  const { name } = error as Error;
  throw new Error(
    name === 'InvalidStateError'
      ? 'This device already has one of your passkeys.'
      : 'The device gave no passkey; nothing has changed.',
  );
}
