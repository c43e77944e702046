import type { Role } from '@tasche/contract';
import type { Request } from 'express';
import type { Sight } from '../workspaces/in-workspace.js';

/** Who asks, in whose workspace, and what they are there. */
export interface Scope extends Sight {
  /** Their name, as changes are signed. */
  who: string;
  /** Null where nobody signed in: everybody at the machine is let in. */
  personId: string | null;
  role: Role;
}

/** Somebody who is let in. */
export interface SignedIn extends Scope {
  workspaceName: string;
  /** How that is known. */
  means: 'session' | 'token' | 'machine';
  /** Of a session: goes back with everything that is written. */
  csrf: string | null;
  /** Of a token: whether it may write. */
  mayWrite: boolean;
  /** Of a token: which, so that each has limits of its own. */
  tokenId?: string;
}

/**
 * Finds out who asks.
 * @throws HttpError 401 where nobody is signed in
 */
export type Identify = (request: Request) => Promise<SignedIn>;
