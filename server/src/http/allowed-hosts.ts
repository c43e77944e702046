import type { RequestHandler } from 'express';
import { HttpError } from './http-error.js';

/** Names a browser on this machine reaches it by, whatever else it is told to serve. */
const LOOPBACK = ['127.0.0.1', 'localhost', '[::1]'];

/**
 * Refuses requests for a host this server was not told to serve, before anything else looks at them. A page of
 * another site can make its own name point at this machine (DNS rebinding); its requests then bear that name.
 * @param names host names without port, such as `van.example`; loopback is always among them
 */
export function onlyForHosts(names: readonly string[]): RequestHandler {
  const allowed = new Set([...LOOPBACK, ...names.map((name) => name.toLowerCase())]);
  return (request, _response, next) => {
    const { origin, host } = request.headers;
    if (!allowed.has(hostName(host))) {
      next(
        new HttpError(403, {
          error: 'forbidden',
          message: 'This server does not serve that name. TASCHE_HOSTS lists the names it serves.',
        }),
      );
      return;
    }
    // A page of another site may not write here; one of another port of this machine is another site.
    if (
      origin !== undefined &&
      request.method !== 'GET' &&
      request.method !== 'HEAD' &&
      hostOf(origin) !== host?.toLowerCase()
    ) {
      next(new HttpError(403, { error: 'forbidden', message: 'Requests from other sites are refused.' }));
      return;
    }
    next();
  };
}

/** The name in a Host header, without its port, in lower case. */
function hostName(host: string | undefined): string {
  return (host ?? '').toLowerCase().replace(/:\d{1,5}$/, '');
}

function hostOf(origin: string): string | undefined {
  return URL.canParse(origin) ? new URL(origin).host : undefined;
}
