import { readFileSync } from 'node:fs';
import type { Browser, Page } from 'playwright-core';
import { writePlanFile } from '../../src/core/exchange/writePlan.ts';
import { demoPlans } from '../support/plans.ts';
import { Random } from './random.ts';
import type { Row } from './row.ts';

type Json = null | boolean | number | string | Json[] | { [key: string]: Json };

const BOMB = '\u202Eevil\u0000\uD800<script>alert(1)</script>"\'&';

const VALUES: readonly Json[] = [
  null,
  '',
  BOMB,
  'x'.repeat(5000),
  -1,
  0,
  1e308,
  -1e308,
  0.1 + 0.2,
  [],
  {},
  [[]],
  true,
  '__proto__',
  '2026-01-01T00:00:00+02',
  '2026-02-31T00:00:00.000Z',
  '2026-13-99',
  '=cmd()',
  '\uFEFF',
  Array.from({ length: 5000 }, () => 0),
];

/** Every place in a value. */
function places(value: Json, at: readonly (string | number)[] = []): (readonly (string | number)[])[] {
  if (typeof value !== 'object' || value === null) return [at];
  const inside = Array.isArray(value) ? value.map((v, i) => [i, v] as const) : Object.entries(value);
  return [at, ...inside.flatMap(([k, v]) => places(v, [...at, k]))];
}

function put(
  root: Json,
  path: readonly (string | number)[],
  change: (holder: Record<string, Json>, key: string) => void,
): void {
  let holder = root as Record<string, Json>;
  for (const key of path.slice(0, -1)) holder = holder[String(key)] as Record<string, Json>;
  change(holder, String(path.at(-1)));
}

const WHOLE = demoPlans().map(writePlanFile);

/** Whole files that no plan is. */
const ODD: readonly (() => string)[] = [
  () => '['.repeat(5000) + ']'.repeat(5000),
  () => '{"a":'.repeat(5000) + '1' + '}'.repeat(5000),
  () =>
    JSON.stringify({
      ...(JSON.parse(WHOLE[0] ?? '{}') as object),
      pots: Array.from({ length: 100_000 }, () => ({})),
    }),
  () => '\u0000'.repeat(1000),
  () => '',
  () => 'GIMP Palette\n1 2 3 x',
  () => '{"format":"drip-line/plan","version":999}',
  () => '{"__proto__":{"polluted":1},"format":"drip-line/plan","version":3}',
  () => JSON.stringify('x'.repeat(1_900_000)),
  () => ' '.repeat(2_000_001),
  () => readFileSync('package-lock.json', 'utf8'),
];

/** A damaged or hostile plan file, the same for the same seed. */
export function hostileFile(seed: number): string {
  const random = new Random(seed);
  const text = random.pick(WHOLE);
  const kind = random.next();
  if (kind < 0.12) return random.pick(ODD)();
  if (kind < 0.22) return text.slice(0, random.whole(0, text.length));
  if (kind < 0.34) {
    const at = random.whole(0, text.length - 1);
    return text.slice(0, at) + String.fromCharCode(random.whole(0, 0xffff)) + text.slice(at + 1);
  }
  const value = JSON.parse(text) as Json;
  // names that would spoil a line, and figures as a strange plan may have them: these are taken
  if (kind < 0.5) {
    const soft = places(value).filter((p) => ['name', 'notes'].includes(String(p.at(-1))));
    put(value, random.pick(soft), (holder, key) => (holder[key] = BOMB));
    const figures = places(value).filter((p) => /(Mm|Percent|G|Min|Deg|parts)$/.test(String(p.at(-1))));
    put(value, random.pick(figures), (holder, key) => {
      if (typeof holder[key] === 'number') holder[key] *= 3 * random.next();
    });
    return JSON.stringify(value);
  }
  for (let i = 0; i < random.whole(1, 3); i += 1) {
    const path = random.pick(places(value).filter((p) => p.length > 0));
    put(value, path, (holder, key) => {
      if (random.next() < 0.3) {
        if (Array.isArray(holder)) holder.splice(Number(key), 1);
        else Reflect.deleteProperty(holder, key);
      } // a copy: what is put into one file must not be changed by the next
      else holder[key] = structuredClone(random.pick(VALUES));
    });
  }
  return JSON.stringify(value);
}

/** How long the page did not answer while a file was read, ms. */
const FROZEN_MS = 1000;

interface Heard {
  readonly longest: number;
  readonly polluted: boolean;
}

const listen = (page: Page): Promise<unknown> =>
  page.evaluate(`{
    window.longestGap = 0;
    let last = performance.now();
    setInterval(() => { const now = performance.now(); window.longestGap = Math.max(window.longestGap, now - last); last = now; }, 20);
  }`);

const heard = (page: Page): Promise<Heard> =>
  page.evaluate('({ longest: window.longestGap, polluted: ({}).polluted !== undefined })');

/** Hostile files through the picker of the shelf; each that is taken is opened at every station. */
export async function files(browser: Browser, url: string, count: number, seed: number): Promise<Row> {
  const lost: string[] = [];
  const context = await browser.newContext({ serviceWorkers: 'block', reducedMotion: 'reduce' });
  context.setDefaultTimeout(20_000);
  const page = await context.newPage();
  let now = 0;
  page.on('pageerror', (error) =>
    lost.push(`file ${now}: error on the page: ${error.message.slice(0, 150)}`),
  );
  page.on('dialog', (dialog) => {
    lost.push(`file ${now}: something ran: ${dialog.message()}`);
    void dialog.dismiss();
  });
  await page.goto(url);
  await page.getByText('Slate Beds').first().waitFor();
  await listen(page);
  const cards = page.getByRole('article');
  const demo = demoPlans().length;
  let taken = 0;
  for (let i = 0; i < count; i += 1) {
    now = seed * 100_000 + i;
    try {
      const name = `hostile-${now}.json`;
      await page
        .getByLabel('Plan and batch files')
        .setInputFiles({ name, mimeType: 'application/json', buffer: Buffer.from(hostileFile(now)) });
      const refused = page.getByRole('alert').getByText(`“${name}” was not taken.`);
      const onShelf = page.getByText(/^On the shelf: /);
      await refused.or(onShelf).first().waitFor();
      if (await refused.isVisible()) {
        const words = await page.getByRole('alert').getByRole('listitem').allInnerTexts();
        if (words.length === 0 || words.some((w) => w.trim().length < 8))
          lost.push(`file ${now}: refused without a reason`);
        await page.getByRole('button', { name: 'Close' }).click();
        continue;
      }
      taken += 1;
      const damaged = await page.getByText('damaged as it is stored').count();
      if (damaged > 0) lost.push(`file ${now}: taken, and damaged on the shelf`);
      // the newest may stand anywhere: the one that is none of the studio's
      const open = page.getByRole('link', { name: /^Open / });
      const ids = await open.evaluateAll((links) => links.map((l) => l.getAttribute('href') ?? ''));
      const id = ids.find((h) => !/\/plan\/demo-[a-z-]+\//.test(h)) ?? ids[0] ?? '';
      const base = url + id.replace(/\/design$/, '');
      for (const station of ['mould', 'design', 'batter', 'colour/pots', 'sheet', 'cut']) {
        await page.goto(`${base}/${station}`);
        await page.locator('main h2, main h1').first().waitFor();
        const broken = page.getByText(/cannot be shown\.|could not be shown/);
        if (await broken.isVisible())
          lost.push(
            `file ${now}: ${station} is broken: ${(await page.locator('main').innerText()).slice(0, 160)}`,
          );
      }
      // a fresh shelf for the next
      await page.goto(url);
      await cards.first().waitFor();
      await listen(page);
      while ((await cards.count()) > demo) {
        const strangers = page.locator('article').filter({ has: page.locator(`a[href="${id}"]`) });
        await strangers.getByRole('button', { name: /^Delete / }).click();
        // gone before the next look: on a slow machine a card stays for a while after its plan
        await strangers.waitFor({ state: 'detached' });
      }
      await page
        .getByRole('button', { name: 'Dismiss' })
        .first()
        .click()
        .catch(() => undefined);
    } catch (error) {
      lost.push(
        `file ${now}: ${error instanceof Error ? error.message.replaceAll(/\s+/g, ' ').slice(0, 200) : String(error)}`,
      );
      await page.goto(url);
      await cards.first().waitFor();
      await listen(page);
    }
    const { longest, polluted } = await heard(page);
    if (longest > FROZEN_MS) lost.push(`file ${now}: the page stood still for ${Math.round(longest)} ms`);
    if (polluted) lost.push(`file ${now}: every object was changed`);
    if (longest > FROZEN_MS) await page.evaluate('window.longestGap = 0');
  }
  if ((await cards.count()) !== demo)
    lost.push(`the shelf has ${await cards.count()} plans at the end, not ${demo}`);
  await context.close();
  return {
    what: 'hostile files through the picker',
    tried: count,
    lost,
    note: `${taken} were whole plans all the same, and opened`,
  };
}
