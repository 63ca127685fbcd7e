import { expect } from 'chai';
import { seriousFaults, studio } from './support/studio.ts';

const STATIONS = [
  'mould',
  'design',
  'batter',
  'colour/pots',
  'colour/ombre',
  'colour/mixing',
  'pour-day',
  'cut',
];

for (const [name, viewport] of [
  ['a 1280 x 800 window', { width: 1280, height: 800 }],
  ['a tablet held upright', { width: 820, height: 1180 }],
] as const)
  describe(`every view in ${name}`, () => {
    const s = studio({ viewport });

    for (const theme of ['Daylight', 'Evening'] as const)
      it(`has no serious or critical fault that axe-core finds, ${theme.toLowerCase()} colours`, async () => {
        const page = s.page();
        if (theme === 'Evening') await page.getByRole('button', { name: 'Evening colours' }).click();
        expect(await seriousFaults(page), 'shelf').to.deep.equal([]);
        for (const station of STATIONS) {
          await s.go(`/plan/demo-slate-beds/${station}`);
          expect(await seriousFaults(page), station).to.deep.equal([]);
        }
        for (const plan of ['heather-on-peat', 'beck-pool']) {
          await s.go(`/plan/demo-${plan}/colour/ombre`);
          await page.getByRole('button', { name: 'What if' }).click();
          expect(await seriousFaults(page), `ombre of ${plan}`).to.deep.equal([]);
        }
        await page.goto(`${s.url()}/colorants`);
        await page.getByText('Weighing and dispersing').waitFor();
        expect(await seriousFaults(page), 'colorants').to.deep.equal([]);
        await page.getByRole('button', { name: /^Colour of .* in soap/ }).click();
        expect(await seriousFaults(page), 'colour picker').to.deep.equal([]);
        await s.go('/plan/demo-slate-beds/design');
        await page.getByRole('button', { name: /^Pour 2/ }).click();
        await page.getByRole('button', { name: 'Name, notes and units' }).click();
        expect(await seriousFaults(page), 'details').to.deep.equal([]);
      });

    it('has none in any view of the loaf, nor with the mould tilted', async () => {
      const page = s.page();
      await s.go('/plan/demo-copper-weir/design');
      for (const view of ['Side', 'Plan', 'Loaf', 'Bars', 'Section']) {
        await page.getByRole('button', { name: view, exact: true }).click();
        expect(await seriousFaults(page), view).to.deep.equal([]);
      }
      await page.getByRole('button', { name: /^Pour 4:/ }).click();
      await page.getByRole('button', { name: 'Show it at this pour' }).click();
      expect(await seriousFaults(page), 'tilted').to.deep.equal([]);
    });

    it('fits: nothing is wider than the window', async () => {
      const page = s.page();
      for (const [plan, station] of STATIONS.flatMap((name) => [
        ['slate-beds', name] as const,
        ['copper-weir', name] as const,
        ['heather-on-peat', name] as const,
      ])) {
        await s.go(`/plan/demo-${plan}/${station}`);
        if (station === 'design') await page.getByRole('button', { name: /^Pour 4:/ }).click();
        const over = await page.evaluate(() => ({
          page: document.documentElement.scrollWidth - innerWidth,
          main: (() => {
            const main = document.querySelector('main');
            return main ? main.scrollWidth - main.clientWidth : 0;
          })(),
        }));
        expect(over, `${plan} ${station}`).to.deep.equal({ page: 0, main: 0 });
      }
    });
  });

describe('the server', () => {
  const s = studio();

  it('sends a content security policy and the other headers with every answer', async () => {
    for (const path of ['/', '/plan/x/design', '/studio.json', '/assets/none.js']) {
      const response = await fetch(s.url() + path);
      const policy = response.headers.get('content-security-policy') ?? '';
      expect(policy, path).to.contain("script-src 'self'");
      expect(policy, path).to.not.contain('unsafe');
      expect(response.headers.get('x-content-type-options'), path).to.equal('nosniff');
      expect(response.headers.get('x-powered-by'), path).to.equal(null);
    }
    expect((await fetch(`${s.url()}/assets/none.js`)).status).to.equal(404);
  });
});
