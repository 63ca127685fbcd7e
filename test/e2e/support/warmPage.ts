import type { Browser, BrowserContext, BrowserContextOptions, Page } from 'playwright-core';
import { launch } from './browser.ts';
import { serve, type Served } from './serve.ts';

/** How a profile is set up, beyond what every one of them is. */
export interface Profile {
  readonly demo: boolean;
  readonly viewport: { readonly width: number; readonly height: number };
  readonly introduced: boolean;
  readonly touch: boolean;
}

/** A page in a profile of its own. */
export interface Opened {
  readonly served: Served;
  readonly context: BrowserContext;
  readonly page: Page;
  /** requests that left the machine, and errors that the page reported, since it was lent */
  readonly faults: string[];
}

/** Of our own origin, and without a script. */
const STILL = '/drop.svg';

/** The next file is read within this, ms. */
const SOON_MS = 5000;

let browser: Promise<Browser> | undefined;
const servers = new Map<boolean, Promise<Served>>();
let kept: (Opened & { readonly by: string }) | undefined;
let closing: NodeJS.Timeout | undefined;

const serverOf = (demo: boolean): Promise<Served> => {
  const known = servers.get(demo) ?? serve(demo);
  servers.set(demo, known);
  return known;
};

function watch(context: BrowserContext, url: string, faults: string[]): void {
  context.on('request', (request) => {
    const to = request.url();
    if (!to.startsWith(url) && !to.startsWith('data:') && !to.startsWith('blob:'))
      faults.push(`request to ${to}`);
  });
  context.on('page', (page) => {
    page.on('pageerror', (error) => faults.push(`error: ${error.message}`));
    page.on('console', (message) => {
      if (message.type() === 'error') faults.push(`console: ${message.text()}`);
    });
  });
}

async function openedAnew({ demo, viewport, introduced, touch }: Profile): Promise<Opened> {
  browser ??= launch();
  const served = await serverOf(demo);
  const options: BrowserContextOptions = {
    viewport,
    hasTouch: touch,
    reducedMotion: 'reduce',
    acceptDownloads: true,
    // held builds are tried in a test of their own: elsewhere they would only cost time
    serviceWorkers: 'block',
  };
  const context = await (await browser).newContext(options);
  if (introduced)
    await context.addInitScript("try { localStorage.setItem('drip-line/introduced', 'yes'); } catch {}");
  context.setDefaultTimeout(30_000);
  const faults: string[] = [];
  watch(context, served.url, faults);
  return { served, context, page: await context.newPage(), faults };
}

/**
 * A page whose profile is empty. The one of the test before is lent again where its profile is set up alike:
 * a browser that has read the scripts once opens the product in a third of the time.
 */
export async function lent(profile: Profile): Promise<Opened> {
  clearTimeout(closing);
  const by = JSON.stringify(profile);
  if (kept?.by === by) return kept;
  await kept?.context.close();
  kept = { ...(await openedAnew(profile)), by };
  return kept;
}

/** Given back as it was lent: by itself, at its size, and with nothing stored. */
async function emptied({ served, context, page }: Opened, { viewport }: Profile): Promise<void> {
  for (const other of context.pages()) if (other !== page) await other.close();
  await page.unrouteAll({ behavior: 'ignoreErrors' });
  await page.emulateMedia({ media: null });
  await page.setViewportSize(viewport);
  await page.goto(served.url + STILL);
  const session = await context.newCDPSession(page);
  await session.send('Storage.clearDataForOrigin', {
    origin: served.url,
    storageTypes: 'indexeddb,local_storage',
  });
  await page.evaluate('sessionStorage.clear()');
  await session.detach();
}

/**
 * What a test gives back; `asLent`: the profile can be lent again once it is emptied. One that cannot be
 * emptied is lent to nobody.
 */
export async function givenBack(opened: Opened, profile: Profile, asLent: boolean): Promise<void> {
  const isEmptied =
    asLent &&
    !opened.page.isClosed() &&
    (await emptied(opened, profile).then(
      () => true,
      () => false,
    ));
  if (isEmptied) return;
  kept = undefined;
  await opened.context.close();
}

async function closed(): Promise<void> {
  const [page, chromium, serving] = [kept, browser, [...servers.values()]];
  // what is lent while these are being closed is opened anew
  kept = undefined;
  browser = undefined;
  servers.clear();
  await page?.context.close();
  await (await chromium)?.close();
  for (const served of serving) (await served).stop();
}

/** All is closed, unless a page is lent soon: the next file may want one. */
export function closedSoon(): void {
  closing = setTimeout(() => void closed(), SOON_MS);
}
