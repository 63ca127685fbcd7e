import type { MouldFacts } from '../advice/facts.ts';
import { bareWalls } from '../fill/bareWall.ts';
import { pouredIn } from '../weigh/scaled.ts';
import type { PouredLayer } from '../fill/layers.ts';
import { mouldNames } from '../plan/moulds.ts';
import type { Plan } from '../plan/planSchema.ts';
import { snaked } from './snaked.ts';

/** What a mould holds, how full it is poured and what it gives. */
export const mouldJson = (plan: Plan, { use, geometry, fill, stack, cut }: MouldFacts): object => ({
  id: use.id,
  name: mouldNames(plan).get(use.id),
  shape: use.mould.shape.kind,
  design: use.design,
  volume_ml: geometry.rimVolumeMl,
  copies: use.copies,
  fill_ml: fill.volumeMl,
  fill_height_mm: fill.heightMm,
  mass_g: pouredIn({ stack }),
  bars: cut.count,
  bars_in_all: cut.count * use.copies,
  bar_mass_g: cut.bars.map((b) => b.massG),
});

/** One layer as it lies in its mould. */
export const layerJson = (layer: PouredLayer): object => ({
  ...snaked(layer, 'volumeMl', 'sharePercent'),
  surface: {
    // the plane up . x = offset in the mould frame: x right, y to the far end, z up, from the middle of the
    // floor
    ...snaked(layer, 'riseMm', 'leftMm', 'rightMm', 'nearMm', 'farMm', 'up'),
    offset_mm: layer.offset,
    does_not_reach: bareWalls(layer.room, layer).map((b) => b.wall),
  },
  density_g_ml: layer.densityGMl,
  // poured higher, and scraped down to a profile whose mean is the surface above
  scraped: layer.scraping && {
    poured_to_mm: layer.scraping.pouredMm,
    ...snaked(layer.scraping, 'lowestMm', 'highestMm', 'volumeMl'),
    mass_g: layer.scraping.volumeMl * layer.densityGMl,
  },
});
