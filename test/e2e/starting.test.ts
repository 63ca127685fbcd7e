import { expect } from 'chai';
import { spawn, type ChildProcess } from 'node:child_process';
import { once } from 'node:events';
import { createServer, type AddressInfo } from 'node:net';

const freePort = async (): Promise<number> => {
  const server = createServer().listen(0, '127.0.0.1');
  await once(server, 'listening');
  const { port } = server.address() as AddressInfo;
  server.close();
  return port;
};

const listens = async (port: number): Promise<boolean> => {
  try {
    return (await fetch(`http://127.0.0.1:${port}/studio.json`)).ok;
  } catch {
    return false;
  }
};

const within = async (ms: number, done: () => Promise<boolean>): Promise<boolean> => {
  const end = performance.now() + ms;
  while (performance.now() < end) {
    if (await done()) return true;
    await new Promise((next) => setTimeout(next, 100));
  }
  return false;
};

describe('npm start', () => {
  let child: ChildProcess | undefined;
  afterEach(() => {
    try {
      process.kill(-(child?.pid ?? 0), 'SIGKILL');
    } catch {
      // it has ended
    }
  });

  // a stop of the one process, as a service manager does it; Ctrl+C in a terminal, which all of its processes
  // get
  for (const [signal, whom] of [
    ['SIGTERM', 1],
    ['SIGINT', -1],
  ] as const)
    it(`leaves nothing listening when it gets a ${signal}`, async () => {
      const port = await freePort();
      child = spawn('npm', ['start'], {
        env: { ...process.env, PORT: String(port) },
        stdio: 'ignore',
        detached: true,
      });
      const ended = once(child, 'exit');
      expect(await within(30_000, () => listens(port)), 'it has begun').to.equal(true);
      process.kill(whom * (child.pid ?? 0), signal);
      await ended;
      expect(await within(3000, async () => !(await listens(port))), 'it has ended').to.equal(true);
    });
});
