import { actJson } from './actJson.ts';
import { depositKey, leadPot, potsOf } from '../plan/sources.ts';
import { fragranceInBarPercent } from '../batter/fragranceLimit.ts';
import { blendTemperature } from '../batter/blendTemperature.ts';
import type { MouldFacts } from '../advice/facts.ts';
import { barsInAll } from '../cut/barsText.ts';
import { volumeErrorMl } from '../fill/volumeError.ts';
import type { ScaledLayer } from '../weigh/scaled.ts';
import { mouldOfStep } from '../plan/moulds.ts';
import type { JugBalance } from '../ledger/balance.ts';
import { propsFor } from '../mould/props.ts';
import type { Addition } from '../batter/additions.ts';
import type { Dose } from '../batter/schema.ts';
import { doseKey } from '../weigh/substances.ts';
import type { Weights } from '../weigh/weights.ts';
import type { Computed } from '../computed/compute.ts';
import { dispersals } from '../procedure/mixing.ts';
import { minutesJson, oddsJson } from './clockJson.ts';
import { SAMPLES } from '../clock/outlook.ts';
import { blocksJson } from './blocksJson.ts';
import { isSimulated } from '../pattern/blocks.ts';
import { layerJson, mouldJson } from './mouldJson.ts';
import { patternJson } from './patternJson.ts';
import { topsJson } from './topsJson.ts';
import { ombreJson } from './ombreJson.ts';
import { jugLedger } from '../procedure/jugLedger.ts';
import { procedureOf } from '../procedure/procedureOf.ts';

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
  late_oils_g: jug.lateOilsG,
  additives_g: jug.additivesG,
  colorants_g: jug.colorantsG,
  carrier_g: jug.carrierG,
  fragrance_g: jug.fragranceG,
  total_g: jug.totalG,
});

/** Additions with what each of their doses comes to. */
const additionsJson = (
  list: readonly { readonly id: string; readonly doses: readonly Dose[] }[],
  kind: Addition['kind'],
  { doses }: Weights,
): object[] =>
  list.map((a) => {
    const weighed = a.doses.map((dose) => ({
      id: dose.id,
      moment: dose.moment,
      ...(dose.pots ? { pots: dose.pots } : {}),
      ...(dose.fromPour === undefined ? {} : { from_pour: dose.fromPour }),
      mass_g: doses.get(doseKey({ addition: { kind, id: a.id }, dose })) ?? 0,
    }));
    return { id: a.id, mass_g: weighed.reduce((s, d) => s + d.mass_g, 0), doses: weighed };
  });

/**
 * What the headless sheet prints: plain JSON, weights at the scale's step, everything else as computed. The
 * clock's odds are of so many samples.
 */
export const sheetJson = (computed: Computed, samples = SAMPLES): object =>
  dusted({ ...sheetOf(computed), ...oddsJson(computed, samples) }) as object;

/** The batch that is piped on top: its weights, its bags and their colours. */
function secondJson(second: Computed): object {
  const {
    batter,
    pots,
    dispersals: dispersed,
    colours,
  } = sheetOf(second) as Readonly<Record<string, object>>;
  return { batter, pots, dispersals: dispersed, colours };
}

/** Every act with what it leaves in the vessels that it touches. */
function procedureJson(computed: Computed): object[] {
  const after = new Map(jugLedger(computed).map((e) => [e.act, e.vessels] as const));
  return procedureOf(computed).map((act) => actJson(act, computed.plan, after.get(act.id) ?? []));
}

function sheetOf(computed: Computed): object {
  const { plan, geometry, fill, moulds, recipe, recipes, weights, batch, cut, densityGMl } = computed;
  const inBarOf = (pot: string, fragrance: string): number => {
    const of = recipes.ofPot(pot);
    return of ? fragranceInBarPercent(of, fragrance) : 0;
  };
  const massOf = new Map(weights?.pots.flatMap((p) => p.pours.map((q) => [q.key, q] as const)));
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
      // in against out: the bodies of the layers, measured by themselves, against what was poured
      volume_error_ml: Number(Math.max(...moulds.map((m) => volumeErrorMl(m.stack.layers))).toFixed(9)),
    },
    ...(moulds.length > 1 ? { moulds: moulds.map((m) => mouldJson(plan, m)) } : {}),
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
      part_liquids: batch.partLiquids.map((l) => ({ id: l.id, mass_g: l.massG, moment: l.moment })),
      additives: additionsJson(plan.batter.additives, 'additive', batch),
      late_oils: additionsJson(plan.batter.lateOils, 'oil', batch),
      fragrances: additionsJson(plan.batter.fragrances, 'fragrance', batch),
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
      fragrance_percent_of_bar: Object.fromEntries(
        plan.batter.fragrances.map((f) => [f.id, inBarOf(p.pot.id, f.id)]),
      ),
      density_g_ml: p.densityGMl ?? null,
      jug: jugJson(p.jug),
      colorants: p.colorants.map((c) => ({ id: c.id, name: c.name, mass_g: c.massG })),
      ...(plan.divide.kind === 'before-lye'
        ? {
            portion: {
              oils_g: p.portion.oilsG,
              lye_solution_g: p.portion.solutionG,
              water_g: p.portion.waterG,
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
      const into = moulds.filter((m) => m.use.id === mouldOfStep(step));
      if (step.kind !== 'pour') {
        const { id, ...rest } = step;
        const [own] = into;
        const props =
          step.kind === 'tilt' && own ? (step.props ?? propsFor(own.use.mould, own.geometry, step)) : [];
        return {
          index,
          id,
          ...rest,
          ...minutesJson(computed, id),
          ...(props.length > 0
            ? {
                props: props.map((p) => ({
                  under: p.under,
                  height_mm: p.heightMm,
                  ...('name' in p && p.name !== undefined ? { name: p.name } : {}),
                  ...('fromCornerMm' in p && p.fromCornerMm !== undefined
                    ? { from_corner_mm: p.fromCornerMm }
                    : {}),
                })),
              }
            : {}),
        };
      }
      const layerIn = (m: MouldFacts): ScaledLayer | undefined =>
        m.stack.layers.find((l) => l.pour.id === step.id);
      const layer = into.map(layerIn)[0];
      const weight = massOf.get(step.id);
      const eachG = (m: MouldFacts): number | undefined => weight && layerIn(m)?.pouredG;
      const all = moulds.filter((m) => layerIn(m));
      return {
        index,
        id: step.id,
        kind: 'pour',
        ...(step.mould === undefined ? {} : { mould: step.mould }),
        pot: leadPot(step),
        landing: step.landing.how,
        ...minutesJson(computed, step.id),
        tilt: layer ? { roll_deg: layer.tilt.rollDeg, pitch_deg: layer.tilt.pitchDeg } : null,
        ...(weight
          ? {
              mass_g: potsOf(step).reduce((s, pot) => s + (massOf.get(depositKey(step, pot))?.massG ?? 0), 0),
              each_mould_g: layer?.pouredG ?? 0,
              superfat_percent: weight.superfatPercent ?? null,
              colorants: weight.colorants.map((c) => ({ id: c.id, mass_g: c.massG })),
            }
          : {}),
        ...(layer ? layerJson(layer) : {}),
        ...(layer && step.pattern ? patternJson(plan, step, layer, massOf) : {}),
        ...(all.length > 1
          ? {
              into: all.map((m) => {
                const laid = layerIn(m);
                return {
                  mould: m.use.id,
                  copies: m.use.copies,
                  each_mould_g: eachG(m) ?? null,
                  ...(laid ? layerJson(laid) : {}),
                };
              }),
            }
          : {}),
      };
    }),
    ...(isSimulated(plan) ? { blocks: blocksJson(moulds[0]) } : {}),
    cut: {
      bars: cut.count,
      thickness_mm: plan.cut.thicknessMm,
      ...(cut.sliced
        ? {
            sliced: {
              by: cut.sliced.by,
              long_mm: cut.sliced.longMm,
              blocks: cut.sliced.blocks,
              slices: cut.sliced.slices,
              across: cut.sliced.across,
              offcut_mm: cut.sliced.offcutMm,
            },
          }
        : {}),
      remainder_mm: cut.remainderMm,
      bars_in_all: barsInAll(moulds),
      pieces: cut.pieces.length,
      bar_mass_g: cut.bars.map((b) => b.massG),
    },
    ...(moulds.some((m) => m.tops.length > 0) ? { on_top: topsJson(computed) } : {}),
    ...(computed.second ? { second: secondJson(computed.second) } : {}),
    procedure: procedureJson(computed),
    warnings: computed.warnings.map((w) => ({
      code: w.code,
      level: w.level,
      ...(w.mould === undefined ? {} : { mould: w.mould }),
      step: w.step ?? null,
      pot: w.pot ?? null,
      message: w.message,
    })),
  };
}
