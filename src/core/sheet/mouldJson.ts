import type { MouldFacts } from '../advice/facts.ts';
import { bareWalls } from '../fill/bareWall.ts';
import { pouredIn } from '../weigh/scaled.ts';
import type { PouredLayer } from '../fill/layers.ts';
import { mouldNames } from '../plan/moulds.ts';
import type { Plan } from '../plan/planSchema.ts';

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
  volume_ml: layer.volumeMl,
  share_percent: layer.sharePercent,
  surface: {
    rise_mm: layer.riseMm,
    left_mm: layer.leftMm,
    right_mm: layer.rightMm,
    near_mm: layer.nearMm,
    far_mm: layer.farMm,
    // the plane up . x = offset in the mould frame: x right, y to the far end, z up, from the middle of the
    // floor
    up: layer.up,
    offset_mm: layer.offset,
    does_not_reach: bareWalls(layer.room, layer).map((b) => b.wall),
  },
  density_g_ml: layer.densityGMl,
  ...(layer.scraping
    ? {
        // poured higher, and scraped down to a profile whose mean is the surface above
        scraped: {
          poured_to_mm: layer.scraping.pouredMm,
          lowest_mm: layer.scraping.lowestMm,
          highest_mm: layer.scraping.highestMm,
          volume_ml: layer.scraping.volumeMl,
          mass_g: layer.scraping.volumeMl * layer.densityGMl,
        },
      }
    : {}),
});
