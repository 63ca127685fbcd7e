import { expect } from 'chai';
import { choose, factOf, fieldValue, studio, type } from './support/studio.ts';

describe('the mould station', () => {
  const s = studio();
  beforeEach(() => s.go('/plan/demo-slate-beds/mould'));
  const fact = (name: string | RegExp) => factOf(s.page(), name);

  it('takes a starter mould and shows its volume beside the rule of thumb', async () => {
    const page = s.page();
    await page.getByLabel('Poured in', { exact: true }).selectOption('Tall slim loaf, 12 in');
    // inside a 0.3 mm liner: 304.2 x 62.9 x 94.95 mm
    expect(await fact('To the rim')).to.equal('1\u202f817 ml');
    expect(await fact('Rule of thumb')).to.match(/^≈\s*1\s\d{3} g$/);
  });

  it('understands inches and fractions while it shows millimetres', async () => {
    const page = s.page();
    await type(page, 'Length', '12 1/2"');
    expect(await fieldValue(page, 'Length')).to.equal('317.5 mm');
    await type(page, 'Width', '3½ in');
    expect(await fieldValue(page, 'Width')).to.equal('88.9 mm');
  });

  it('shows everything in inches and ounces when the plan is set so', async () => {
    const page = s.page();
    await page.getByRole('button', { name: 'Name, notes and units' }).click();
    await choose(page.getByRole('radio', { name: 'in', exact: true }));
    await choose(page.getByRole('radio', { name: 'oz' }));
    await page.getByRole('button', { name: 'Done' }).click();
    expect(await fieldValue(page, 'Length')).to.equal('9.84 in');
    expect(await fact('To the rim')).to.match(/in³$/);
    expect(await fact('Batter in it')).to.match(/oz$/);
  });

  it('makes a box a taper and says its four sizes', async () => {
    const page = s.page();
    await page.getByLabel('Shape').selectOption('tapered: narrower at the floor');
    await type(page, 'Width at the floor', '70 mm');
    // 249 mm long, 69.1 mm wide at the lined floor, 91.0 mm at the rim, 79.5 mm high
    expect(await fact('To the rim')).to.equal('1\u202f585 ml');
  });

  it('refuses impossible sizes at the field, keeps the drawing, and Escape brings the last good one back', async () => {
    const page = s.page();
    const before = await fact('To the rim');
    await type(page, 'Length', '4');
    await page.getByText('4 mm is outside 30 to 2000 mm').waitFor();
    await type(page, 'Width', 'wide');
    await page.getByText('"wide" is not a quantity').waitFor();
    await type(page, 'Liner, a side', '60 mm');
    await page.getByText('60 mm is outside 0 to 10 mm').waitFor();
    expect(await fact('To the rim')).to.equal(before);
    await page.getByRole('textbox', { name: 'Length', exact: true }).press('Escape');
    expect(await fieldValue(page, 'Length')).to.equal('250 mm');
  });

  it('fills by headspace, by height or by batch size, and each keeps the other’s level', async () => {
    const page = s.page();
    await choose(page.getByRole('radio', { name: 'height', exact: true }));
    expect(await fieldValue(page, 'Fill height')).to.equal('70.5 mm');
    await choose(page.getByRole('radio', { name: 'batch size' }));
    await type(page, 'Whole batch of batter', '1.2 kg');
    await page.getByText(/That fills the mould to 4\d(\.\d)? mm/).waitFor();
    await type(page, 'Top allowance, batter held back', '100 g');
    await page.getByText(/That fills the mould to 4\d(\.\d)? mm/).waitFor();
  });
});
