import { MAX_TOKEN_DAYS, tokenSchema, wholeDocument, type TokenView } from '@tasche/contract';
import type { EntityManager } from '@mikro-orm/postgresql';
import { Router, type Request } from 'express';
import { v4 as newId } from 'uuid';
import { badInput, notFound, ruleBroken } from '../http/http-error.js';
import { idIn, jsonBody, type RouteContext } from '../http/route-context.js';
import type { Asks } from '../http/route-list.js';
import { note } from '../people/audit.js';
import { hashOfKey, newKey } from '../people/keys.js';
import type { SignedIn } from '../people/scope.js';
import { asAsker } from '../workspaces/in-workspace.js';
import { AccessToken, tokenText, tokenView } from './access-token.js';

const DAY_MS = 86_400_000;
const MAX_TOKENS = 50;
const tokenBody = wholeDocument(tokenSchema);

export const tokenAsks: Asks = {
  'POST /tokens': { body: tokenBody },
};

/** One's own tokens for scripts, in the workspace one is in. */
export function tokenRoutes({ orm, scopeOf }: RouteContext): Router {
  const router = Router();

  router.get('/tokens', async (request, response) => {
    response.json(await own(request, (em, { personId }) => readTokens(em, personId)));
  });

  router.post('/tokens', async (request, response) => {
    const { name, scopes, endsOn } = tokenBody.validateSync(jsonBody(request), { strict: true });
    // To the end of its last day, wherever on earth that is.
    const expiresAt = new Date(Date.parse(`${endsOn}T00:00:00Z`) + 1.5 * DAY_MS);
    const days = (expiresAt.getTime() - Date.now()) / DAY_MS;
    if (days <= 0 || days > MAX_TOKEN_DAYS + 2)
      throw badInput(`A token ends within ${MAX_TOKEN_DAYS} days from today.`, [
        { field: 'endsOn', message: `must be within ${MAX_TOKEN_DAYS} days from today` },
      ]);
    const token = tokenText(newKey());
    const tokens = await own(request, async (em, scope) => {
      const { personId, workspaceId } = scope;
      if ((await readTokens(em, personId)).filter(({ revokedAt }) => revokedAt === null).length >= MAX_TOKENS)
        throw ruleBroken(`At most ${MAX_TOKENS} tokens a person; end some first.`);
      em.create(
        AccessToken,
        {
          id: newId(),
          keyHash: hashOfKey(token),
          workspaceId,
          personId,
          name,
          scopes: [...new Set(scopes)],
          expiresAt,
          revokedAt: null,
          usedAt: null,
        },
        { persist: true },
      );
      await note(em, request, scope, 'token made', `${name}: ${scopes.join(' and ')}, until ${endsOn}`);
      await em.flush();
      return readTokens(em, personId);
    });
    response.json({ token, tokens });
  });

  router.post('/tokens/:tokenId/revoke', async (request, response) => {
    const id = idIn(request, 'tokenId');
    response.json(
      await own(request, async (em, scope) => {
        const token = await em.findOne(AccessToken, { id, personId: scope.personId });
        if (!token) throw notFound('token');
        token.revokedAt ??= new Date();
        await note(em, request, scope, 'token revoked', token.name);
        await em.flush();
        return readTokens(em, scope.personId);
      }),
    );
  });
  return router;

  async function own<T>(
    request: Request,
    work: (em: EntityManager, scope: SignedIn & { personId: string }) => Promise<T>,
  ): Promise<T> {
    const scope = await scopeOf(request);
    const { personId } = scope;
    if (personId === null) throw ruleBroken('No account is signed in here.');
    return asAsker(orm, scope, (em) => work(em, { ...scope, personId }));
  }
}

async function readTokens(em: EntityManager, personId: string): Promise<TokenView[]> {
  const tokens = await em.find(
    AccessToken,
    { personId },
    { limit: 2 * MAX_TOKENS, orderBy: { madeAt: 'desc', id: 'asc' } },
  );
  return tokens.map(tokenView);
}
