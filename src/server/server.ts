import express, { type Express } from 'express';
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { securityHeaders } from './headers.ts';

interface ServerOptions {
  /** the built page */
  readonly pageDir: string;
  /** the demo studio's plan files; absent: the shelf starts empty */
  readonly studioDir?: string | undefined;
}

/** Plan files of the studio as one array, their heads taken off: what the page stores. */
function readStudio(dir: string): readonly unknown[] {
  return readdirSync(dir)
    .filter((f) => f.endsWith('.dripline.json'))
    .map((f) => {
      const {
        format: _format,
        version: _version,
        ...plan
      } = JSON.parse(readFileSync(join(dir, f), 'utf8')) as Record<string, unknown>;
      return plan;
    });
}

/** Serves the built page, and the demo studio where asked. Every other path is the page itself. */
export function dripLineServer({ pageDir, studioDir }: ServerOptions): Express {
  const app = express();
  app.disable('x-powered-by');
  app.use(securityHeaders);
  app.get('/studio.json', (_request, response) => {
    if (studioDir === undefined) response.status(204).end();
    else response.json(readStudio(studioDir));
  });
  app.use(
    '/assets',
    express.static(join(pageDir, 'assets'), { immutable: true, maxAge: '1y', index: false }),
  );
  app.use('/assets', (_request, response) => {
    response.status(404).type('text').send('No such file');
  });
  app.use(express.static(pageDir, { index: false, maxAge: 0 }));
  app.get('/{*path}', (_request, response) => {
    response.sendFile(join(pageDir, 'index.html'), { headers: { 'Cache-Control': 'no-cache' } });
  });
  return app;
}
