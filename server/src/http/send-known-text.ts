import type { Request, Response } from 'express';
import type { KnownText } from './known-text.js';

/** Sends a prepared answer, compressed for clients that accept it. */
export function sendKnownText(request: Request, response: Response, { text, packed, etag }: KnownText): void {
  const takesPacked = request.acceptsEncodings('gzip') === 'gzip';
  if (takesPacked) response.set('content-encoding', 'gzip');
  response
    .set('etag', etag)
    .vary('accept-encoding')
    .type('json')
    .send(takesPacked ? packed : text);
}
