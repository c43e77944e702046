import { randomInt } from 'node:crypto';
import type { MikroORM } from '@mikro-orm/postgresql';
import type { Request } from 'express';
import { verify } from 'otplib';
import { asAsker } from '../workspaces/in-workspace.js';
import { note } from './audit.js';
import { hashOfKey } from './keys.js';
import { Person } from './person.js';

const RECOVERY_CODES = 10;
/** No letters that are taken for digits, or for each other. */
const LETTERS = 'abcdefghjkmnpqrstuvwxyz23456789';
const CODE_LETTERS = 12;
/** Clocks may differ by so much. */
const TOLERANCE_S = 30;

/**
 * The codes of an authenticator (RFC 6238). The step of a code, where it is good and newer than the last one
 * taken.
 */
export async function stepOfCode(secret: string, code: string, after: number): Promise<number | undefined> {
  const token = code.replace(/\s/g, '');
  if (!/^\d{6}$/.test(token)) return undefined;
  const result = await verify({
    secret,
    token,
    epochTolerance: TOLERANCE_S,
    ...(after > 0 && { afterTimeStep: after }),
  });
  return result.valid && 'timeStep' in result ? result.timeStep : undefined;
}

/** Takes a code, once. */
export async function isCode(orm: MikroORM, { id, codeSecret }: Person, code: string): Promise<boolean> {
  return asAsker(orm, { personId: id }, async (em) => {
    await em.execute('select id from person where id = ? for update', [id]);
    const person = await em.findOneOrFail(Person, { id }, { refresh: true });
    const step = codeSecret ? await stepOfCode(codeSecret, code, person.codeStep) : undefined;
    if (step === undefined) return false;
    person.codeStep = step;
    return true;
  });
}

/** Takes a recovery code, once. */
export async function isRecoveryCode(
  orm: MikroORM,
  request: Request,
  { id }: Person,
  code: string,
): Promise<boolean> {
  const hash = hashOfKey(plainCode(code));
  return asAsker(orm, { personId: id }, async (em) => {
    await em.execute('select id from person where id = ? for update', [id]);
    const person = await em.findOneOrFail(Person, { id }, { refresh: true });
    if (!person.recoveryCodes.includes(hash)) return false;
    person.recoveryCodes = person.recoveryCodes.filter((one) => one !== hash);
    await note(
      em,
      request,
      { personId: id, who: person.name },
      'recovery code used',
      `${person.recoveryCodes.length} left`,
    );
    return true;
  });
}

/** New recovery codes, to be shown once, and what is kept of them. 12 letters of 31: 59 bits each. */
export function newRecoveryCodes(): { codes: string[]; hashes: string[] } {
  const codes = Array.from({ length: RECOVERY_CODES }, () =>
    Array.from({ length: CODE_LETTERS }, (_one, i) => {
      const letter = LETTERS[randomInt(LETTERS.length)]!;
      return i > 0 && i % 4 === 0 ? `-${letter}` : letter;
    }).join(''),
  );
  return { codes, hashes: codes.map((code) => hashOfKey(plainCode(code))) };
}

function plainCode(code: string): string {
  return code.toLowerCase().replace(/[^a-z0-9]/g, '');
}
