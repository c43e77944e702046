import type { TokenScope, TokenView } from '@tasche/contract';
import { Person } from '../people/person.js';
import { Workspace } from '../workspaces/workspace.js';
import { defineEntity, p, type InferEntity } from '@mikro-orm/core';
import type { MikroORM } from '@mikro-orm/postgresql';
import { hashOfKey } from '../people/keys.js';
import { asAsker } from '../workspaces/in-workspace.js';

/** Lets a script in as the person it belongs to, for so long, for reading or for writing too. */
export const AccessToken = defineEntity({
  name: 'AccessToken',
  tableName: 'access_token',
  properties: {
    id: p.uuid().primary(),
    keyHash: p.text(),
    workspaceId: p.manyToOne(Workspace).mapToPk(),
    personId: p.manyToOne(Person).mapToPk(),
    name: p.text(),
    scopes: p.json<TokenScope[]>(),
    madeAt: p.datetime().onCreate(() => new Date()),
    expiresAt: p.datetime(),
    revokedAt: p.datetime().nullable(),
    usedAt: p.datetime().nullable(),
  },
});
export type AccessToken = InferEntity<typeof AccessToken>;

/** What tokens begin with, so that one left lying about is known for what it is. */
const PREFIX = 'tasche_';
/** How often at most it is recorded that a token was used. */
const USED_MS = 60_000;

/** @returns the token's row, where it is good now */
export async function holderOfToken(orm: MikroORM, bearer: string): Promise<AccessToken | undefined> {
  const keyHash = hashOfKey(bearer);
  const found = await asAsker(orm, { key: keyHash }, (em) => em.findOne(AccessToken, { keyHash }));
  const now = Date.now();
  if (!found || found.revokedAt || found.expiresAt.getTime() <= now) return undefined;
  if (now - (found.usedAt?.getTime() ?? 0) > USED_MS)
    await asAsker(orm, { workspaceId: found.workspaceId }, (em) =>
      em.nativeUpdate(AccessToken, { id: found.id }, { usedAt: new Date() }),
    );
  return found;
}

export function tokenText(key: string): string {
  return `${PREFIX}${key}`;
}

export function tokenView({
  id,
  name,
  scopes,
  madeAt,
  expiresAt,
  usedAt,
  revokedAt,
}: AccessToken): TokenView {
  return {
    id,
    name,
    scopes,
    madeAt: madeAt.toISOString(),
    expiresAt: expiresAt.toISOString(),
    usedAt: usedAt?.toISOString() ?? null,
    revokedAt: revokedAt?.toISOString() ?? null,
  };
}
