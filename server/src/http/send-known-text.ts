import type { Request, Response } from 'express';
import type { KnownText } from './known-text.js';

/** Sends an answer that lies ready, packed for whoever takes it packed. */
export function sendKnownText(request: Request, response: Response, { text, packed, etag }: KnownText): void {
  const takesPacked = request.acceptsEncodings('gzip') === 'gzip';
  if (takesPacked) response.set('content-encoding', 'gzip');
  response
    .set('etag', etag)
    .vary('accept-encoding')
    .type('json')
    .send(takesPacked ? packed : text);
}
