import type { MikroORM } from '@mikro-orm/postgresql';
import type { RequestHandler } from 'express';
import { Counter, Gauge, Histogram, Registry, collectDefaultMetrics } from 'prom-client';
import { isSameText } from '../people/keys.js';
import { isOnThisMachine } from '../people/browser-sessions.js';
import { threadState } from '../threads/thread-pool.js';
import { routeNameOf } from './route-list.js';

/** Seconds: from what a sheet takes to what is given up. */
const BUCKETS = [0.005, 0.01, 0.03, 0.1, 0.3, 1, 3, 10, 30];

/** What this server measures of itself, for Prometheus. */
export interface Metrics {
  /** Times every request, by route and status. */
  timing: RequestHandler;
  /** Tells it all; to this machine, or to anyone who has the key. */
  telling: RequestHandler;
  /** Rows a file brought in. */
  importedRows: Counter;
}

/** @param key who may ask from elsewhere says `Authorization: Bearer KEY`; left out, no one may */
export function metricsOf(orm: MikroORM, key?: string): Metrics {
  const register = new Registry();
  collectDefaultMetrics({ register, prefix: 'tasche_' });
  const requests = new Histogram({
    name: 'tasche_request_seconds',
    help: 'Time to answer a request, by route and status',
    labelNames: ['route', 'status'],
    buckets: BUCKETS,
    registers: [register],
  });
  const importedRows = new Counter({
    name: 'tasche_imported_rows_total',
    help: 'Rows of files imported',
    registers: [register],
  });
  const gauge = (name: string, help: string, read: () => number) =>
    new Gauge({
      name,
      help,
      registers: [register],
      collect() {
        this.set(read());
      },
    });
  gauge('tasche_database_connections_used', 'Connections of the pool in use', () => poolOf(orm).numUsed());
  gauge('tasche_database_connections_free', 'Connections of the pool that wait', () => poolOf(orm).numFree());
  gauge('tasche_database_waiting', 'Requests that wait for a connection', () =>
    poolOf(orm).numPendingAcquires(),
  );
  gauge('tasche_threads_queued', 'Tasks that wait for a worker thread', () => threadState().queued);
  gauge('tasche_threads_done_total', 'Tasks worker threads have done', () => threadState().done);
  gauge('tasche_threads_mean_seconds', 'Mean time of a task in a worker thread', () => threadState().meanS);
  return {
    importedRows,
    timing: (request, response, next) => {
      const stop = requests.startTimer();
      const route = routeNameOf({ method: request.method, path: request.path.replace(/^\/api/, '') });
      response.once('close', () => {
        // Streams stay open for hours: how long says nothing of the server.
        if (response.getHeader('content-type') !== 'text/event-stream')
          stop({ route: route ?? 'page', status: String(response.statusCode) });
      });
      next();
    },
    telling: async (request, response, next) => {
      const bearer = /^Bearer (.+)$/.exec(request.get('authorization') ?? '')?.[1];
      const may = isOnThisMachine(request) || (key !== undefined && isSameText(bearer ?? '', key));
      if (!may) {
        next();
        return;
      }
      response.type(register.contentType).send(await register.metrics());
    },
  };
}

interface Pool {
  numUsed(): number;
  numFree(): number;
  numPendingAcquires(): number;
}
function poolOf(orm: MikroORM): Pool {
  return (orm.em.getConnection().getKnex().client as { pool: Pool }).pool;
}
