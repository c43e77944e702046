import { type ClubKind, type ExpectedShot } from '@tasche/core';
import * as yup from './yup.js';
import {
  clubKindSchema,
  dateSchema,
  finite,
  idSchema,
  nameSchema,
  required,
  shape,
  textSchema,
  shotKindSchema,
} from './schemas.js';

export const WISH_PURPOSES = ['buy', 'fit', 'learn', 'repair'] as const;
export type WishPurpose = (typeof WISH_PURPOSES)[number];
export const WISH_STATES = ['wished', 'ordered', 'on trial', 'bought', 'rejected'] as const;
export type WishState = (typeof WISH_STATES)[number];

/** A club that is not owned yet: what the engine needs to model it. */
export interface WishedClub {
  kind: ClubKind;
  loftDeg: number;
  /** A stated or measured carry, metres; modelled where there is none. */
  carryM?: number | undefined;
}

/** Something to buy, fit, learn or repair. */
export interface WishDetails {
  name: string;
  purpose: WishPurpose;
  state: WishState;
  /** What it costs; null where not known yet. */
  price: number | null;
  club: WishedClub | null;
  /** The club of the locker it is about, where it is about one. */
  clubId: string | null;
  /** The shot a fitting or practice is to bring, with that club. */
  expected: ExpectedShot | null;
  /** The day it was bought, YYYY-MM-DD. */
  boughtOn: string | null;
  notes: string;
}

export interface WishView extends WishDetails {
  id: string;
  playerId: string;
  version: number;
  removed: boolean;
}

export const wishDetails = {
  name: nameSchema,
  purpose: yup
    .string()
    .strict()
    .oneOf(WISH_PURPOSES, `\${path} must be one of: ${WISH_PURPOSES.join(', ')}`),
  state: yup
    .string()
    .strict()
    .oneOf(WISH_STATES, `\${path} must be one of: ${WISH_STATES.join(', ')}`),
  price: finite(0, 100_000).nullable(),
  club: shape({
    kind: clubKindSchema.required('${path} is missing'),
    loftDeg: finite(-2, 80, 'degrees').required('${path} is missing'),
    carryM: finite(1, 411, 'm'),
  }).nullable(),
  clubId: idSchema.nullable(),
  expected: shape({
    shot: required(shotKindSchema),
    carryM: finite(1, 411, 'm'),
    scatterShare: finite(0.3, 1),
  }).nullable(),
  boughtOn: dateSchema.nullable(),
  notes: textSchema(500),
};

/** What a page of an earlier version does not send. */
export const newerWishFields = {
  expected: wishDetails.expected.default(undefined).optional(),
  boughtOn: wishDetails.boughtOn.optional(),
};
