import { expect } from 'chai';
import { countDrawing, redrawn } from './support/redrawn.ts';
import { saved, studio, type } from './support/studio.ts';

/** Longer than odds wait before they are asked for, and take. */
const ODDS_MS = 2000;

describe('what is drawn again', () => {
  const s = studio();
  const at = (station: string): string => `/plan/demo-ghyll-drop/${station}`;

  it('shows a stage that changed: when only the odds come in, or a hand wavers, no station is', async () => {
    await countDrawing(s.context());
    const page = s.page();
    await s.go(at('design'));
    const hand = page.getByRole('slider', { name: 'Wavers' });
    for (const station of ['mould', 'batter', 'design']) {
      await s.walk(at(station));
      await page.waitForTimeout(ODDS_MS);
      await redrawn(page);
      await hand.fill('0.5');
      await page.waitForTimeout(300);
      const { section = 0, main, nav, header } = await redrawn(page);
      expect(section, station).to.be.above(0);
      expect([main, nav, header], station).to.deep.equal([undefined, undefined, undefined]);
      await hand.fill('0');
    }
    // a plan whose picture nothing is pushed about in: it is drawn with the edit, and none comes later
    await s.walk('/plan/demo-slate-beds/batter#lye');
    await page.waitForTimeout(ODDS_MS);
    await redrawn(page);
    await type(page, 'Superfat', '6');
    const edited = await redrawn(page);
    expect(edited.main).to.be.above(0);
    await page.waitForTimeout(ODDS_MS);
    const later = await redrawn(page);
    expect(later.nav).to.be.above(0);
    expect([later.main, later.section]).to.deep.equal([undefined, undefined]);
  });

  it('a line that is moved draws the stations’ names no more often than what they say', async () => {
    await countDrawing(s.context());
    const page = s.page();
    await s.go('/plan/demo-slate-beds/design');
    await page.getByRole('slider', { name: /^Top of pour 1,/ }).focus();
    await page.keyboard.press('ArrowUp');
    await page.waitForTimeout(ODDS_MS);
    await redrawn(page);
    const moves = 12;
    for (let i = 0; i < moves; i += 1) await page.keyboard.press(i % 2 === 0 ? 'ArrowDown' : 'ArrowUp');
    const { section = 0, nav = 0 } = await redrawn(page);
    expect(section).to.be.at.least(moves);
    // their odds turn old, once or twice; each of seven is four components
    expect(nav).to.be.below((moves / 2) * 7 * 4);
  });

  it('while a line is dragged nothing is but the section; the rest when it is let go of', async () => {
    await countDrawing(s.context());
    const page = s.page();
    await s.go('/plan/demo-slate-beds/design');
    const line = page.getByRole('slider', { name: /^Top of pour 2,/ });
    await line.focus();
    await page.waitForTimeout(ODDS_MS);
    const box = (await line.boundingBox())!;
    await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
    await page.mouse.down();
    const first = await line.getAttribute('aria-valuetext');
    // all in one task, so that it does not come to rest between two moves; by the first one undo comes
    const at = { x: box.x + box.width / 2, y: box.y + box.height / 2 };
    const drawn = await line.evaluate(async (element, { x, y }) => {
      const count = (window as unknown as { redrawn: () => Partial<Record<string, number>> }).redrawn;
      for (let i = 0; i <= 10; i += 1) {
        const moved = { clientX: x, clientY: y - 1 - i, pointerId: 1, bubbles: true };
        element.dispatchEvent(new PointerEvent('pointermove', moved));
        await Promise.resolve();
        if (i === 0) count();
      }
      return count();
    }, at);
    const { section = 0, main, nav, header } = drawn;
    expect(section).to.be.at.least(10);
    expect([main, nav, header]).to.deep.equal([undefined, undefined, undefined]);
    expect(await line.getAttribute('aria-valuetext')).to.not.equal(first);
    await page.mouse.up();
    await saved(page);
    expect((await redrawn(page)).main).to.be.above(0);
  });
});
