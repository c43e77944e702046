import type { LinkView, Role } from '@tasche/contract';
import { Workspace } from '../workspaces/workspace.js';
import { defineEntity, p, type InferEntity } from '@mikro-orm/core';

/** Somebody who signs in. */
export const Person = defineEntity({
  name: 'Person',
  tableName: 'person',
  properties: {
    id: p.uuid().primary(),
    email: p.text(),
    name: p.text(),
    passwordHash: p.text(),
    /** Of an authenticator; null where none is used. */
    codeSecret: p.text().nullable(),
    /** The time step of the last code that was taken, so that none is taken twice. */
    codeStep: p.bigint('number'),
    /** Hashes of those not used yet. */
    recoveryCodes: p.json<string[]>(),
    createdAt: p.datetime().onCreate(() => new Date()),
  },
});
export type Person = InferEntity<typeof Person>;

/** What somebody is in a workspace. */
export const Membership = defineEntity({
  name: 'Membership',
  tableName: 'membership',
  properties: {
    workspaceId: p.manyToOne(Workspace).mapToPk().primary(),
    personId: p.manyToOne(Person).mapToPk().primary(),
    role: p.text().$type<Role>(),
    /** The players they see; null is all. */
    playerIds: p.json<string[]>().nullable(),
    since: p.datetime().onCreate(() => new Date()),
  },
});
export type Membership = InferEntity<typeof Membership>;

/** A key on a device of somebody's (WebAuthn). */
export const Passkey = defineEntity({
  name: 'Passkey',
  tableName: 'passkey',
  properties: {
    id: p.text().primary(),
    personId: p.manyToOne(Person).mapToPk(),
    publicKey: p.text(),
    counter: p.bigint('number'),
    transports: p.json<string[]>(),
    name: p.text(),
    madeAt: p.datetime().onCreate(() => new Date()),
  },
});
export type Passkey = InferEntity<typeof Passkey>;

/** A link that works once: for the first person, somebody invited, or somebody who lost their password. */
export const OneTimeLink = defineEntity({
  name: 'OneTimeLink',
  tableName: 'one_time_link',
  properties: {
    id: p.uuid().primary(),
    keyHash: p.text(),
    purpose: p.text().$type<LinkView['purpose']>(),
    workspaceId: p.manyToOne(Workspace).mapToPk().nullable(),
    personId: p.manyToOne(Person).mapToPk().nullable(),
    name: p.text(),
    email: p.text(),
    role: p.text().$type<Role>().nullable(),
    playerIds: p.json<string[]>().nullable(),
    madeBy: p.text(),
    madeAt: p.datetime().onCreate(() => new Date()),
    expiresAt: p.datetime(),
    usedAt: p.datetime().nullable(),
  },
});
export type OneTimeLink = InferEntity<typeof OneTimeLink>;
