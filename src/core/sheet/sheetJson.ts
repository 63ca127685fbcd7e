import { actJson } from './actJson.ts';
import { fragranceInBarPercent } from '../batter/fragranceLimit.ts';
import { blendTemperature } from '../batter/blendTemperature.ts';
import { barsInAll } from '../cut/barsText.ts';
import { volumeErrorMl } from '../fill/volumeError.ts';
import type { JugBalance } from '../ledger/balance.ts';
import type { Addition } from '../batter/additions.ts';
import type { Dose } from '../batter/schema.ts';
import type { Weight } from '../weigh/ingredients.ts';
import type { Portion } from '../weigh/jugs.ts';
import { doseKey } from '../weigh/substances.ts';
import type { Weights } from '../weigh/weights.ts';
import type { Computed } from '../computed/compute.ts';
import { dispersals } from '../procedure/mixing.ts';
import { oddsJson } from './clockJson.ts';
import { SAMPLES } from '../clock/outlook.ts';
import { blocksJson } from './blocksJson.ts';
import { isSimulated } from '../pattern/blocks.ts';
import { mouldJson } from './mouldJson.ts';
import { snaked } from './snaked.ts';
import { stepsJson } from './stepsJson.ts';
import { topsJson } from './topsJson.ts';
import { ombreJson } from './ombreJson.ts';
import { jugLedger } from '../procedure/jugLedger.ts';
import { procedureOf } from '../procedure/procedureOf.ts';

/** Figures are printed to twelve significant digits: all that a double can promise after a few sums. */
const DIGITS = 12;

/**
 * The same value without the binary dust of its numbers, 898.8599999999999 becomes 898.86, and without what
 * is not there.
 */
function dusted(value: unknown): unknown {
  if (typeof value === 'number') return Number(value.toPrecision(DIGITS));
  if (Array.isArray(value)) return value.map(dusted);
  if (typeof value === 'object' && value !== null)
    return Object.fromEntries(
      Object.entries(value).flatMap(([key, v]) => (v === undefined ? [] : [[key, dusted(v)]])),
    );
  return value;
}

const jugJson = (jug: JugBalance): object =>
  snaked(
    jug,
    'oilsG',
    'lyeSolutionG',
    'partLiquidsG',
    'lateOilsG',
    'additivesG',
    'colorantsG',
    'carrierG',
    'fragranceG',
    'totalG',
  );

const massesJson = (list: readonly Weight[]): object[] => list.map((w) => snaked(w, 'id', 'massG'));

/** Additions with what each of their doses comes to. */
const additionsJson = (
  list: readonly { readonly id: string; readonly doses: readonly Dose[] }[],
  kind: Addition['kind'],
  { doses }: Weights,
): object[] =>
  list.map((a) => {
    const weighed = a.doses.map((dose) => ({
      ...snaked(dose, 'id', 'moment', 'pots', 'fromPour'),
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

const portionJson = (portion: Portion): object => ({
  oils_g: portion.oilsG,
  lye_solution_g: portion.solutionG,
  water_g: portion.waterG,
  part_liquids: massesJson(portion.partLiquids),
  additives: massesJson(portion.additives),
  fragrance_g: portion.fragranceG,
});

function sheetOf(computed: Computed): object {
  const { plan, geometry, fill, moulds, recipe, recipes, weights, batch, cut, densityGMl } = computed;
  const inBarOf = (pot: string, fragrance: string): number => {
    const of = recipes.ofPot(pot);
    return of ? fragranceInBarPercent(of, fragrance) : 0;
  };
  return {
    format: 'drip-line/sheet',
    version: 1,
    plan: snaked(plan, 'id', 'name'),
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
    moulds: moulds.length > 1 ? moulds.map((m) => mouldJson(plan, m)) : undefined,
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
      part_liquids: batch.partLiquids.map((l) => snaked(l, 'id', 'massG', 'moment')),
      additives: additionsJson(plan.batter.additives, 'additive', batch),
      late_oils: additionsJson(plan.batter.lateOils, 'oil', batch),
      fragrances: additionsJson(plan.batter.fragrances, 'fragrance', batch),
      ...snaked(batch, 'fragranceG', 'superfatPercent'),
      water_percent_of_oils: recipe?.schools.percentOfOils,
      lye_concentration_percent: recipe?.schools.lyeConcentrationPercent,
      water_to_lye: recipe?.schools.waterToLye,
      blend_temperature_c: blendTemperature(batch, plan.batter.temperatures),
      spare_g: batch.spareG,
      stays_in_stocks_g: batch.stockLossG,
    },
    pots: weights?.pots.map((p) => ({
      ...snaked(p.pot, 'id', 'letter', 'name'),
      mass_g: p.batterG,
      ...snaked(p, 'sharePercent', 'heldBackG', 'overageG'),
      superfat_percent: p.superfatPercent ?? null,
      least_superfat_percent: p.leastSuperfatPercent ?? null,
      water_percent_of_oils: p.waterPercent ?? null,
      fragrance_percent_of_bar: Object.fromEntries(
        plan.batter.fragrances.map((f) => [f.id, inBarOf(p.pot.id, f.id)]),
      ),
      density_g_ml: p.densityGMl ?? null,
      jug: jugJson(p.jug),
      colorants: p.colorants.map((c) => snaked(c, 'id', 'name', 'massG')),
      portion: plan.divide.kind === 'before-lye' ? portionJson(p.portion) : undefined,
    })),
    ombres: weights?.ombres.map(ombreJson),
    dispersals:
      weights &&
      dispersals(computed, weights).map((d) => ({
        colorant: d.colorant.id,
        name: d.colorant.name,
        mass_g: d.massG,
        into: d.into,
        carrier: d.carrier?.kind,
        carrier_g: d.carrier?.massG,
        carrier_ml: d.carrier?.ml,
      })),
    colours: {
      pots: Object.fromEntries(computed.colours.pots),
      pours: Object.fromEntries(computed.colours.pours),
    },
    steps: stepsJson(computed),
    blocks: isSimulated(plan) ? blocksJson(moulds[0]) : undefined,
    cut: {
      bars: cut.count,
      thickness_mm: plan.cut.thicknessMm,
      sliced: cut.sliced && snaked(cut.sliced, 'by', 'longMm', 'blocks', 'slices', 'across', 'offcutMm'),
      remainder_mm: cut.remainderMm,
      bars_in_all: barsInAll(moulds),
      pieces: cut.pieces.length,
      bar_mass_g: cut.bars.map((b) => b.massG),
    },
    on_top: moulds.some((m) => m.tops.length > 0) ? topsJson(computed) : undefined,
    second: computed.second && secondJson(computed.second),
    procedure: procedureJson(computed),
    warnings: computed.warnings.map((w) => ({
      ...snaked(w, 'code', 'level', 'mould'),
      step: w.step ?? null,
      pot: w.pot ?? null,
      message: w.message,
    })),
  };
}
