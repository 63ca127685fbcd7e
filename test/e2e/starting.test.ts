import { expect } from 'chai';
import { spawn, spawnSync, type ChildProcess } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { readStudio } from '../../src/server/studio.ts';
import { sharp } from './support/pictures.ts';
import { saved, studio, type } from './support/studio.ts';
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

  it('says in a sentence what is wrong: a flag that it does not know, a folder that may not be written', () => {
    const flag = spawnSync('node', ['scripts/start.mjs', '--emtpy'], { encoding: 'utf8' });
    expect(flag.status).to.equal(1);
    expect(flag.stderr).to.match(/^"--emtpy" is not known here\. npm start takes "-- --empty"/);
    expect(flag.stderr.trim().split('\n')).to.have.length(1);
  });

  it('leaves a broken file of the studio out, with its place, and serves the others', () => {
    const dir = mkdtempSync(join(tmpdir(), 'studio-'));
    const whole = readFileSync('demo/plans/slate-beds.dripline.json', 'utf8');
    writeFileSync(join(dir, 'whole.dripline.json'), whole);
    writeFileSync(join(dir, 'cut.dripline.json'), whole.slice(0, 300));
    const lean = JSON.parse(whole) as { batter: object };
    writeFileSync(
      join(dir, 'lean.dripline.json'),
      JSON.stringify({ ...lean, batter: { ...lean.batter, superfatPercent: -5 } }),
    );
    const { files, broken } = readStudio(dir);
    expect(files).to.have.length(1);
    expect(broken.toSorted()[0]).to.match(/cut\.dripline\.json: file: this is not JSON/);
    expect(broken.toSorted()[1]).to.match(/lean\.dripline\.json: batter\.superfatPercent: -5 % is outside/);
    expect(readStudio(join(dir, 'gone')).broken[0]).to.match(/gone: ENOENT/);
    rmSync(dir, { recursive: true });
  });
});

describe('a browser without workers', () => {
  const s = studio();

  it('shows the shelf, opens a plan, draws what is pushed about, and edits', async () => {
    await s.context().addInitScript('delete window.Worker;');
    const page = s.page();
    await page.goto(s.url());
    const file = readFileSync('demo/plans/slate-beds.dripline.json', 'utf8').replace('Slate Beds', 'Brought');
    await page.getByLabel('Plan and batch files').setInputFiles({
      name: 'brought.json',
      mimeType: 'application/json',
      buffer: Buffer.from(file),
    });
    await page.getByRole('article', { name: 'Brought' }).waitFor();
    await s.go('/plan/demo-ghyll-drop/design');
    await sharp(page);
    await page.getByRole('button', { name: /^Pour 1:/ }).click();
    await type(page, 'Mass', '500 g');
    await saved(page);
    await page.getByRole('button', { name: /^Pour 1: A, Chalk, 500 g/ }).waitFor();
    await s.go('/plan/demo-ghyll-drop/clock');
    await page.getByText('Will it hold?').waitFor();
  });
});

describe('a profile that never saw the shelf', () => {
  const s = studio();

  it('finds a plan of the demo studio by its address, and the rest of it on the shelf after', async () => {
    const fresh = await s.context().browser()!.newContext();
    const page = await fresh.newPage();
    await page.goto(`${s.url()}/plan/demo-copper-weir/design`);
    await page.getByRole('heading', { name: 'Copper Weir' }).waitFor();
    await page.getByRole('link', { name: 'To the shelf' }).click();
    await page.getByRole('article', { name: 'Slate Beds' }).waitFor();
    expect(await page.getByRole('article', { name: 'Copper Weir' }).count()).to.equal(1);
    await fresh.close();
  });
});
