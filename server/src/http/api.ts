import { checkJsonLimits, withRenamedFields } from '@tasche/contract';
import express, { Router } from 'express';
import { gaugeRoutes } from '../gauge/routes.js';
import { benchRoutes } from '../bench/routes.js';
import { cardRoutes } from '../card/routes.js';
import { historyRoutes } from '../history/routes.js';
import { printRoutes } from '../print/routes.js';
import { seasonRoutes } from '../season/routes.js';
import { changeRoutes } from '../changes/routes.js';
import { scheduleRoutes } from '../schedule/routes.js';
import { planRoutes } from '../plans/routes.js';
import { handOverRoutes } from '../players/hand-over.js';
import { playerFileRoutes } from '../players/player-file-routes.js';
import { playerRoutes } from '../players/routes.js';
import { sessionRoutes } from '../sessions/routes.js';
import { sheetRoutes } from '../sheet/routes.js';
import { strikeImportRoutes } from '../strikes/routes.js';
import { accountRoutes } from '../people/account-routes.js';
import { signedInView } from '../people/identify.js';
import { peopleRoutes } from '../people/people-routes.js';
import { newsRoutes } from '../news/news-routes.js';
import { passkeyRoutes } from '../people/passkey-routes.js';
import { shareRoutes } from '../shares/routes.js';
import { tokenRoutes } from '../tokens/routes.js';
import { signInRoutes } from '../people/sign-in-routes.js';
import { guard } from './guard.js';
import { openApi } from './openapi.js';
import { readHealth } from './read-health.js';
import { HttpError } from './http-error.js';
import { BODY_LIMIT, routeContext, type ApiOptions } from './route-context.js';

/** Every route: thin, checked at the border, scoped to the asker's workspace. */
export function api(options: ApiOptions): Router {
  const router = Router();
  const context = routeContext(options);
  router.use(guard(options.orm, options.identify));

  router.get('/health', async (_request, response) => {
    const health = await readHealth(options.orm);
    response.status(health.database === 'here' ? 200 : 503).json(health);
  });

  // Health says how things are; ready says whether a load balancer should send requests here.
  router.get('/ready', async (_request, response) => {
    const { database } = await readHealth(options.orm);
    response.status(database === 'here' ? 200 : 503).json({ ready: database === 'here' });
  });

  router.get('/openapi.json', (_request, response) => {
    response.json(openApi());
  });

  router.get('/signed-in', async (request, response) => {
    response.json(await signedInView(options.orm, await context.scopeOf(request)));
  });

  router.use(playerRoutes(context), scheduleRoutes(context), planRoutes(context), sheetRoutes(context));
  router.use(benchRoutes(context));
  router.use(cardRoutes(context));
  router.use(historyRoutes(context));
  router.use(seasonRoutes(context));
  router.use(printRoutes(context));
  // A file is received as it arrives; nothing before this may read its body.
  router.use(strikeImportRoutes(context));
  router.use(express.json({ limit: BODY_LIMIT }), (request, _response, next) => {
    checkJsonLimits(request.body);
    request.body = withRenamedFields(request.body);
    next();
  });
  router.use(sessionRoutes(context), changeRoutes(context), gaugeRoutes(context));
  router.use(signInRoutes(context), passkeyRoutes(context), accountRoutes(context), peopleRoutes(context));
  router.use(shareRoutes(context), tokenRoutes(context), newsRoutes(context), handOverRoutes(context));
  router.use(playerFileRoutes(context));
  router.use((_request, _response, next) => {
    next(new HttpError(404, { error: 'not-found', message: 'There is nothing at this address.' }));
  });
  return router;
}
