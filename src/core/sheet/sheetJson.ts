import { blendTemperature } from '../batter/blendTemperature.ts';
import { bareWalls } from '../fill/bareWall.ts';
import type { JugBalance } from '../ledger/balance.ts';
import { propsFor } from '../mould/props.ts';
import type { Computed } from './compute.ts';
import { dispersals } from './mixing.ts';
import { ombreJson } from './ombreJson.ts';
import { procedureOf } from './procedureOf.ts';

/** Figures are printed to twelve significant digits: all that a double can promise after a few sums. */
const DIGITS = 12;

/** The same value without the binary dust of its numbers: 898.8599999999999 becomes 898.86. */
function dusted(value: unknown): unknown {
  if (typeof value === 'number') return Number(value.toPrecision(DIGITS));
  if (Array.isArray(value)) return value.map(dusted);
  if (typeof value === 'object' && value !== null)
    return Object.fromEntries(Object.entries(value).map(([key, v]) => [key, dusted(v)]));
  return value;
}

const jugJson = (jug: JugBalance): object => ({
  oils_g: jug.oilsG,
  lye_solution_g: jug.lyeSolutionG,
  part_liquids_g: jug.partLiquidsG,
  additives_g: jug.additivesG,
  colorants_g: jug.colorantsG,
  carrier_g: jug.carrierG,
  fragrance_g: jug.fragranceG,
  total_g: jug.totalG,
});

/** What the headless sheet prints: plain JSON, weights at the scale's step, everything else as computed. */
export const sheetJson = (computed: Computed): object => dusted(sheetOf(computed)) as object;

function sheetOf(computed: Computed): object {
  const { plan, geometry, fill, stack, recipe, weights, batch, cut, densityGMl } = computed;
  const short = new Map(stack.layers.map((l) => [l.pour.id, bareWalls(l.room, l)] as const));
  const massOf = new Map(weights?.pots.flatMap((p) => p.pours.map((q) => [q.stepId, q] as const)));
  const layerOf = new Map(stack.layers.map((l) => [l.pour.id, l] as const));
  return {
    format: 'drip-line/sheet',
    version: 1,
    plan: { id: plan.id, name: plan.name },
    mould: {
      name: plan.mould.name,
      shape: plan.mould.shape.kind,
      volume_ml: geometry.rimVolumeMl,
      copies: plan.fill.copies,
      fill_ml: fill.volumeMl,
      fill_height_mm: fill.heightMm,
    },
    batter: batch && {
      mass_g: batch.batterG,
      density_g_ml: densityGMl,
      oils_g: batch.oilsG,
      oils: batch.oils.map((o) => ({
        oil: o.id,
        name: o.name,
        mass_g: o.massG,
        for_colorants_g: o.asideG,
      })),
      alkali_g: batch.lyeG,
      water_g: batch.waterG,
      lye_solution_g: batch.solutionG,
      part_liquids: batch.partLiquids.map((l) => ({ id: l.id, mass_g: l.massG, frozen: l.frozen })),
      additives: batch.additives.map((a) => ({ id: a.id, into: a.into, mass_g: a.massG })),
      fragrance_g: batch.fragranceG,
      superfat_percent: batch.superfatPercent,
      water_percent_of_oils: recipe?.schools.percentOfOils,
      lye_concentration_percent: recipe?.schools.lyeConcentrationPercent,
      water_to_lye: recipe?.schools.waterToLye,
      blend_temperature_c: blendTemperature(batch, plan.batter.temperatures),
      spare_g: batch.spareG,
      stays_in_stocks_g: batch.stockLossG,
    },
    pots: weights?.pots.map((p) => ({
      id: p.pot.id,
      letter: p.pot.letter,
      name: p.pot.name,
      mass_g: p.batterG,
      share_percent: p.sharePercent,
      held_back_g: p.heldBackG,
      overage_g: p.overageG,
      superfat_percent: p.superfatPercent ?? null,
      least_superfat_percent: p.leastSuperfatPercent ?? null,
      water_percent_of_oils: p.waterPercent ?? null,
      density_g_ml: p.densityGMl ?? null,
      jug: jugJson(p.jug),
      colorants: p.colorants.map((c) => ({ id: c.id, name: c.name, mass_g: c.massG })),
      ...(plan.divide.kind === 'before-lye'
        ? {
            portion: {
              oils_g: p.portion.oilsG,
              lye_solution_g: p.portion.solutionG,
              part_liquids: p.portion.partLiquids.map((l) => ({ id: l.id, mass_g: l.massG })),
              additives: p.portion.additives.map((a) => ({ id: a.id, mass_g: a.massG })),
              fragrance_g: p.portion.fragranceG,
            },
          }
        : {}),
    })),
    ombres: weights?.ombres.map(ombreJson),
    dispersals:
      weights &&
      dispersals(computed, weights).map((d) => ({
        colorant: d.colorant.id,
        name: d.colorant.name,
        mass_g: d.massG,
        into: d.into,
        ...(d.carrier
          ? { carrier: d.carrier.kind, carrier_g: d.carrier.massG, carrier_ml: d.carrier.ml }
          : {}),
      })),
    colours: {
      pots: Object.fromEntries(computed.colours.pots),
      pours: Object.fromEntries(computed.colours.pours),
    },
    steps: plan.steps.map((step, index) => {
      if (step.kind !== 'pour') {
        const { id, ...rest } = step;
        const props = step.kind === 'tilt' ? propsFor(plan.mould, geometry, step) : [];
        return {
          index,
          id,
          ...rest,
          ...(props.length > 0
            ? { props: props.map((p) => ({ under: p.under, height_mm: p.heightMm })) }
            : {}),
        };
      }
      const layer = layerOf.get(step.id);
      const weight = massOf.get(step.id);
      return {
        index,
        id: step.id,
        kind: 'pour',
        pot: step.pot,
        landing: step.landing.how,
        tilt: layer ? { roll_deg: layer.tilt.rollDeg, pitch_deg: layer.tilt.pitchDeg } : null,
        ...(weight
          ? {
              mass_g: weight.massG,
              each_mould_g: weight.eachG,
              superfat_percent: weight.superfatPercent ?? null,
              colorants: weight.colorants.map((c) => ({ id: c.id, mass_g: c.massG })),
            }
          : {}),
        ...(layer
          ? {
              volume_ml: layer.volumeMl,
              share_percent: layer.sharePercent,
              surface: {
                rise_mm: layer.riseMm,
                left_mm: layer.leftMm,
                right_mm: layer.rightMm,
                near_mm: layer.nearMm,
                far_mm: layer.farMm,
                // the plane up . x = offset in the mould frame: x right, y to the far end, z up, from the middle of the floor
                up: layer.up,
                offset_mm: layer.offset,
                does_not_reach: (short.get(step.id) ?? []).map((b) => b.wall),
              },
              density_g_ml: layer.densityGMl,
            }
          : {}),
      };
    }),
    cut: {
      bars: cut.count,
      thickness_mm: plan.cut.thicknessMm,
      remainder_mm: cut.remainderMm,
      bars_in_all: cut.count * plan.fill.copies,
      pieces: cut.pieces.length,
      bar_mass_g: cut.bars.map((b) => b.massG),
    },
    procedure: procedureOf(computed).map((t) => ({
      id: t.id,
      chapter: t.chapter,
      text: t.text,
      lines: t.lines.map((l) => ({
        name: l.name,
        mass_g: l.massG,
        ...(l.times > 1 ? { times: l.times } : {}),
        from: l.from,
        to: l.to,
      })),
      ...(t.caution ? { caution: t.caution } : {}),
    })),
    warnings: computed.warnings.map((w) => ({
      code: w.code,
      level: w.level,
      step: w.step ?? null,
      pot: w.pot ?? null,
      message: w.message,
    })),
  };
}
