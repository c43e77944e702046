import { randomUUID } from 'node:crypto';
import type { RequestHandler } from 'express';
import type { Logger } from 'pino';
import { pinoHttp } from 'pino-http';
import { routeNameOf } from './route-list.js';

const GIVEN_ID = /^[\w-]{8,64}$/;

/**
 * One line a request, as JSON, with an id that the answer bears too; a proxy in front may give it. Neither
 * addresses nor heads are in it whole: they hold keys of links, cookies, tokens.
 */
export function requestLog(logger: Logger): RequestHandler {
  return pinoHttp({
    logger,
    genReqId: (request, response) => {
      const given = request.headers['x-request-id'];
      const id = typeof given === 'string' && GIVEN_ID.test(given) ? given : randomUUID();
      response.setHeader('x-request-id', id);
      return id;
    },
    customLogLevel: (_request, response, error) =>
      error || (response.statusCode >= 500 && response.statusCode !== 503) ? 'error' : 'info',
    serializers: {
      req: (request: { id: unknown; method: string; url: string; remoteAddress?: string }) => ({
        id: request.id,
        method: request.method,
        route:
          routeNameOf({
            method: request.method,
            path: (request.url.split('?')[0] ?? '').replace(/^\/api/, ''),
          }) ?? 'page',
        address: request.remoteAddress,
      }),
      res: (response: { statusCode: number }) => ({ status: response.statusCode }),
    },
  }) as unknown as RequestHandler;
}
