import * as yup from './yup.js';
import { dateSchema, idSchema, nameSchema, required, shape, textSchema } from './schemas.js';
import { ROLES, isKeptToPlayers, type Role } from './roles.js';

/** Who gets in, and how: the forms, and what the server answers. Moments are ISO 8601 in UTC. */

const MAX_EMAIL = 254;
/** Length is what counts; no rule asks for digits or signs (NIST SP 800-63B, 5.1.1.2). */
export const MIN_PASSWORD = 12;
const MAX_PASSWORD = 128;
const MIN_DIFFERENT = 5;
export const MAX_PEOPLE = 500;
const MAX_KEPT_PLAYERS = 200;
/** Days an invitation, a reset and a share may stand. */
export const INVITATION_DAYS = 7;
const MAX_SHARE_DAYS = 365;
export const MAX_TOKEN_DAYS = 365;

export const emailSchema = yup
  .string()
  .strict()
  .max(MAX_EMAIL, `\${path} must be at most ${MAX_EMAIL} characters`)
  .matches(/^[^\s@<>",;:\\()[\]\p{Cc}]+@[^\s@<>",;:\\()[\]\p{Cc}]+\.[^\s@.<>",;:\\()[\]\p{Cc}]+$/u, {
    message: '${path} must be an e-mail address',
    excludeEmptyString: true,
  });

/** An address as it is compared and kept. */
export function plainEmail(text: string): string {
  return text.trim().toLowerCase();
}

export const passwordSchema = yup
  .string()
  .strict()
  .min(MIN_PASSWORD, `\${path} must be at least ${MIN_PASSWORD} characters; a few words work well`)
  .max(MAX_PASSWORD, `\${path} must be at most ${MAX_PASSWORD} characters`)
  .test(
    'different',
    `\${path} must hold at least ${MIN_DIFFERENT} different characters`,
    (text) => text == null || new Set(text).size >= MIN_DIFFERENT,
  );
/** What was typed as a password somewhere it may be wrong. */
const anyPasswordSchema = yup.string().strict().max(1000, '${path} is too long');
/** Six digits of an authenticator, or a recovery code. */
const codeSchema = yup.string().strict().max(40, '${path} is too long');
const keySchema = yup
  .string()
  .strict()
  .matches(/^[\w-]{20,100}$/, '${path} is not the key of a link');
const roleSchema = yup.string().strict().oneOf(ROLES, '${path} must be a role');
const playersSchema = yup
  .array(required(idSchema))
  .max(MAX_KEPT_PLAYERS, `\${path} must be at most ${MAX_KEPT_PLAYERS} players`)
  .nullable()
  .default(undefined)
  .optional();

export const signInSchema = shape({
  email: required(emailSchema).label('E-mail'),
  password: required(anyPasswordSchema).label('Password'),
  code: codeSchema,
  /** A device of one's own stays signed in for longer. */
  stay: yup.boolean().strict(),
});
export type SignInForm = yup.InferType<typeof signInSchema>;

export const linkKeySchema = shape({ key: required(keySchema) });
export const useLinkSchema = shape({
  key: required(keySchema),
  name: nameSchema.label('Name'),
  email: emailSchema.label('E-mail'),
  password: required(passwordSchema).label('Password'),
});

export const passwordChangeSchema = shape({
  current: required(anyPasswordSchema).label('Current password'),
  next: required(passwordSchema).label('New password'),
});
export const passwordOnlySchema = shape({ password: required(anyPasswordSchema).label('Password') });
export const codeOnlySchema = shape({ code: required(codeSchema).label('Code') });

const membershipFields = { role: required(roleSchema).label('Role'), playerIds: playersSchema };
/** A player is always kept to players; only a caddie or coach may be. */
function withPlayers<S extends yup.ObjectSchema<{ role: Role; playerIds?: string[] | null | undefined }>>(
  schema: S,
): S {
  return schema.test('players', 'playerIds must name at least one player for that role', (value) => {
    const { role, playerIds } = value as { role?: Role; playerIds?: string[] | null };
    if (role === 'player') return (playerIds?.length ?? 0) > 0;
    return role === undefined || isKeptToPlayers(role) ? playerIds?.length !== 0 : playerIds == null;
  });
}
export const inviteSchema = withPlayers(
  shape({
    name: required(nameSchema).label('Name'),
    email: required(emailSchema).label('E-mail'),
    ...membershipFields,
  }),
);
export const memberChangeSchema = withPlayers(shape({ personId: required(idSchema), ...membershipFields }));
export const personIdSchema = shape({ personId: required(idSchema) });
export const rowIdSchema = shape({ id: required(idSchema) });
export const rowTextIdSchema = shape({ id: required(textSchema(1000)) });
export const workspaceIdSchema = shape({ workspaceId: required(idSchema) });
export const workspaceNameSchema = shape({ name: required(nameSchema).label('Name') });
export const sessionEndSchema = shape({ id: required(textSchema(100)) });
export const passkeyNameSchema = shape({ name: required(nameSchema).label('Name') });

/** Papers a link may open. */
export const SHARED_PAPERS = ['spec-sheet', 'swap-sheet', 'card', 'build-sheet', 'calendar'] as const;
export type SharedPaper = (typeof SHARED_PAPERS)[number];
export const SHARED_PAPER_WORDS: Readonly<Record<SharedPaper, string>> = {
  'spec-sheet': 'Spec sheet',
  'swap-sheet': 'Swap sheet',
  card: 'Card',
  'build-sheet': 'Build sheet',
  calendar: 'Calendar feed',
};
export const shareSchema = shape({
  paper: required(yup.string().strict().oneOf(SHARED_PAPERS, '${path} must be a paper')).label('Paper'),
  /** The plan of a swap sheet, or of a card that is not the gamer's at home. */
  planId: idSchema,
  /** The club of a build sheet. */
  clubId: idSchema,
  days: required(yup.number().strict().integer().min(1).max(MAX_SHARE_DAYS)).label('Days'),
});

/** What a script may do with a token; never more than the person it belongs to. */
/** How a player goes to another workspace: as a copy, or for good. */
export const HAND_OVER_WAYS = ['copy', 'move'] as const;
export type HandOverWay = (typeof HAND_OVER_WAYS)[number];
export const HAND_OVER_WORDS: Readonly<Record<HandOverWay, string>> = { copy: 'as a copy', move: 'for good' };
export const handOverSchema = shape({ how: required(yup.string().strict().oneOf(HAND_OVER_WAYS)) });

export const TOKEN_SCOPES = ['read', 'write'] as const;
export type TokenScope = (typeof TOKEN_SCOPES)[number];
export const tokenSchema = shape({
  name: required(nameSchema).label('Name'),
  scopes: yup
    .array(required(yup.string().strict().oneOf(TOKEN_SCOPES, '${path} must be a scope')))
    .min(1, '${path} must name a scope')
    .required('${path} is missing'),
  endsOn: required(dateSchema).label('Ends on'),
});

/** Who is signed in, where, as what. */
export interface SignedInView {
  workspace: { id: string; name: string };
  who: string;
  personId: string | null;
  role: Role;
  /** The players they see; null is all. */
  playerIds: readonly string[] | null;
  /** Every workspace they belong to. */
  workspaces: readonly { id: string; name: string; role: Role }[];
  /**
   * How the server knows: by a browser's session, by a token, or because everybody at this machine is let
   * in (demo).
   */
  means: 'session' | 'token' | 'machine';
  /** Goes back with everything that is written. */
  csrf: string | null;
}

/** What a link is for, before it is used. */
export interface LinkView {
  purpose: 'first' | 'invitation' | 'reset' | HandOverWay;
  workspaceName: string | null;
  role: Role | null;
  name: string;
  email: string;
  /** A person with that address already has an account and only joins. */
  known: boolean;
}

export interface AccountView {
  id: string;
  email: string;
  name: string;
  /** Whether a code of an authenticator is asked for. */
  code: boolean;
  recoveryCodes: number;
  passkeys: readonly { id: string; name: string; madeAt: string }[];
  sessions: readonly BrowserSessionView[];
}

export interface BrowserSessionView {
  id: string;
  current: boolean;
  signedInAt: string;
  endsAt: string;
  address: string;
  agent: string;
}

export interface MemberView {
  personId: string;
  name: string;
  email: string;
  role: Role;
  playerIds: readonly string[] | null;
  since: string;
  /** Has a second factor. */
  code: boolean;
}

export interface InvitationView {
  id: string;
  purpose: 'invitation' | 'reset' | HandOverWay;
  name: string;
  email: string;
  role: Role | null;
  playerIds: readonly string[] | null;
  madeBy: string;
  expiresAt: string;
}

export interface PeopleView {
  members: readonly MemberView[];
  invitations: readonly InvitationView[];
}

/** An address that works once; it is not shown again. */
export interface MadeLinkView {
  url: string;
  expiresAt: string;
  /** Whether an e-mail with it was sent; null where this server sends none. */
  mailed: boolean | null;
}

export interface ShareView {
  id: string;
  paper: SharedPaper;
  name: string;
  madeBy: string;
  madeAt: string;
  expiresAt: string;
  revokedAt: string | null;
  openings: number;
  lastOpenings: readonly { at: string; address: string; agent: string }[];
}

export interface TokenView {
  id: string;
  name: string;
  scopes: readonly TokenScope[];
  madeAt: string;
  expiresAt: string;
  usedAt: string | null;
  revokedAt: string | null;
}

export interface AuditView {
  id: string;
  at: string;
  who: string;
  what: string;
  detail: string;
  address: string;
}

/** Something another person did, told at once. */
export interface NewsView {
  changeId: string;
  /** Players it was of, as far as they are named. */
  playerIds: readonly string[];
  /** It was of more players than are named. */
  many: boolean;
  who: string;
  summary: string;
  /** Courses, seasons or events changed too. */
  schedule: boolean;
}
