import { plainEmail, type SignInForm } from '@tasche/contract';
import type { MikroORM } from '@mikro-orm/postgresql';
import type { Request } from 'express';
import type pg from 'pg';
import { RateLimiterPostgres, RateLimiterRes } from 'rate-limiter-flexible';
import { HttpError } from '../http/http-error.js';
import { asAsker } from '../workspaces/in-workspace.js';
import { addressOf, note } from './audit.js';
import { signedOut } from './identify.js';
import { isPassword } from './passwords.js';
import { Person } from './person.js';
import { isCode, isRecoveryCode } from './second-factor.js';

const QUARTER_HOUR_S = 900;
const HOUR_S = 3600;

/**
 * Counts what failed, over all servers. Of one address for one account few tries, of one address more, of one
 * account from everywhere more still; the last does not hold where the account was signed in to before, so that
 * no one can lock the owner out of their account.
 */
export class FailedTries {
  private readonly ofPair: RateLimiterPostgres;
  private readonly ofAddress: RateLimiterPostgres;
  private readonly ofAccount: RateLimiterPostgres;

  constructor(pool: pg.Pool) {
    const counting = (keyPrefix: string, points: number, duration: number) =>
      new RateLimiterPostgres({
        storeClient: pool,
        storeType: 'pool',
        tableName: 'counted_try',
        tableCreated: true,
        clearExpiredByTimeout: true,
        keyPrefix,
        points,
        duration,
      });
    this.ofPair = counting('pair', 8, QUARTER_HOUR_S);
    this.ofAddress = counting('address', 60, QUARTER_HOUR_S);
    this.ofAccount = counting('account', 40, HOUR_S);
  }

  /** @throws HttpError 429 where there were too many */
  async requireFew(email: string, address: string, isKnownHere: boolean): Promise<void> {
    const counted = await Promise.all([
      this.ofPair.get(`${email} ${address}`),
      this.ofAddress.get(address),
      isKnownHere ? null : this.ofAccount.get(email),
    ]);
    const over = [this.ofPair, this.ofAddress, this.ofAccount].some(
      (limiter, i) => (counted[i]?.consumedPoints ?? 0) >= limiter.points,
    );
    if (!over) return;
    const waitMs = Math.max(...counted.map((one) => one?.msBeforeNext ?? 0));
    throw new HttpError(429, {
      error: 'too-many-requests',
      message: `Too many failed attempts. Try again in ${Math.ceil(waitMs / 60_000)} min, or ask an owner for a link to set a new password.`,
    });
  }

  async failed(email: string, address: string): Promise<void> {
    await Promise.all(
      [
        this.ofPair.consume(`${email} ${address}`),
        this.ofAddress.consume(address),
        this.ofAccount.consume(email),
      ].map((counting) =>
        counting.catch((over: unknown) => {
          if (!(over instanceof RateLimiterRes)) throw over;
        }),
      ),
    );
  }

  async succeeded(email: string, address: string): Promise<void> {
    await this.ofPair.delete(`${email} ${address}`);
  }
}

/**
 * Lets somebody in by e-mail address and password, and by a code where they use one. What failed is counted and
 * noted.
 * @throws HttpError 401 without saying what was wrong, 429 where too much was
 */
export async function signIn(
  orm: MikroORM,
  tries: FailedTries,
  request: Request,
  form: SignInForm,
): Promise<Person> {
  const email = plainEmail(form.email);
  const address = addressOf(request);
  const person = await asAsker(orm, { key: email }, (em) => em.findOne(Person, { email }));
  await tries.requireFew(email, address, person !== null && (await wasHereBefore(orm, person.id, address)));
  const isRight = await isPassword(person?.passwordHash, form.password);
  if (!person || !isRight) {
    await refuse(person, 'password');
    throw signedOut('That e-mail address and password do not match.');
  }
  if (person.codeSecret) {
    if (!form.code?.trim())
      throw new HttpError(401, {
        error: 'code-needed',
        message: 'Type the six digits your authenticator shows, or a recovery code.',
      });
    const { code } = form;
    const isGood = (await isCode(orm, person, code)) || (await isRecoveryCode(orm, request, person, code));
    if (!isGood) {
      await refuse(person, 'code');
      throw new HttpError(401, {
        error: 'code-needed',
        message: 'That code is not right, or was used already.',
      });
    }
  }
  await tries.succeeded(email, address);
  return person;

  async function refuse(known: Person | null, what: string): Promise<void> {
    await tries.failed(email, address);
    const personId = known?.id ?? null;
    await asAsker(orm, { personId }, (em) =>
      note(
        em,
        request,
        { personId, who: known?.name ?? 'somebody' },
        'sign-in refused',
        `${what} for ${email}`,
      ),
    );
  }
}

async function wasHereBefore(orm: MikroORM, personId: string, address: string): Promise<boolean> {
  const rows = await asAsker(orm, { personId }, (em) =>
    em.execute(
      `select 1 from audit_entry where person_id = ? and what = 'signed in' and address = ? limit 1`,
      [personId, address],
    ),
  );
  return rows.length > 0;
}
