import type { AuditView, Page } from '@tasche/contract';
import type { EntityManager } from '@mikro-orm/postgresql';
import type { Request } from 'express';

/**
 * What is noted apart from the changes. Nothing that was noted is ever changed: the application may only
 * add.
 */
export type AuditedEvent =
  | 'signed in'
  | 'sign-in refused'
  | 'signed out'
  | 'session ended'
  | 'password changed'
  | 'second factor added'
  | 'second factor removed'
  | 'recovery code used'
  | 'passkey added'
  | 'passkey removed'
  | 'invited'
  | 'joined'
  | 'role changed'
  | 'removed'
  | 'reset made'
  | 'link withdrawn'
  | 'workspace made'
  | 'shared'
  | 'share revoked'
  | 'token made'
  | 'token revoked'
  | 'exported'
  | 'player offered'
  | 'player taken'
  | 'refused';

interface AuditedBy {
  workspaceId?: string | null;
  personId?: string | null;
  who: string;
}

const MAX_DETAIL = 300;

/** Notes something, in the transaction it belongs to. */
export async function note(
  em: EntityManager,
  request: Pick<Request, 'ip'>,
  { workspaceId, personId, who }: AuditedBy,
  what: AuditedEvent,
  detail = '',
): Promise<void> {
  await em.execute(
    `insert into audit_entry (workspace_id, person_id, who, what, detail, address) values (?, ?, ?, ?, ?, ?)`,
    [workspaceId ?? null, personId ?? null, who, what, detail.slice(0, MAX_DETAIL), addressOf(request)],
  );
}

/** Where a request came from, as the server knows it. */
export function addressOf({ ip }: Pick<Request, 'ip'>): string {
  return (ip ?? '').replace(/^::ffff:/, '').slice(0, 60);
}

/** A page of what was noted of a workspace and the people in it, the newest first. */
export async function readAudit(
  em: EntityManager,
  workspaceId: string,
  limit: number,
  before: number | undefined,
): Promise<Page<AuditView>> {
  const of = `(workspace_id = ? or (workspace_id is null and person_id in (select person_id from membership where workspace_id = ?)))`;
  const rows = await em.execute<AuditView[]>(
    `select id::text, to_char(at at time zone 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS.MS"Z"') as at, who, what, detail, address
     from audit_entry where ${of} and (?::bigint is null or id < ?) order by audit_entry.id desc limit ?`,
    [workspaceId, workspaceId, before ?? null, before ?? null, limit + 1],
  );
  const [counted] = await em.execute<{ n: number }[]>(
    `select count(*)::int as n from audit_entry where ${of}`,
    [workspaceId, workspaceId],
  );
  const shown = rows.slice(0, limit);
  return { rows: shown, total: counted!.n, next: rows.length > limit ? (shown.at(-1)?.id ?? null) : null };
}
