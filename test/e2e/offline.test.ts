import { unfold } from './support/studio.ts';
import { expect } from 'chai';
import { cpSync, mkdtempSync, readFileSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { brotliCompressSync, gzipSync } from 'node:zlib';
import type { Browser, BrowserContext, Page } from 'playwright-core';
import { launch } from './support/browser.ts';
import { serve, type Served } from './support/serve.ts';

/** The page is held by a service worker, with every file of the build. */
const held = (page: Page): Promise<unknown> =>
  page.evaluate(`navigator.serviceWorker.ready.then(() => new Promise((done) => {
    if (navigator.serviceWorker.controller) done();
    else navigator.serviceWorker.addEventListener('controllerchange', () => done());
  }))`);

const askForNewer = (page: Page): Promise<unknown> =>
  page.evaluate(`navigator.serviceWorker.getRegistration().then((r) => r.update()).then(() => undefined)`);

describe('the build, held in the browser', () => {
  let dir: string;
  let served: Served;
  let browser: Browser;
  let context: BrowserContext;
  let page: Page;
  const elsewhere: string[] = [];

  before(async () => {
    browser = await launch();
  });
  beforeEach(async () => {
    dir = mkdtempSync(join(tmpdir(), 'drip-line-build-'));
    cpSync('dist', dir, { recursive: true });
    served = await serve(true, dir);
    context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
    context.setDefaultTimeout(10_000);
    context.on('request', (r) => {
      if (!r.url().startsWith(served.url) && !/^(data|blob):/.test(r.url())) elsewhere.push(r.url());
    });
    page = await context.newPage();
    await page.goto(served.url);
    await page.getByText('Slate Beds').first().waitFor();
    await held(page);
  });
  afterEach(async () => {
    await context.close();
    served.stop();
    rmSync(dir, { recursive: true, force: true });
    expect(elsewhere).to.deep.equal([]);
  });
  after(() => browser.close());

  function write(file: string, text: string): void {
    writeFileSync(join(dir, file), text);
    writeFileSync(join(dir, `${file}.br`), brotliCompressSync(text));
    writeFileSync(join(dir, `${file}.gz`), gzipSync(text));
  }

  /** Another build in place of this one: other names for its parts, another page, another service worker. */
  function rebuild(): void {
    for (const part of readdirSync(join(dir, 'assets')))
      if (/^(CutStation|BatterStation|PourSheet)-/.test(part)) rmSync(join(dir, 'assets', part));
    const index = readFileSync(join(dir, 'index.html'), 'utf8');
    write('index.html', index.replace('<title>Drip Line</title>', '<title>Drip Line, newer</title>'));
    const worker = readFileSync(join(dir, 'sw.js'), 'utf8');
    const without = worker
      .replaceAll(/\{[^{}]*assets\/(?:CutStation|BatterStation|PourSheet)-[^{}]*\},?/g, '')
      .replace(/(index\.html[`"'],\s*["'`]?revision["'`]?:\s*[`"'])[0-9a-f]{16}/, '$1000000000000ffff');
    expect(without).to.not.equal(worker);
    expect(without).to.include('000000000000ffff');
    write('sw.js', without);
  }

  it('opens without the server, also stations that were never opened, and keeps what is done there', async () => {
    served.stop();
    await page.goto(`${served.url}/plan/demo-slate-beds/mould`);
    await page.getByRole('heading', { name: 'Mould', exact: true }).waitFor();
    for (const [link, heading] of [
      [/Batter/, 'Batter'],
      [/Colour/, 'Colour'],
      [/Sheet/, 'Pour sheet'],
      [/Cut/, 'Cut'],
    ] as const) {
      await page.getByRole('navigation', { name: 'Stations' }).getByRole('link', { name: link }).click();
      await page
        .getByRole('heading', { name: new RegExp(`^${heading}|Slate Beds`) })
        .first()
        .waitFor();
    }
    await page.getByRole('textbox', { name: 'Thickness' }).fill('22 mm');
    await page.getByRole('status').getByText('saved', { exact: true }).waitFor();
    await page.goto(`${served.url}/colorants`);
    await page.getByRole('heading', { name: 'Colorants' }).waitFor();
    await page.goto(`${served.url}/plan/demo-slate-beds/cut`);
    expect(await page.getByRole('textbox', { name: 'Thickness' }).inputValue()).to.equal('22 mm');
  });

  it('goes on in open tabs when there is a newer one, which waits until it is wanted', async () => {
    const other = await context.newPage();
    await page.goto(`${served.url}/plan/demo-slate-beds/mould`);
    await page.getByRole('heading', { name: 'Mould', exact: true }).waitFor();
    await other.goto(`${served.url}/plan/demo-copper-weir/mould`);
    await other.getByRole('heading', { name: 'Mould', exact: true }).waitFor();
    rebuild();
    await askForNewer(page);
    await page.getByText('A new version of Drip Line is ready: reload when you like').waitFor();
    // this build's own parts are still to be had, though the server has them no more
    await page.getByRole('link', { name: /Cut/ }).click();
    await page.getByRole('textbox', { name: 'Thickness' }).waitFor();
    expect(await page.title()).to.equal('Drip Line');
    // what is typed as the maker reloads is not lost
    await page.getByRole('textbox', { name: 'Thickness' }).fill('21 mm');
    await page.getByRole('button', { name: 'Reload' }).click();
    await page.waitForFunction(() => document.title === 'Drip Line, newer');
    await page.goto(`${served.url}/plan/demo-slate-beds/mould`);
    await page.getByRole('heading', { name: 'Mould', exact: true }).waitFor();
    // the other tab runs the older build still, and finds its parts
    await other.getByText('A new version of Drip Line is ready').waitFor();
    await other.getByRole('link', { name: /Batter/ }).click();
    await unfold(other, 'Lye and water');
    await other.getByRole('textbox', { name: 'Superfat' }).waitFor();
    expect(await other.title()).to.equal('Drip Line');
  });

  it('can be installed', async () => {
    const session = await context.newCDPSession(page);
    const { errors } = (await session.send('Page.getAppManifest')) as { errors: readonly unknown[] };
    expect(errors).to.deep.equal([]);
    const { installabilityErrors } = (await session.send('Page.getInstallabilityErrors')) as {
      installabilityErrors: readonly { errorId: string }[];
    };
    // a window without a trace of the maker, as every test's is, installs nothing: that is the one thing in
    // the way
    expect(installabilityErrors.map((e) => e.errorId).filter((id) => id !== 'in-incognito')).to.deep.equal(
      [],
    );
  });
});
