import express, { type ErrorRequestHandler, type Express, type RequestHandler } from 'express';
import expressStaticGzip from 'express-static-gzip';
import { join, resolve } from 'node:path';
import { securityHeaders } from './headers.ts';
import { onlyLoopback } from './hosts.ts';
import { readStudio } from './studio.ts';

interface ServerOptions {
  /** the built page, its files also compressed beside themselves (.br, .gz) */
  readonly pageDir: string;
  /** the demo studio's files; absent: the shelf starts empty */
  readonly studioDir?: string | undefined;
}

const onlyReading: RequestHandler = (request, response, next) => {
  if (request.method === 'GET' || request.method === 'HEAD') next();
  else
    response
      .status(405)
      .set('Allow', 'GET, HEAD')
      .type('text')
      .send('Only GET and HEAD are answered here.\n');
};

const notThere: RequestHandler = (_request, response) => {
  response.status(404).type('text').send('No such file.\n');
};

/** What is asked for as a file, by its name, is no page: where it is missing, that is said. */
const isFile = (path: string): boolean => /\.[a-z0-9]{1,12}$/i.test(path);

/** A fault as a plain answer: what the matter is, never where in the code. */
const plainFault: ErrorRequestHandler = (error: unknown, _request, response, next) => {
  if (response.headersSent) {
    next(error);
    return;
  }
  const status = (error as { status?: unknown }).status;
  const code = typeof status === 'number' && status >= 400 && status < 500 ? status : 500;
  response
    .status(code)
    .type('text')
    .send(code === 500 ? 'Something went wrong in the server.\n' : 'This request cannot be answered.\n');
};

/**
 * Serves the built page, and the demo studio where asked. Every path that names no file is the page itself.
 */
export function dripLineServer({ pageDir, studioDir }: ServerOptions): Express {
  const root = resolve(pageDir);
  const app = express();
  app.disable('x-powered-by');
  app.set('query parser', 'simple');
  app.use(securityHeaders, onlyLoopback, onlyReading);
  app.get('/studio.json', (_request, response) => {
    if (studioDir === undefined) response.status(204).end();
    else response.set('Cache-Control', 'no-cache').json(readStudio(studioDir).files);
  });
  // named from the folder that is served: an install may lie under one whose name begins with a dot
  const files = (dir: string, cacheControl: string) =>
    expressStaticGzip(dir, {
      enableBrotli: true,
      orderPreference: ['br', 'gz'],
      index: false,
      serveStatic: {
        index: false,
        redirect: false,
        setHeaders: (response) => {
          response.setHeader('Cache-Control', cacheControl);
        },
      },
    });
  const page = files(root, 'no-cache');
  app.use('/assets', files(join(root, 'assets'), 'public, max-age=31536000, immutable'), notThere);
  app.use(page);
  app.get('/{*path}', (request, response, next) => {
    if (isFile(request.path)) {
      next();
      return;
    }
    request.url = '/index.html';
    page(request, response, next);
  });
  app.use(notThere, plainFault);
  return app;
}
