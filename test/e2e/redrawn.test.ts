import { expect } from 'chai';
import { countDrawing, redrawn } from './support/redrawn.ts';
import { studio } from './support/studio.ts';

describe('what is drawn again', () => {
  const s = studio();

  it('is what shows a stage that changed: no station when only the odds come in, or a hand wavers', async () => {
    await countDrawing(s.context());
    const page = s.page();
    const clock = page.getByRole('link', { name: /Clock holds/ });
    for (const station of ['mould', 'batter', 'colour', 'pour-day', 'cut', 'design']) {
      await s.go(`/plan/demo-peat-furrows/${station}`);
      await clock.waitFor();
      const hand = page.getByRole('slider', { name: 'Hand' });
      await page.waitForTimeout(600);
      await redrawn(page);
      await hand.fill('0.5');
      await page.waitForTimeout(600);
      const wavered = await redrawn(page);
      console.log(station, wavered);
      await page.getByRole('button', { name: 'Undo' }).isDisabled();
    }
    // an edit draws the station once; the odds that follow it draw the rail
  });
});
