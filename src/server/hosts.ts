import type { RequestHandler } from 'express';

/**
 * Names of this machine for itself. Another name that leads here is another site's, and could read what is
 * served (DNS rebinding).
 */
const LOOPBACK = /^(?:localhost|127(?:\.\d{1,3}){3}|\[::1\])(?::\d{1,5})?$/i;

export const onlyLoopback: RequestHandler = (request, response, next) => {
  if (LOOPBACK.test(request.headers.host ?? '')) next();
  else
    response
      .status(421)
      .type('text')
      .send(
        'Drip Line answers only to the names of this machine for itself: localhost, 127.0.0.1 or [::1].\n',
      );
};
