import type { EntityManager } from '@mikro-orm/postgresql';
import type { Request, Response } from 'express';
import { idSchema } from '@tasche/contract';
import * as yup from 'yup';
import type { SignedIn } from '../people/scope.js';
import { inWorkspace } from '../workspaces/in-workspace.js';
import type { AppOptions } from './app.js';
import { scopeOf } from './guard.js';
import { HttpError } from './http-error.js';

/** Of what is sent as one piece. */
export const BODY_LIMIT = '2mb';

export type ApiOptions = Pick<AppOptions, 'orm' | 'identify'> &
  Partial<
    Pick<
      AppOptions,
      'people' | 'mail' | 'metrics' | 'news' | 'beatMs' | 'devicesOf' | 'monitor' | 'gauge' | 'weather'
    >
  >;

/** What every route works with. */
export interface RouteContext extends ApiOptions {
  /** Who asks. */
  scopeOf: (request: Request) => Promise<SignedIn>;
  /** Does something in the asker's workspace, in one transaction. */
  scoped: <T>(request: Request, work: (em: EntityManager) => Promise<T>) => Promise<T>;
}

export function routeContext(options: ApiOptions): RouteContext {
  return {
    ...options,
    scopeOf: (request) => Promise.resolve(scopeOf(request)),
    scoped: (request, work) => inWorkspace(options.orm, scopeOf(request), work),
  };
}

export function required<S extends yup.Schema>(schema: S) {
  return schema.required('${path} is missing');
}

/** The id in the address. @throws yup.ValidationError where it is none */
export function idIn(request: Request, name: string): string {
  const shape = yup.object({ [name]: required(idSchema) });
  return (shape.validateSync(request.params) as Record<string, string>)[name]!;
}

/** The JSON that was sent. @throws HttpError 415 where something else was */
export function jsonBody(request: Request): unknown {
  if (!request.is('application/json')) throw wrongType('application/json');
  return request.body as unknown;
}

export function wrongType(wanted: string): HttpError {
  return new HttpError(415, { error: 'wrong-type', message: `Send ${wanted}.` });
}

/** Aborted when the client disconnects. */
export function hungUp(response: Response): AbortSignal {
  const gone = new AbortController();
  response.once('close', () => {
    if (!response.writableFinished) gone.abort();
  });
  return gone.signal;
}

/**
 * Stops work whose client has disconnected, so that what was cancelled is not done. @throws HttpError 408,
 * which is never read
 */
export function stopIfHungUp(signal: AbortSignal): void {
  if (signal.aborted)
    throw new HttpError(408, {
      error: 'bad-input',
      message: 'The connection was closed before the request was complete; nothing was saved.',
    });
}

/** A name as part of a file's name. */
export function fileName(name: string): string {
  return (
    name
      .toLowerCase()
      .replace(/[^a-z0-9]+/g, '-')
      .replace(/^-|-$/g, '') || 'sheet'
  );
}

/** How many rows of a list are wanted, and after or before which. */
export function pageQuery<C extends yup.StringSchema>(cursorName: string, cursor: C, usual = 50) {
  return yup.object({
    limit: yup.number().integer().min(1).max(200).default(usual),
    [cursorName]: cursor,
  }) as unknown as yup.ObjectSchema<{ limit: number; before?: string; after?: string }>;
}
