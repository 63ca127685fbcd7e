import { existsSync } from 'node:fs';
import { resolve } from 'node:path';
import { dripLineServer } from './server.ts';
import { readStudio } from './studio.ts';

/** Loopback only unless HOST says otherwise. */
const host = process.env['HOST'] ?? '127.0.0.1';
const port = Number(process.env['PORT'] ?? 4317);
const pageDir = resolve('dist');
const studioDir = process.argv.includes('--empty') ? undefined : resolve('demo');

const stop = (message: string): void => {
  process.stderr.write(`${message}\n`);
  process.exitCode = 1;
};

if (!Number.isInteger(port) || port < 1 || port > 65535)
  stop(`PORT=${process.env['PORT'] ?? ''} is not a port: use a number from 1 to 65535.`);
else if (!existsSync(resolve(pageDir, 'index.html')))
  stop('The page is not built yet: run "npm start", which builds it.');
else {
  const server = dripLineServer({ pageDir, studioDir }).listen(port, host, (error?: Error) => {
    if (error) return;
    for (const line of studioDir === undefined ? [] : readStudio(studioDir).broken)
      process.stderr.write(`Left out of the demo studio: ${line}\n`);
    process.stdout.write(`Drip Line is at http://${host}:${port}/\n`);
  });
  for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP'] as const)
    process.on(signal, () => {
      server.close(() => process.exit(0));
      server.closeAllConnections();
    });
  server.on('error', (error: NodeJS.ErrnoException) => {
    stop(
      error.code === 'EADDRINUSE'
        ? `Port ${port} is busy: something else is listening there. Choose another, for example: PORT=${port + 1} npm start`
        : `Cannot listen on ${host}:${port}: ${error.message}`,
    );
  });
}
