import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Page } from 'playwright-core';
import { kill, openProfile } from '../e2e/support/profile.ts';
import { Random } from './random.ts';
import type { Row } from './row.ts';

/** What was on screen for this long must be there after a kill, ms. */
const SECOND_MS = 1000;
const PLAN = 'demo-slate-beds';

interface Typed {
  readonly text: string;
  /** when each length of the text was on screen, ms */
  readonly at: readonly number[];
}

interface Figure {
  readonly mm: number;
  readonly at: number;
}

async function notes(page: Page, url: string) {
  await page.goto(`${url}/plan/${PLAN}/mould`);
  await page.getByRole('heading', { name: 'Mould', exact: true }).waitFor();
  await page.getByRole('button', { name: 'Name, notes and units' }).click();
  return page.getByRole('textbox', { name: 'Notes' });
}

/**
 * Figures into a field of the mould, each larger than the one before, until the time is up: the last of them
 * is the text.
 */
async function figures(page: Page, url: string, random: Random): Promise<readonly Figure[]> {
  await page.goto(`${url}/plan/${PLAN}/mould`);
  const field = page.getByRole('textbox', { name: 'Length', exact: true });
  await field.waitFor();
  const end = performance.now() + random.whole(1500, 5000);
  const pace = random.pick([60, 150, 400]);
  const typed: Figure[] = [];
  for (let mm = 200; performance.now() < end; mm += 1) {
    await field.focus();
    await page.keyboard.press('Control+a');
    await page.keyboard.type(String(mm));
    typed.push({ mm, at: performance.now() });
    await new Promise((next) => setTimeout(next, pace));
  }
  return typed;
}

/** Type without a pause, or with pauses, until the time is up. */
async function type(page: Page, url: string, random: Random): Promise<Typed> {
  const field = await notes(page, url);
  await field.fill('');
  const end = performance.now() + random.whole(1500, 5000);
  const pace = random.pick([15, 40, 90, 300]);
  let text = '';
  const at: number[] = [];
  await field.focus();
  while (performance.now() < end) {
    const letter = random.pick('a b c d e f g h i j k l m n o'.split(' '));
    await page.keyboard.type(letter);
    text += letter;
    at.push(performance.now());
    await new Promise((next) => setTimeout(next, pace));
  }
  return { text, at };
}

/** Kill the browser while it is typed in, and look what is there when it is opened again. */
export async function kills(url: string, count: number, seed: number): Promise<Row> {
  const profile = mkdtempSync(join(tmpdir(), `drip-line-soak-${seed}-`));
  const lost: string[] = [];
  let most = 0;
  let context = await openProfile(profile);
  let page = context.pages()[0] ?? (await context.newPage());
  await page.goto(url);
  await page.getByText('Slate Beds').first().waitFor();
  for (let i = 0; i < count; i += 1) {
    const random = new Random(seed * 1000 + i);
    const again = async (): Promise<number> => {
      const killedAt = performance.now();
      kill(profile);
      await context.close().catch(() => undefined);
      context = await openProfile(profile);
      page = context.pages()[0] ?? (await context.newPage());
      return killedAt;
    };
    if (random.next() < 0.3) {
      const typed = await figures(page, url, random);
      const killedAt = await again();
      await page.goto(`${url}/plan/${PLAN}/mould`);
      const field = page.getByRole('textbox', { name: 'Length', exact: true });
      await field.waitFor();
      const there = Number.parseFloat(await field.inputValue());
      const mustBe = typed.findLast(({ at }) => killedAt - at >= SECOND_MS)?.mm ?? 0;
      if (there < mustBe)
        lost.push(`kill ${seed * 1000 + i}: ${there} mm, where ${mustBe} mm was a second old`);
      continue;
    }
    const typed = await type(page, url, random);
    const killedAt = await again();
    const there = await (await notes(page, url)).inputValue();
    const mustBe = typed.at.filter((t) => killedAt - t >= SECOND_MS).length;
    const same = typed.text.startsWith(there) ? there.length : 0;
    const missing = typed.at[same];
    if (missing !== undefined) most = Math.max(most, killedAt - missing);
    if (same < mustBe)
      lost.push(`kill ${seed * 1000 + i}: ${mustBe - same} of ${mustBe} characters that were a second old`);
  }
  await context.close();
  rmSync(profile, { recursive: true, force: true });
  return {
    what: 'browser killed while it is typed in',
    tried: count,
    lost,
    note: `at most the last ${Math.round(most)} ms of typing were missing`,
  };
}
