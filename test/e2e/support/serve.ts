import { once } from 'node:events';
import type { Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { resolve } from 'node:path';
import { dripLineServer } from '../../../src/server/server.ts';

export interface Served {
  readonly url: string;
  readonly stop: () => void;
}

/** The built page on a free loopback port, with the demo studio or with an empty shelf. */
export async function serve(studio: boolean, pageDir = resolve('dist')): Promise<Served> {
  const app = dripLineServer({
    pageDir,
    studioDir: studio ? resolve('demo') : undefined,
  });
  const server: Server = app.listen(0, '127.0.0.1');
  await once(server, 'listening');
  const { port } = server.address() as AddressInfo;
  return {
    url: `http://127.0.0.1:${port}`,
    stop: () => {
      server.closeAllConnections();
      server.close();
    },
  };
}
