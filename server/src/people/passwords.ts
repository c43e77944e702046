import { hash, verify } from '@node-rs/argon2';

/** Argon2id with 19 MiB and two passes, one lane: OWASP Password Storage Cheat Sheet. */
const COST = { memoryCost: 19_456, timeCost: 2, parallelism: 1 };

export function hashPassword(password: string): Promise<string> {
  return hash(password.normalize('NFKC'), COST);
}

let nobodys: Promise<string> | undefined;

/**
 * Whether it is the password kept under that hash. Without a hash the answer is no, after just as long, so
 * that the time does not tell which addresses have an account.
 */
export async function isPassword(kept: string | undefined, password: string): Promise<boolean> {
  const against = kept ?? (await (nobodys ??= hashPassword('nobody has this password')));
  const is = await verify(against, password.normalize('NFKC')).catch(() => false);
  return kept !== undefined && is;
}
