import { gaugeOrderSchema, wholeDocument, type GaugeReading, type GaugeView } from '@tasche/contract';
import { Router, type Request } from 'express';
import { HttpError, ruleBroken } from '../http/http-error.js';
import { jsonBody, type RouteContext } from '../http/route-context.js';
import type { Asks } from '../http/route-list.js';

/** Pages that listen at once; each is a person at a bench. */
const MAX_STREAMS = 50;
/** So that a proxy in between does not close it. */
const BEAT_MS = 15_000;
const orderSchema = wholeDocument(gaugeOrderSchema.strict().noUnknown('unknown field: ${unknown}'));
const NO_GAUGE: GaugeView = { state: 'none', device: null, simulated: false };

export const gaugeAsks: Asks = {
  'GET /gauge/live': { answers: 'text/event-stream' },
  'POST /gauge/measure': { body: orderSchema },
};

export function gaugeRoutes({ gauge: there, devicesOf, scopeOf }: RouteContext): Router {
  const router = Router();
  /** The gauge, for the workspace it belongs to. */
  const gaugeOf = async (request: Request) => {
    const { workspaceId } = await scopeOf(request);
    return devicesOf === undefined || devicesOf === workspaceId ? there : undefined;
  };
  let streams = 0;

  // Readings as they come, as server-sent events: for the person who checks a bag. None is kept, so none is
  // caught up with.
  router.get('/gauge/live', async (request, response) => {
    const gauge = await gaugeOf(request);
    if (streams >= MAX_STREAMS)
      throw new HttpError(429, {
        error: 'too-many-requests',
        message: 'Too many pages listen to the gauge; close one.',
      });
    streams += 1;
    response.writeHead(200, {
      'content-type': 'text/event-stream',
      'cache-control': 'no-store',
      'x-accel-buffering': 'no',
    });
    const send = (event: string, data: object) =>
      response.write(`event: ${event}\ndata: ${JSON.stringify(data)}\n\n`);
    const sendView = () => send('gauge', gauge?.view() ?? NO_GAUGE);
    sendView();
    const stop = gauge?.on((reading: GaugeReading | null) => {
      if (reading) send('reading', reading);
      else sendView();
    });
    const beat = setInterval(() => response.write(': here\n\n'), BEAT_MS);
    response.on('close', () => {
      streams -= 1;
      clearInterval(beat);
      stop?.();
    });
  });

  router.post('/gauge/measure', async (request, response) => {
    const gauge = await gaugeOf(request);
    const order = orderSchema.validateSync(jsonBody(request), { strict: true }) as GaugeReading;
    if (!gauge?.measure(order))
      throw ruleBroken('No simulated gauge is here; a real one reads what lies in it.');
    response.json({ ok: true });
  });
  return router;
}
