import { existsSync } from 'node:fs';
import path from 'node:path';
import compression from 'compression';
import express, { type Express } from 'express';
import packedFiles from 'express-static-gzip';
import helmet from 'helmet';
import type { MikroORM } from '@mikro-orm/postgresql';
import type { Logger } from 'pino';
import type { BrowserSessions } from '../people/browser-sessions.js';
import type { MailService } from '../mail/mail-service.js';
import type { Identify } from '../people/scope.js';
import type { FailedTries } from '../people/sign-in.js';
import type { GaugeLink } from '../gauge/gauge-link.js';
import type { MonitorLink } from '../monitor/monitor-link.js';
import type { News } from '../news/listen-for-news.js';
import type { ForecastSource } from '../weather/forecast-source.js';
import type { Metrics } from './metrics.js';
import { requestLog } from './request-log.js';
import { onlyForHosts } from './allowed-hosts.js';
import { api } from './api.js';
import { answerProblem } from './problems.js';

export interface AppOptions {
  orm: MikroORM;
  /** Finds out who asks. */
  identify: Identify;
  /** What signing in needs; left out where there is no sign-in. */
  people?: { sessions: BrowserSessions; tries: FailedTries };
  /** Sends invitations and resets; without it the person who made one passes it on. */
  mail?: MailService;
  /** Addresses of proxies in front, whose word is taken for who asks and how. */
  proxies?: readonly string[];
  log: Logger;
  /** Host names this server is told to serve, besides loopback. */
  hosts?: readonly string[];
  /** The server's metrics, where they are collected. */
  metrics?: Metrics;
  /** The built web part; left out where only the API is wanted. */
  webFolder?: string;
  /** Tells of strikes other servers took; without it live boards look by themselves. */
  news?: News;
  /** How often a page that listens is told that it is still heard, and looked at whether it may hear. */
  beatMs?: number;
  /** Whose monitor and gauge they are; everyone's if left out. */
  devicesOf?: string;
  /** The launch monitor, where there is one. */
  monitor?: MonitorLink;
  /** The loft-and-lie gauge, where there is one. */
  gauge?: GaugeLink;
  /** The weather service, where there is one. */
  weather?: ForecastSource;
}

/** Half a year. */
const HSTS = 'max-age=15552000; includeSubDomains';

/** The whole web application. It keeps nothing in memory or on disk between requests. */
export function createApp({
  orm,
  identify,
  people,
  mail,
  proxies = [],
  metrics,
  log,
  hosts = [],
  webFolder,
  news,
  beatMs,
  devicesOf,
  monitor,
  gauge,
  weather,
}: AppOptions): Express {
  const app = express();
  app.disable('x-powered-by');
  // Parameters are read by `readQuery`, which knows which there are.
  app.set('query parser', false);
  app.set('trust proxy', proxies.length > 0 ? [...proxies] : false);
  app.use(requestLog(log), ...(metrics ? [metrics.timing] : []));
  app.use(onlyForHosts(hosts));
  if (metrics) app.get('/metrics', metrics.telling);
  app.use(
    helmet({
      contentSecurityPolicy: {
        useDefaults: false,
        directives: {
          defaultSrc: ["'self'"],
          // The component library writes its style sheets at run time.
          styleSrc: ["'self'", "'unsafe-inline'"],
          imgSrc: ["'self'", 'data:', 'blob:'],
          fontSrc: ["'self'", 'data:'],
          objectSrc: ["'none'"],
          frameAncestors: ["'none'"],
          baseUri: ["'self'"],
          formAction: ["'self'"],
        },
      },
      strictTransportSecurity: false,
    }),
    (request, response, next) => {
      // Told over TLS only, as RFC 6797 asks (7.2).
      if (request.secure) response.setHeader('strict-transport-security', HSTS);
      next();
    },
  );
  app.use(
    compression({
      filter: (request, response) =>
        response.getHeader('content-type') !== 'text/event-stream' && compression.filter(request, response),
    }),
  );
  // A shared paper has a short address.
  app.use((request, _response, next) => {
    if (request.path.startsWith('/shared/')) request.url = `/api${request.url}`;
    next();
  });
  app.use(
    '/api',
    (_request, response, next) => {
      response.setHeader('cache-control', 'no-store');
      next();
    },
    ...(people ? [people.sessions.middleware] : []),
    api({ orm, identify, people, mail, metrics, news, beatMs, devicesOf, monitor, gauge, weather }),
  );
  if (webFolder && existsSync(webFolder)) {
    app.use(
      '/assets',
      packedFiles(path.join(webFolder, 'assets'), {
        enableBrotli: true,
        orderPreference: ['br', 'gz'],
        index: false,
        serveStatic: { immutable: true, maxAge: '1y', fallthrough: false },
      }),
    );
    app.use(express.static(webFolder, { index: false }));
    app.get(/^\/(?!api\/)/, (_request, response) => {
      response.sendFile(path.join(webFolder, 'index.html'), { headers: { 'cache-control': 'no-cache' } });
    });
  }
  app.use(answerProblem(log));
  return app;
}
