import type { Browser, BrowserContext, Page } from 'playwright-core';
import { everything } from './everything.ts';
import { Random } from './random.ts';
import type { Row } from './row.ts';

const PLAN = 'demo-slate-beds';

const sleep = (ms: number): Promise<void> => new Promise((next) => setTimeout(next, ms));

class Tab {
  readonly page: Page;
  readonly url: string;
  constructor(page: Page, url: string) {
    this.page = page;
    this.url = url;
  }
  async toPlan(): Promise<void> {
    await this.page.goto(`${this.url}/plan/${PLAN}/mould`);
  }
  get open(): Promise<boolean> {
    return this.page.getByRole('button', { name: 'Name, notes and units' }).isVisible();
  }
  get notes() {
    return this.page.getByRole('dialog', { name: 'This plan' }).getByRole('textbox', { name: 'Notes' });
  }
  /**
   * Write a word at the end of the notes, and leave them or stay in the field. Null where this tab has no
   * plan open.
   */
  async write(word: string, then: 'leave' | 'stay' = 'leave'): Promise<string | null> {
    if (!(await this.open) && !(await this.notes.isVisible())) return null;
    if (!(await this.notes.isVisible()))
      await this.page.getByRole('button', { name: 'Name, notes and units' }).click();
    await this.notes.focus();
    await this.page.keyboard.press('Control+End');
    await this.page.keyboard.type(` ${word}`, { delay: 5 });
    const there = (await this.notes.inputValue()).includes(word);
    if (then === 'leave') await this.done();
    return there ? word : null;
  }
  async done(): Promise<void> {
    if (await this.notes.isVisible()) await this.page.getByRole('button', { name: 'Done' }).click();
  }
  /** A figure into a field of the mould, and out of it again. */
  async figure(mm: number): Promise<void> {
    await this.done();
    const field = this.page.getByRole('textbox', { name: 'Length', exact: true });
    if (await field.isVisible()) await field.fill(`${mm} mm`, { timeout: 1500 }).catch(() => undefined);
  }
  /** Nothing of this tab is on its way to storage, or it waits for a decision. */
  async settled(): Promise<void> {
    if (!(await this.open) && !(await this.notes.isVisible())) return;
    const said = this.page.getByRole('status').getByText('saved', { exact: true });
    const decide = this.page.getByText(/was (also changed|deleted) in another tab/);
    await said
      .or(decide)
      .first()
      .waitFor({ timeout: 6000 })
      .catch(() => undefined);
  }
  async press(name: string): Promise<void> {
    const button = this.page.getByRole('button', { name }).first();
    if (await button.isVisible()) await button.click({ timeout: 1500 }).catch(() => undefined);
  }
}

interface Told {
  readonly written: number;
  readonly gone: readonly string[];
  /** versions of the plan at the end, in its record and beside it */
  readonly versions: number;
}

/**
 * One seeded interleaving of two to five tabs on one plan. Tells the words that were written and are nowhere.
 */
async function interleave(browser: Browser, url: string, seed: number): Promise<Told> {
  const random = new Random(seed);
  const context: BrowserContext = await browser.newContext({
    serviceWorkers: random.next() < 0.5 ? 'allow' : 'block',
  });
  context.setDefaultTimeout(8000);
  try {
    const first = await context.newPage();
    await first.goto(url);
    await first.getByText('Slate Beds').first().waitFor();
    const tabs: Tab[] = [];
    for (let i = 0; i < random.whole(2, 5); i += 1) {
      const tab = new Tab(await context.newPage(), url);
      await tab.toPlan();
      tabs.push(tab);
    }
    const words: string[] = [];
    /** words that somebody has undone on purpose */
    const undone = new Set<string>();
    const acts = random.whole(6, 14);
    for (let i = 0; i < acts; i += 1) {
      const at = random.whole(0, tabs.length - 1);
      const tab = tabs[at];
      if (!tab) continue;
      const act = random.pick([
        'write',
        'write',
        'stay',
        'stay',
        'figure',
        'undo',
        'both',
        'reload',
        'shelf',
        'back',
        'close',
        'copy',
        'again',
        'delete',
        'wait',
      ]);
      const write = async (t: Tab, n: number, then: 'leave' | 'stay' = 'leave'): Promise<void> => {
        const word = await t.write(`w${seed}x${n}`, then).catch(() => null);
        if (word !== null) words.push(word);
      };
      // a conflict or a toast may stand over what is pressed: what cannot be left is left for the next act
      if (act !== 'stay' && act !== 'both') await tab.done().catch(() => undefined);
      if (act === 'write') await write(tab, i);
      else if (act === 'stay') await write(tab, i, 'stay');
      else if (act === 'figure') await tab.figure(200 + i);
      else if (act === 'undo') {
        await tab.settled();
        const before = JSON.stringify((await everything(first)).present);
        await tab.press('Undo');
        await tab.settled();
        await sleep(600);
        const after = JSON.stringify((await everything(first)).present);
        for (const w of words) if (before.includes(w) && !after.includes(w)) undone.add(w);
      } else if (act === 'both')
        await Promise.all(tabs.slice(0, 2).map((t, k) => write(t, 100 * (k + 1) + i)));
      else if (act === 'reload') await tab.page.reload();
      else if (act === 'shelf') await tab.page.goto(url);
      else if (act === 'back') await tab.toPlan();
      else if (act === 'close' && tabs.length > 1) {
        await tab.page.close();
        tabs.splice(at, 1);
      } else if (act === 'copy') await tab.press('Keep mine as a copy');
      else if (act === 'again') await tab.press('Store it again');
      else if (act === 'delete') {
        // deleted and put back, at once or after others have gone on
        await tab.page.goto(url);
        await tab.press('Delete Slate Beds');
        await sleep(random.pick([0, 400]));
        const other = tabs[(at + 1) % tabs.length];
        if (other && other !== tab) {
          await write(other, 900 + i);
          await sleep(600);
          if (random.next() < 0.5) await other.press('Store it again');
        }
        await tab.press('Undo');
        await sleep(200);
      } else if (act === 'wait') await sleep(random.pick([100, 500, 1100]));
      await sleep(random.pick([0, 0, 50, 300]));
    }
    for (const tab of tabs) await tab.settled();
    await sleep(1500);
    for (const tab of tabs) await tab.page.close();
    // the shelf of a page that comes after them all: it brings back what they left
    await first.goto(url);
    await first.locator('main').first().waitFor();
    await sleep(1500);
    const { present } = await everything(first);
    const there = JSON.stringify(present);
    return {
      written: words.length,
      gone: words.filter((w) => !there.includes(w) && !undone.has(w)),
      versions: present.filter(({ notes }) => notes.includes(`w${seed}x`)).length,
    };
  } finally {
    await context.close();
  }
}

/** Seeded interleavings, three browsers' worth of tabs at a time. */
export async function tabs(browser: Browser, url: string, count: number, seed: number): Promise<Row> {
  const lost: string[] = [];
  let words = 0;
  let parted = 0;
  let next = 0;
  const work = async (): Promise<void> => {
    while (next < count) {
      const one = seed * 1000 + next;
      next += 1;
      try {
        const { written, gone, versions } = await interleave(browser, url, one);
        words += written;
        if (versions > 1) parted += 1;
        if (gone.length > 0) lost.push(`tabs ${one}: ${gone.join(', ')}`);
      } catch (error) {
        lost.push(`tabs ${one}: ${error instanceof Error ? error.message.slice(0, 200) : String(error)}`);
      }
    }
  };
  await Promise.all([work(), work(), work()]);
  return {
    what: 'two to five tabs on one plan, interleaved',
    tried: count,
    lost,
    note: `${words} words written; ${parted} ended with more than one version, all kept`,
  };
}
