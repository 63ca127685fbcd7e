import { barMassG } from '../cut/bars.ts';
import { propsFor } from '../mould/props.ts';
import { totalHeldBack } from '../plan/pours.ts';
import type { Computed } from './compute.ts';
import { dispersals } from './mixing.ts';
import { ombreJson } from './ombreJson.ts';
import { procedureOf } from './procedureOf.ts';

/** What the headless sheet prints: plain JSON, weights at the scale's step, everything else unrounded. */
export function sheetJson(computed: Computed): object {
  const { plan, geometry, fill, stack, recipe, weights, cut, densityGMl } = computed;
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
    batter: weights && {
      mass_g: weights.batterG,
      density_g_ml: densityGMl,
      oils_g: weights.oilsG,
      oils: weights.oils.map((o) => ({ oil: o.id, name: o.name, mass_g: o.massG })),
      alkali_g: weights.lyeG,
      water_g: weights.waterG,
      lye_solution_g: weights.solutionG,
      part_liquids: weights.partLiquids.map((l) => ({ id: l.id, mass_g: l.massG })),
      additives: weights.additives.map((a) => ({ id: a.id, into: a.into, mass_g: a.massG })),
      fragrance_g: weights.fragranceG,
      superfat_percent: weights.superfatPercent,
      water_percent_of_oils: recipe?.schools.percentOfOils,
      lye_concentration_percent: recipe?.schools.lyeConcentrationPercent,
      water_to_lye: recipe?.schools.waterToLye,
      spare_g: weights.spareG,
    },
    pots: weights?.pots.map((p) => ({
      id: p.pot.id,
      letter: p.pot.letter,
      name: p.pot.name,
      mass_g: p.batterG,
      share_percent: p.sharePercent,
      held_back_g: p.heldBackG,
      overage_g: p.overageG,
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
        ...(d.carrier ? { carrier: d.carrier.kind, carrier_ml: d.carrier.ml } : {}),
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
              },
            }
          : {}),
      };
    }),
    cut: {
      bars: cut.count,
      thickness_mm: plan.cut.thicknessMm,
      remainder_mm: cut.remainderMm,
      bar_mass_g: cut.bars.map((b) => barMassG(b, cut, densityGMl, totalHeldBack(plan), plan.cut.strips)),
    },
    procedure: procedureOf(computed).map((t) => ({
      chapter: t.chapter,
      text: t.text,
      lines: t.lines.map((l) => ({ name: l.name, mass_g: l.massG })),
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
