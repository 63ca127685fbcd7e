import type { Plan } from '../plan/planSchema.ts';
import { layerUnder } from '../plan/scrapes.ts';
import type { Pour, Scrape } from '../plan/stepSchema.ts';
import { setRough } from './pours.ts';
import { setRelief, updateScrape } from './scrape.ts';
import { as, mm, type Setting, type Variant } from './variant.ts';

const nthOf = ({ steps }: Plan, pour: Pour | undefined): string =>
  pour ? `, pour ${steps.filter((s) => s.kind === 'pour').indexOf(pour) + 1}` : '';

/** Shallower and deeper, closer and further apart. */
export function ofScrape(plan: Plan, scrape: Scrape): readonly Setting[] {
  const nth = nthOf(plan, layerUnder(plan, scrape));
  const { edge, reliefMm } = scrape;
  const deep = (relief: number): Variant => ({
    label: `${mm(relief)} deep`,
    apply: (p) => setRelief(p, scrape.id, Math.min(200, Math.max(0.5, relief))),
  });
  const depth: Setting = {
    id: `${scrape.id} relief`,
    name: `The scraper: how deep${nth}`,
    variants: [deep(reliefMm / 1.7), as(`${mm(reliefMm)} deep`), deep(reliefMm * 1.4)],
  };
  if (edge.kind === 'drawn') return [depth];
  const apart = (pitchMm: number): Variant => ({
    label: `${mm(pitchMm)} apart`,
    apply: (p) =>
      updateScrape(p, scrape.id, { edge: { ...edge, pitchMm: Math.min(400, Math.max(3, pitchMm)) } }),
  });
  return [
    depth,
    {
      id: `${scrape.id} pitch`,
      name: `The scraper: from tip to tip${nth}`,
      variants: [apart(edge.pitchMm / 1.6), as(`${mm(edge.pitchMm)} apart`), apart(edge.pitchMm * 1.6)],
    },
  ];
}

/** Smoother and rougher. */
export function ofRough(plan: Plan, pour: Pour): readonly Setting[] {
  const { roughMm } = pour;
  if (roughMm === undefined) return [];
  const rough = (to: number): Variant => ({
    label: `${mm(to)} rough`,
    apply: (p) => setRough(p, pour.id, Math.min(60, Math.max(0.5, to))),
  });
  return [
    {
      id: `${pour.id} rough`,
      name: `How rough${nthOf(plan, pour)}`,
      variants: [rough(roughMm / 2), as(`${mm(roughMm)} rough`), rough(roughMm * 1.6)],
    },
  ];
}
