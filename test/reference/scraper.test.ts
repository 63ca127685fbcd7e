import { expect } from 'chai';
import { readScraperSvg } from '../../src/core/exchange/scraper/readSvg.ts';
import { plateOf, type Plate } from '../../src/core/exchange/scraper/plate.ts';
import { scraperStl, THICK_MM } from '../../src/core/exchange/scraper/writeStl.ts';
import { scraperSvg } from '../../src/core/exchange/scraper/writeSvg.ts';
import { layPlan } from '../../src/core/fill/layPlan.ts';
import { partAt } from '../../src/core/flow/edge.ts';
import { REPEATED_EDGES } from '../../src/core/flow/edge.ts';
import { type ScraperEdge } from '../../src/core/plan/scrapeSchema.ts';
import type { Scrape } from '../../src/core/plan/stepSchema.ts';
import { boxPlan, pour, rest } from '../support/plans.ts';
import { manifold } from '../support/manifold.ts';

const scrapeOf = (edge: ScraperEdge, change: Partial<Scrape> = {}): Scrape => ({
  id: 'r1',
  kind: 'scrape',
  pulled: 'lengthwise',
  edge,
  reliefMm: 9,
  depthMm: 11,
  to: 'spare',
  ...change,
});

/** The plate of a scraper in a box of 80 mm between its walls, 60 mm deep. */
function plateFor(scrape: Scrape): {
  readonly plate: Plate;
  readonly pouredMm: number;
  readonly lowestMm: number;
} {
  const plan = boxPlan([], { steps: [pour('s1', 'p1', rest(2)), scrape, pour('s2', 'p2', rest(3))] });
  const [layer] = layPlan(plan).moulds[0].stack.layers;
  const scraping = layer!.scraping!;
  const { pouredMm, lowestMm } = scraping;
  return { plate: plateOf(layer!.room, scraping), pouredMm, lowestMm };
}

const repeated = (shape: (typeof REPEATED_EDGES)[number]): ScraperEdge => ({
  kind: 'repeated',
  shape,
  pitchMm: 17,
  shiftMm: 4,
});

/** The triangles of an ASCII STL. */
const trianglesIn = (stl: string): readonly (readonly number[])[] =>
  [...stl.matchAll(/vertex (\S+) (\S+) (\S+)/g)].map((m) => m.slice(1).map(Number));

/** Twice the area inside a closed outline, by its corners (Gauss). */
const areaOf = (points: Plate['outline']): number =>
  points.reduce((s, [x, y], i) => {
    const [u, v] = points[(i + 1) % points.length]!;
    return s + x * v - u * y;
  }, 0) / 2;

describe('scrapers', () => {
  for (const shape of REPEATED_EDGES)
    it(`printed, ${shape}: one closed solid by manifold-3d, as large as its outline is thick`, async () => {
      const { Manifold, Mesh } = await manifold();
      const { plate } = plateFor(scrapeOf(repeated(shape)));
      const corners = trianglesIn(scraperStl(plate));
      const index = new Map<string, number>();
      const verts: number[] = [];
      const tris = corners.map((c) => {
        const key = c.join(' ');
        const known = index.get(key);
        if (known !== undefined) return known;
        index.set(key, index.size);
        verts.push(...c);
        return index.size - 1;
      });
      const mesh = new Mesh({
        numProp: 3,
        vertProperties: Float32Array.from(verts),
        triVerts: Uint32Array.from(tris),
      });
      const solid = new Manifold(mesh);
      expect(solid.status()).to.equal('NoError');
      expect(solid.genus()).to.equal(0);
      expect(solid.volume() / (areaOf(plate.outline) * THICK_MM)).to.be.closeTo(1, 1e-5);
      solid.delete();
    });

  it('rests on the rim, goes between the walls, and its tips come to where the layer is scraped', () => {
    const { plate, lowestMm } = plateFor(scrapeOf(repeated('waves')));
    expect(plate.betweenMm).to.be.closeTo(80 - 1, 1e-9);
    // the rim is 60 mm over the floor
    expect(Math.min(...plate.edge.map(([, y]) => y))).to.be.closeTo(lowestMm - 60, 0.02);
    const outside = plate.outline.filter(([x]) => Math.abs(x) > 40);
    expect(outside.every(([, y]) => y >= 0)).to.equal(true);
  });

  it('drawn out as SVG and taken in again: the same edge, in true size', () => {
    for (const shape of REPEATED_EDGES) {
      const edge = repeated(shape);
      const { plate } = plateFor(scrapeOf(edge));
      const read = readScraperSvg(scraperSvg(plate, 'A & B <scraper>'));
      if (!read.ok) throw new Error(read.fault.message);
      expect(read.value.reliefMm, shape).to.be.closeTo(9, 0.05);
      expect(read.value.wideMm).to.be.closeTo(79, 0.05);
      for (let x = -38; x < 38; x += 0.7)
        expect(partAt(read.value.edge, x), `${shape} ${x}`).to.be.closeTo(partAt(edge, x), 0.06);
    }
  });

  it('takes in lines, curves and arcs, in mm, inches and pixels, from left or from right, moved and turned round', () => {
    const taken = (svg: string): { wideMm: number; reliefMm: number } => {
      const read = readScraperSvg(svg);
      if (!read.ok) throw new Error(`${svg}: ${read.fault.message}`);
      return read.value;
    };
    const of = (d: string, size = 'width="80mm" height="40mm" viewBox="0 0 80 40"', more = ''): string =>
      `<svg xmlns="http://www.w3.org/2000/svg" ${size}><g ${more}><path d="${d}"/></g></svg>`;
    expect(taken(of('M0 20L40 10L80 20'))).to.include({ wideMm: 80, reliefMm: 10 });
    expect(taken(of('M80 20L40 10L0 20'))).to.include({ wideMm: 80, reliefMm: 10 });
    // half a circle of radius 10 mm between two levels
    expect(taken(of('M0 20h30a10 10 0 0 1 20 0H80'))).to.include({ wideMm: 80, reliefMm: 10 });
    // a quadratic's middle lies half way to its handle: 10 mm of 20; a cubic's three quarters: 15
    expect(taken(of('M0 30Q40 10 80 30')).reliefMm).to.be.closeTo(10, 1e-9);
    expect(taken(of('M0 30C20 10 60 10 80 30')).reliefMm).to.be.closeTo(15, 1e-9);
    expect(taken(of('M0 20L40 10L80 20', 'width="2in" viewBox="0 0 80 40"')).wideMm).to.be.closeTo(
      50.8,
      0.05,
    );
    expect(taken(of('M0 20L40 10L80 20', 'width="80" viewBox="0 0 80 40"')).wideMm).to.be.closeTo(21.2, 0.05);
    expect(taken(of('M0 20L40 10L80 20', undefined, 'transform="translate(5 5) scale(0.5)"'))).to.include({
      wideMm: 40,
      reliefMm: 5,
    });
  });

  it('refuses with the place what is no edge', () => {
    const said = (svg: string): string => {
      const read = readScraperSvg(svg);
      return read.ok ? '' : read.fault.message;
    };
    const of = (...ds: readonly string[]): string =>
      `<svg xmlns="http://www.w3.org/2000/svg" width="80mm" viewBox="0 0 80 40">${ds.map((d) => `<path d="${d}"/>`).join('')}</svg>`;
    expect(said('not at all')).to.match(/no SVG/);
    expect(said('<html><body/></html>')).to.match(/no SVG/);
    expect(said('<svg><path d="M0 0')).to.not.equal('');
    expect(said(of())).to.match(/no path/);
    expect(said(of('M0 0L80 9', 'M0 0L80 9'))).to.match(/2 paths.*"edge"/);
    expect(said(of('M0 20L50 10L30 20L80 5'))).to.match(/turns back 30 mm from its left end/);
    expect(said(of('M0 20L80 10Z M0 0L5 5'))).to.match(/2 pieces/);
    expect(said(of('M0 20H80'))).to.match(/flat/);
    expect(said(of('M0 20V10'))).to.match(/0 mm wide/);
    expect(said(of(`M0 0${'l0.001 0.01'.repeat(100_000)}`))).to.match(/more than 20000 points/);
    expect(said(of('M0 nonsense'))).to.not.equal('');
    expect(
      said('<!DOCTYPE svg [<!ENTITY a "aaaaaaaa"><!ENTITY b "&a;&a;&a;">]><svg><text>&b;</text></svg>'),
    ).to.match(/no path/);
  });
});
