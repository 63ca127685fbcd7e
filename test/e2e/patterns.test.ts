import { expect } from 'chai';
import type { Locator } from 'playwright-core';
import { more, put } from './support/line.ts';
import { pictureOf, sharp } from './support/pictures.ts';
import {
  choose,
  fieldValue,
  saved,
  seriousFaults,
  studio,
  type as typeIn,
  unfold,
  workedOut,
} from './support/studio.ts';

/** The colours of a canvas, so many pixels of each, most first. */
const coloursIn = (canvas: Locator): Promise<readonly (readonly [string, number])[]> =>
  canvas.evaluate((element) => {
    const it = element as HTMLCanvasElement;
    const { data } = it.getContext('2d')!.getImageData(0, 0, it.width, it.height);
    const counts = new Map<string, number>();
    for (let i = 0; i < data.length; i += 4) {
      if (data[i + 3] !== 255) continue;
      const key = [data[i], data[i + 1], data[i + 2]].join(' ');
      counts.set(key, (counts.get(key) ?? 0) + 1);
    }
    return [...counts].sort((a, b) => b[1] - a[1]);
  });

describe('patterns in the browser', () => {
  const at = studio();

  it('a column pour from its beginning: turns, rounds, how deep it sinks, the stick, the sheet', async () => {
    const page = at.page();
    await page.goto(`${at.url()}/new`);
    await page.getByRole('button', { name: 'Column pour' }).click();
    await page.getByRole('heading', { name: 'Design', exact: true }).waitFor();
    await page.getByRole('button', { name: 'Plan', exact: true }).click();
    await sharp(page);
    await page.getByRole('button', { name: /^Pour 1: 4 rounds of 3/ }).click();
    const first = page.locator('canvas[data-swirl]').first();
    const before = await pictureOf(first);
    // rounds
    await typeIn(page, 'Rounds', '6');
    await unfold(page, 'Each round');
    await page.getByRole('slider', { name: 'Round 6' }).waitFor();
    await page.getByRole('button', { name: 'Half of what is left' }).click();
    const last = page.getByRole('slider', { name: 'Round 6' });
    const [five, six] = await Promise.all([
      page.getByRole('slider', { name: 'Round 5' }).getAttribute('aria-valuetext'),
      last.getAttribute('aria-valuetext'),
    ]);
    expect(parseInt(five!)).to.be.closeTo(parseInt(six!), 1);
    await page.getByRole('button', { name: 'Even', exact: true }).click();
    await last.focus();
    await last.press('ArrowDown');
    expect(Number(await last.getAttribute('aria-valuenow'))).to.be.closeTo(95, 1);
    // turns
    await page.getByRole('button', { name: /: the round$/ }).click();
    await page.getByRole('button', { name: 'Turn 2: pot B' }).click();
    await page.getByRole('button', { name: 'Earlier' }).click();
    await page.getByRole('button', { name: 'Turn 1: pot B' }).waitFor();
    await page.getByLabel('Add a turn').selectOption({ label: 'A  Chalk' });
    await page.getByRole('button', { name: 'Turn 4: pot A' }).waitFor();
    // how deep
    await typeIn(page, 'Poured from', '400');
    await page.getByText(/^It sinks right through/).waitFor();
    await typeIn(page, 'Poured from', '5');
    await page.getByText(/lies on top|sinks a little|sinks about half way/).waitFor();
    await sharp(page);
    expect(await pictureOf(first)).not.to.equal(before);
    // the stick
    await page.getByRole('button', { name: /^fan: the stick/ }).click();
    await typeIn(page, 'Strokes', '9');
    await more(page);
    await page.getByText('another between each two', { exact: false }).click();
    await page.getByRole('button', { name: 'Close the stick' }).click();
    await put(page, 'Stick', 'Spiral');
    await typeIn(page, 'From turn to turn', '40');
    await saved(page);
    await page.getByRole('button', { name: 'Undo' }).click();
    await page.getByRole('button', { name: 'Undo' }).click();
    await page.getByRole('button', { name: /^spiral: the stick/ }).waitFor({ state: 'detached' });
    await page.getByRole('button', { name: 'Redo' }).click();
    await page.getByRole('button', { name: /^spiral: the stick/ }).waitFor();
    await more(page);
    await page.getByRole('button', { name: 'Earlier', exact: true }).click();
    expect(await page.getByRole('button', { name: /: the stick is drawn/ }).allInnerTexts()).to.deep.equal([
      'spiral',
      'fan',
    ]);
    // the sheet, round by round
    await page.getByRole('link', { name: /Sheet/ }).click();
    await page.getByText(/6 rounds of B, A, C, A/).waitFor();
    const rows = page.getByRole('table', { name: 'Rounds' }).getByRole('row');
    expect(await rows.count()).to.equal(1 + 6);
    await page.getByText(/Pull the column straight up and fill its hole at once/).waitFor();
    await page
      .getByText(/With the thick end of the stick, .*: 9 strokes from the middle outward, another between/)
      .waitFor();
  });

  it('is seen from above with its cuts, in the section, turning, by bars and cut by hand', async () => {
    const page = at.page();
    await at.go('/plan/demo-basalt-columns/cut');
    await page.getByRole('button', { name: 'Plan', exact: true }).click();
    // the loaf from above, from its side, a bar of each way to cut it, and three sides of fifteen bars
    expect(await sharp(page)).to.equal(1 + 1 + 3 + 45);
    const top = page
      .getByRole('group', { name: /seen from straight above/ })
      .locator('canvas')
      .first();
    // slate, chalk, copper, peat, green and lichen, all of them
    expect((await coloursIn(top)).filter(([, n]) => n > 500).length).to.be.at.least(6);
    await page.getByRole('button', { name: 'Loaf', exact: true }).click();
    await sharp(page);
    const loaf = page.getByRole('img', { name: /The loaf in three dimensions/ });
    expect(await loaf.locator('canvas').count()).to.equal(3);
    const side = await pictureOf(loaf.locator('canvas').last());
    await loaf.press('ArrowRight');
    // turning moves its faces, it draws none of them anew
    expect(await pictureOf(loaf.locator('canvas').last())).to.equal(side);
    await page.getByRole('button', { name: 'Cut', exact: true }).click();
    await sharp(page);
    await page.getByRole('button', { name: 'Parallel to the floor', exact: true }).click();
    await page.getByLabel('Move it').fill('0.8');
    await page.getByLabel('Turn it').fill('30');
    await sharp(page);
    await page.getByRole('button', { name: 'Section', exact: true }).click();
    await sharp(page);
    await page.getByLabel('Wavers').fill('1');
    await sharp(page);
    await page.getByLabel('Colours as they look').selectOption('pour');
    await sharp(page);
  });

  it('the column and drops are moved in the plan, by mouse and by keys', async () => {
    const page = at.page();
    await at.go('/plan/demo-basalt-columns/design');
    await page.getByRole('button', { name: 'Plan', exact: true }).click();
    const column = page.getByRole('button', { name: /^The column,/ });
    const box = (await column.boundingBox())!;
    await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
    await page.mouse.down();
    await page.mouse.move(box.x + box.width / 2 + 40, box.y + box.height / 2, { steps: 4 });
    await page.mouse.up();
    await page
      .getByRole('button', { name: /^The column, (2[0-9](\.\d)?) mm right of the middle and 0 mm/ })
      .waitFor();
    await column.focus();
    await column.press('Shift+ArrowUp');
    await page.getByRole('button', { name: /^The column, .* 10 mm beyond it/ }).waitFor();
    await put(page, 'In rounds', 'Drops');
    await page.getByRole('heading', { name: 'Drops' }).waitFor();
    await unfold(page, 'Places');
    await page.getByRole('button', { name: 'Place', exact: true }).click();
    const second = page.getByRole('button', { name: /^Place 2:/ });
    await second.focus();
    await second.press('Shift+ArrowRight');
    expect(await fieldValue(page, 'Place 2, to the right')).to.equal('10 mm');
    await typeIn(page, 'Place 2, to the right', '150');
    await page
      .getByText(/Place 2, 150 mm right of the middle .* is outside the mould/)
      .first()
      .waitFor();
    await page.getByRole('button', { name: 'Put it into the middle' }).click();
    expect(await fieldValue(page, 'Place 2, to the right')).to.equal('0 mm');
  });

  it('a path of one’s own is drawn with the mouse, in one go', async () => {
    const page = at.page();
    await at.go('/plan/demo-ghyll-drop/design');
    await put(page, 'Stick', 'A path of your own');
    await page.getByText(/through 4 points, with its/).waitFor();
    await page.getByRole('button', { name: 'Draw the path' }).click();
    const sheet = (await page.getByRole('img', { name: 'Draw the path here' }).boundingBox())!;
    const [cx, cy] = [sheet.x + sheet.width / 2, sheet.y + sheet.height / 2];
    await page.mouse.move(cx - 30, cy - 120);
    await page.mouse.down();
    await page.mouse.move(cx + 30, cy, { steps: 12 });
    await page.mouse.move(cx - 30, cy + 120, { steps: 12 });
    await page.mouse.up();
    await page.getByText(/through (1\d|2\d) points, with its/).waitFor();
    await sharp(page);
  });

  it('nine round it, one taken; one kept beside; orders with more contrast', async () => {
    const page = at.page();
    await at.go('/plan/demo-basalt-columns/design');
    await page.getByText('Try it otherwise').click();
    await page.getByRole('button', { name: 'Keep it beside, to compare' }).click();
    await page.getByText('Nothing differs yet', { exact: false }).waitFor();
    await page.getByRole('button', { name: 'Nine round it' }).click();
    await page
      .getByRole('button', { name: /^Take it: 8 rounds/ })
      .first()
      .waitFor();
    await sharp(page);
    await page.getByRole('button', { name: /^Take it: 8 rounds, 10 mm/ }).click();
    await page.getByRole('button', { name: /^Pour 1: 8 rounds of 6/ }).waitFor();
    await page
      .getByText(/rounds/i)
      .first()
      .waitFor();
    await page.getByRole('button', { name: 'Compare', exact: true }).click();
    await page.getByRole('button', { name: 'Change places' }).click();
    await page.getByRole('button', { name: /^Pour 1: 5 rounds of 6/ }).waitFor();
    await page.getByRole('button', { name: 'Let the kept one go' }).click();
    await page.getByRole('button', { name: /^Pour 1: 5 rounds of 6/ }).click();
    await more(page);
    await page.getByRole('button', { name: 'Orders with the most contrast' }).click();
    const taken = page.getByRole('button', { name: /^Pour in the order/ }).first();
    const order = (await taken.getAttribute('aria-label'))!.replace('Pour in the order ', '').split(', ');
    await taken.click();
    await page.getByRole('button', { name: new RegExp(`^${order.join(' ')}: the round$`) }).waitFor();
  });

  it('has no serious fault for anyone', async () => {
    const page = at.page();
    await at.go('/plan/demo-basalt-columns/design');
    await page.getByRole('button', { name: 'Plan', exact: true }).click();
    await page.getByRole('button', { name: /^Pour 1: 5 rounds of 6/ }).click();
    await sharp(page);
    expect(await seriousFaults(page)).to.deep.equal([]);
    await page.getByRole('button', { name: /^fan: the stick/ }).click();
    expect(await seriousFaults(page, 'all', 'main')).to.deep.equal([]);
  });
});

describe('a wire and pointed layers in the browser', () => {
  const at = studio();

  it('a wire is drawn through layers: a usual way, its points moved by mouse and keys, what it breaks said and cured', async () => {
    const page = at.page();
    await at.go('/plan/demo-ghyll-drop/design');
    await put(page, 'Wire', 'In waves between floor and top');
    await page.getByRole('heading', { name: 'Through the section' }).waitFor();
    await sharp(page);
    const picture = page.locator('canvas[data-swirl]').first();
    const before = await pictureOf(picture);
    // the fourth point up through the top, by mouse
    const point = page.getByRole('button', { name: /^Point 4 of the wire/ });
    const box = (await point.boundingBox())!;
    await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
    await page.mouse.down();
    await page.mouse.move(box.x + box.width / 2, box.y - 60, { steps: 5 });
    await page.mouse.up();
    await page.getByText(/comes up to .* and the batter is .* deep: it breaks through the top/).waitFor();
    await page.getByRole('button', { name: /^Keep it below/ }).click();
    await page.getByText(/it breaks through the top/).waitFor({ state: 'detached' });
    // by keys, and out
    await point.focus();
    await point.press('Shift+ArrowDown');
    await page.getByRole('button', { name: /^Point 12 of the wire/ }).waitFor();
    await point.press('Delete');
    await page.getByText(/through 1\d points of its own/).waitFor({ state: 'attached' });
    await sharp(page);
    expect(await pictureOf(picture)).not.to.equal(before);
    // bare, too long, and turned
    await typeIn(page, 'Girth', '1.5');
    await page.getByText(/1\.5 mm thick hardly moves batter/).waitFor();
    await typeIn(page, 'Girth', '6');
    await typeIn(page, 'Length', '400');
    await page.getByText(/The wire is 400 mm long, and the mould's inside is 249 mm/).waitFor();
    await page.getByRole('button', { name: 'As long as the mould' }).first().click();
    await page.getByText(/The wire is 400 mm long/).waitFor({ state: 'detached' });
    await page.getByLabel('It lies').selectOption('crosswise');
    await sharp(page);
    await page.getByRole('button', { name: 'Undo' }).click();
    // it is seen without it as it stood before, and is on the sheet
    await page.getByRole('link', { name: /Sheet/ }).click();
    await page.getByText(/With a wire 6 mm thick and 245 mm long, held from end to end/).waitFor();
    await page.getByText(/draw it straight up, not towards you/).waitFor();
    expect(await seriousFaults(page, 'all', 'main')).to.deep.equal([]);
  });

  it('pointed layers: deeper from higher, thinner they wash, and one press thickens them', async () => {
    const page = at.page();
    await at.go('/plan/demo-larch-spires/design');
    await sharp(page);
    const picture = page.locator('canvas[data-swirl]').first();
    await page.getByRole('button', { name: /^Pour 3:/ }).click();
    await page.getByText(/Each line sinks 1\d mm/).waitFor();
    const before = await pictureOf(picture);
    await typeIn(page, 'Poured from', '200');
    await page
      .getByText(/Lines of pot C sink .* and what is fluid below them is .* deep/)
      .first()
      .waitFor();
    await page
      .getByRole('button', { name: /^Pour it / })
      .first()
      .click();
    await page.getByText(/Lines of pot C sink/).waitFor({ state: 'detached' });
    await typeIn(page, 'Apart', '30');
    await sharp(page);
    expect(await pictureOf(picture)).not.to.equal(before);
    // as it stands at that pour, two layers less are in
    const whole = await pictureOf(picture);
    await page.getByRole('button', { name: 'Show it at this pour' }).click();
    await page.getByText('as it stands at pour 3').waitFor();
    await sharp(page);
    expect(await pictureOf(picture)).not.to.equal(whole);
    expect(await seriousFaults(page)).to.deep.equal([]);
  });

  it('a stroke is rehearsed from above: without it, and after it', async () => {
    const page = at.page();
    await at.go('/plan/demo-basalt-columns/design');
    await page.getByRole('button', { name: 'Plan', exact: true }).click();
    await sharp(page);
    const top = page.locator('canvas[data-swirl]').first();
    const whole = await pictureOf(top);
    await page.getByRole('button', { name: /^fan: the stick/ }).click();
    await page.getByRole('button', { name: 'Show it after this' }).click();
    await page.getByText('as it stands after that', { exact: false }).waitFor();
    await sharp(page);
    const fanned = await pictureOf(top);
    expect(fanned).not.to.equal(whole);
    await page.getByRole('button', { name: /^spiral: the stick/ }).click();
    await sharp(page);
    expect(await pictureOf(top)).to.equal(whole);
    await page.getByRole('button', { name: /^Pour 1: 5 rounds of 6/ }).click();
    await sharp(page);
    expect(await pictureOf(top)).not.to.equal(fanned);
  });
});

describe('scraped layers in the browser', () => {
  const at = studio();

  it('a layer is scraped: its edge by picture, by its handles and keys, deeper than it may be, where the scrapings go', async () => {
    const page = at.page();
    await at.go('/plan/demo-slate-beds/design');
    await put(page, 'Scrape', undefined, 'pour 1');
    const panel = page.getByRole('region', { name: 'The scraper' });
    await panel.getByRole('heading', { name: 'Over pour 1' }).waitFor();
    await sharp(page);
    const section = page.locator('canvas[data-swirl]').first();
    const waves = await pictureOf(section);
    await choose(panel.getByRole('radio', { name: 'teeth' }));
    await sharp(page);
    expect(await pictureOf(section)).not.to.equal(waves);
    // a wider pitch and another place by its handles' keys
    const pitch = Number.parseFloat(await fieldValue(page, 'From tip to tip'));
    const ridge = page.getByRole('button', { name: /^The scraper's ridge/ });
    await ridge.focus();
    await ridge.press('ArrowRight');
    expect(Number.parseFloat(await fieldValue(page, 'From tip to tip'))).to.equal(pitch + 2);
    const tip = page.getByRole('button', { name: /^The scraper's tip/ });
    await tip.focus();
    await tip.press('ArrowLeft');
    expect(await fieldValue(page, 'Off the middle')).to.equal('−1 mm');
    // too deep for its layer: said with the number, and cured by a press
    await typeIn(page, 'From tip to ridge', '60');
    await page
      .getByText(/tips go [\d.]+ mm into what lies below/)
      .first()
      .waitFor();
    await page
      .getByRole('button', { name: /^Only [\d.]+ mm from tip to ridge/ })
      .first()
      .click();
    await page.getByText(/mm into what lies below/).waitFor({ state: 'detached' });
    await typeIn(page, 'From tip to ridge', '12 mm');
    // out of range, and no length at all
    for (const text of ['0', '500', 'deep']) {
      await typeIn(page, 'From tip to tip', text);
      await page.getByRole('alert').first().waitFor();
    }
    await typeIn(page, 'From tip to tip', '1 in');
    expect(await fieldValue(page, 'From tip to tip')).to.equal('25.4 mm');
    // into the next jug: less of that is made, and its colour moves
    const next = page.getByRole('button', { name: /^Pour 2/ });
    const before = await panel.getByRole('status').innerText();
    expect(before).to.match(/[\d ]+ g scraped off, [\d ]+ g stay/);
    await panel.getByLabel('The scrapings go').selectOption({ index: 2 });
    await panel.getByText(/as it is mixed, and with the scrapings in it/).waitFor();
    await next.first().waitFor();
    await saved(page);
    await at.walk('/plan/demo-slate-beds/sheet');
    await page.getByText(/Pull the scraper \(teeth [\d.]+ mm deep and 25.4 mm apart\)/).waitFor();
    await page.getByText(/Put the scrapings into jug [A-Z] and stir/).waitFor();
  });

  it('an edge is drawn by hand, saved as a drawing and as a solid, and taken in again; what is no edge is refused', async () => {
    const page = at.page();
    await at.go('/plan/demo-peat-furrows/design');
    await page
      .getByRole('button', { name: /^scrape: the layer/ })
      .first()
      .click();
    const panel = page.getByRole('region', { name: 'The scraper' });
    const saving = async (name: RegExp): Promise<string> => {
      const [download] = await Promise.all([
        page.waitForEvent('download'),
        panel.getByRole('button', { name }).click(),
      ]);
      const chunks: Buffer[] = [];
      for await (const chunk of await download.createReadStream()) chunks.push(chunk as Buffer);
      return Buffer.concat(chunks).toString('utf8');
    };
    await more(page);
    const svg = await saving(/^To cut out/);
    expect(svg).to.match(/width="[\d.]+mm"/);
    expect(await saving(/^To print/)).to.match(/^solid scraper\n {2}facet normal/);
    await choose(panel.getByRole('radio', { name: 'drawn' }));
    const point = page.getByRole('button', { name: /^Point 3 of the edge/ });
    await point.focus();
    await point.press('ArrowUp');
    const many = await page.getByRole('button', { name: /^Point \d+ of the edge/ }).count();
    await page.getByRole('button', { name: /^Point 3 of the edge/ }).press('Delete');
    await workedOut(page);
    expect(await page.getByRole('button', { name: /^Point \d+ of the edge/ }).count()).to.equal(many - 1);
    const bring = (name: string, text: string): Promise<void> =>
      page
        .getByLabel('Edge as SVG')
        .setInputFiles({ name, mimeType: 'image/svg+xml', buffer: Buffer.from(text) });
    await bring('loop.svg', '<svg width="80mm" viewBox="0 0 80 40"><path d="M0 20L50 10L30 20L80 5"/></svg>');
    await panel
      .getByRole('alert')
      .getByText(/“loop.svg” was not taken, nothing has changed. file: the path turns back 30 mm/)
      .waitFor();
    await bring('edge.svg', svg);
    await panel.getByText(/“edge.svg” was taken: 90 mm wide and 12 mm deep/).waitFor();
    expect(await fieldValue(page, 'From tip to ridge')).to.equal('12 mm');
    await sharp(page);
    await page.getByRole('button', { name: 'Undo' }).click();
    await page.getByRole('button', { name: /^Point 3 of the edge/ }).waitFor();
    expect(await page.getByRole('button', { name: /^Point \d+ of the edge/ }).count()).to.equal(many - 1);
    expect(await seriousFaults(page)).to.deep.equal([]);
  });

  it('rehearsed: poured high, scraped, and covered; begun from “Sculpted layers”', async () => {
    const page = at.page();
    await page.goto(`${at.url()}/new`);
    await page.getByRole('button', { name: 'Sculpted layers' }).click();
    await page.getByRole('heading', { name: 'Design', exact: true }).waitFor();
    expect(await page.getByRole('button', { name: /^scrape: the layer/ }).count()).to.be.above(1);
    await page
      .getByRole('button', { name: /^scrape: the layer/ })
      .first()
      .click();
    await sharp(page);
    await page.getByRole('button', { name: 'Show it after this' }).click();
    await page.getByText('as it stands after that').waitFor();
    await sharp(page);
    const [most] = await coloursIn(page.locator('canvas[data-swirl]').first());
    expect(await coloursIn(page.locator('canvas[data-swirl]').first())).to.have.length(1);
    expect(most![1]).to.be.above(1000);
  });
});

describe('rough layers, lines, and a propped mould in the browser', () => {
  const at = studio();

  it('a layer is spooned rough with a line of colorant over it: drawn, judged, on the sheet; bars planed', async () => {
    const page = at.page();
    await at.go('/plan/demo-slate-beds/design');
    await page
      .getByRole('button', { name: /^Pour 1/ })
      .first()
      .click();
    await page.getByLabel('Land it').selectOption({ label: 'by the spoon' });
    await page.getByLabel('Left', { exact: true }).selectOption({ label: 'rough' });
    await typeIn(page, 'Left rough', '55');
    await page
      .getByText(/55 mm from hollow to peak: its hollows go [\d.]+ mm into/)
      .first()
      .waitFor();
    await typeIn(page, 'Left rough', '6 mm');
    await page.getByText(/55 mm from hollow to peak/).waitFor({ state: 'detached' });
    await sharp(page);
    const section = page.locator('canvas[data-swirl]').first();
    const plain = await pictureOf(section);
    await put(page, 'Line', undefined, 'pour 1');
    const panel = page.getByRole('region', { name: 'The line' });
    await panel.getByLabel('Of another colorant').selectOption('charcoal');
    await panel.getByRole('heading', { name: 'Over pour 1' }).waitFor();
    await sharp(page);
    expect(await pictureOf(section)).not.to.equal(plain);
    await typeIn(page, 'On one mould', '9 g');
    await page
      .getByText(/g on 100 cm²: above 2 g bars part along it/)
      .first()
      .waitFor();
    await page
      .getByRole('button', { name: /^Only [\d.]+ g/ })
      .first()
      .click();
    await page.getByText(/above 2 g bars part along it/).waitFor({ state: 'detached' });
    await page.getByRole('button', { name: 'Cut on its side' }).first().click();
    await panel.getByLabel('Put there').selectOption('oil');
    await saved(page);
    await at.walk('/plan/demo-slate-beds/cut');
    const before = await page
      .getByText(/≈ [\d ]+ g/)
      .first()
      .innerText();
    await typeIn(page, 'Planed off', '9');
    await page.getByRole('alert').first().waitFor();
    await typeIn(page, 'Planed off', '2 mm');
    await page.waitForFunction((was) => !document.body.innerText.includes(was), before);
    await at.walk('/plan/demo-slate-beds/sheet');
    await page.getByText(/left rough: 6 mm from hollow to peak/).waitFor();
    await page
      .getByText(/Stir activated charcoal into about [\d.]+ ml of a liquid oil and trail it/)
      .waitFor();
    await page.getByText(/Plane 2 mm off the dull faces/).waitFor();
    expect(await seriousFaults(page, 'all', 'main')).to.deep.equal([]);
  });

  it('a corner pour in a propped slab: seen sloping, set level while fluid, told so, and taken back', async () => {
    const page = at.page();
    await page.goto(`${at.url()}/new`);
    await page.getByRole('button', { name: /^Corner pour/ }).click();
    await page.getByRole('heading', { name: 'Design', exact: true }).waitFor();
    const level = page.getByRole('button', { name: /^runs level: / });
    await level.waitFor();
    await sharp(page);
    await page
      .getByRole('button', { name: /^Pour 1: / })
      .first()
      .click();
    await page.getByRole('button', { name: 'Show it at this pour' }).click();
    await page.getByText('as it stands at pour 1').waitFor();
    await page.getByText(/spoon \d+ mm, left near corner/).waitFor();
    await sharp(page);
    await page.getByRole('button', { name: 'Show the whole loaf' }).click();
    await level.focus();
    await page.keyboard.press('Delete');
    await level.waitFor({ state: 'detached' });
    await page.getByRole('button', { name: 'Undo' }).click();
    await level.waitFor();
    await page.getByRole('link', { name: /Sheet/ }).click();
    await page.getByText(/set the mould level at once, slowly, while all of it is fluid/).waitFor();
  });
});
