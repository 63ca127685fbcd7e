import type { LaidMould, LaidPlan } from './laid.ts';
import type { MouldId, PotId, StepId } from '../validate/ids.ts';
import { NOMINAL_DENSITY } from '../batter/recipe.ts';
import { mouldGeometry, type MouldGeometry } from '../mould/geometry.ts';
import { FIRST, inAll, partOf, usesOf, type MouldUse } from '../plan/moulds.ts';
import type { Plan } from '../plan/planSchema.ts';
import { poursOfOmbre } from '../ombre/runs.ts';
import { potsOf } from '../plan/sources.ts';
import { recipesOf } from '../plan/recipes.ts';
import { scrapesOf } from '../plan/scrapes.ts';
import type { Amount, Pour } from '../plan/stepSchema.ts';
import type { Grams } from '../units/quantity.ts';
import {
  batchForMoulds,
  fillTo,
  fillWith,
  givenBatch,
  type FillTarget,
  type MeanBatter,
} from './fillTarget.ts';
import { batterIn } from './batterIn.ts';
import { laidOnce } from './laidOnce.ts';
import { followed } from './followed.ts';
import { layingPours, type PouredLayer } from './layers.ts';
import { makeupOf, makeupsOf, type Makeup } from './makeup.ts';
import { moundedG, moundsOn } from './mounds.ts';
import { madeBeyond, stirredMixes } from './scrapings.ts';
import { finish, type Task } from '../task/task.ts';
import { topShares } from './topShares.ts';

/**
 * A batch whose size is given is laid again until its mean density agrees with what was laid: relative, and
 * so often at most.
 */
const AGREES = 1e-7;
const ROUNDS = 6;

/** What was really poured, by the pour's id, in the place of what was planned: each mould's part of it. */
export type PouredAmounts = (mouldId: MouldId, pourId: StepId) => Amount | undefined;

const withAmounts = (part: Plan, mouldId: MouldId, poured: PouredAmounts | undefined): Plan =>
  poured === undefined
    ? part
    : {
        ...part,
        steps: part.steps.map((s) =>
          s.kind === 'pour' ? { ...s, amount: poured(mouldId, s.id) ?? s.amount } : s,
        ),
      };

/** One kind of mould to be laid, as a plan by itself. */
interface ToLay {
  readonly use: MouldUse;
  readonly geometry: MouldGeometry;
  readonly part: Plan;
}

type Laid = LaidPlan['moulds'];

/** The batter that one mould is filled with, on the mean, g/ml. */
type DensityIn = (mouldId: MouldId) => number;

/** What is laid with each time, whatever the batter turns out to weigh. */
interface Laying {
  readonly plan: Plan;
  readonly toLay: readonly ToLay[];
  readonly makeup: (pour: Pour, pot: PotId) => Makeup;
  readonly poured: PouredAmounts | undefined;
}

/** How full each mould gets by itself; undefined where it takes what the batch leaves. */
const ownFill = ({ use, geometry, part }: ToLay): FillTarget | undefined => {
  const { to } = part.fill;
  return use.takesRest || to.kind === 'batter' || to.kind === 'oils' ? undefined : fillTo(geometry, to);
};

/**
 * All moulds laid, of batter with this mean makeup. `besideG` of the batch is in none of their pours: scraped
 * off, heaped on top, or left in the jugs of stocks.
 */
function* lay(
  { plan, toLay, makeup, poured }: Laying,
  mean: MeanBatter,
  densityIn: DensityIn,
  besideG: Grams,
): Task<never, Laid> {
  const batchG = givenBatch(plan, mean);
  const fills = toLay.map(ownFill);
  const takenG = toLay.reduce(
    (s, { use }, i) => s + (fills[i]?.volumeMl ?? 0) * densityIn(use.id) * use.copies,
    0,
  );
  const leftG = batchG === undefined ? 0 : batchForMoulds(plan, batchG) - takenG - besideG;
  const laid: LaidMould[] = [];
  for (const [i, { use, geometry, part }] of toLay.entries()) {
    const fill = fills[i] ?? fillWith(geometry, leftG / densityIn(use.id) / use.copies, batchG ?? 0);
    const own: Plan =
      use.takesRest && use.id !== FIRST
        ? { ...part, fill: { ...part.fill, to: { kind: 'height', heightMm: fill.heightMm } } }
        : part;
    const first = laid[0];
    const shown = use.design === 'as-first' && first ? followed(own, first.stack.layers) : own;
    const stack = yield* layingPours(
      withAmounts(shown, use.id, poured),
      geometry,
      fill.heightMm,
      (pour, pot) => makeup(pour, pot).densityGMl,
    );
    laid.push({ use, plan: shown, geometry, fill, stack });
  }
  return laid as unknown as Laid;
}

/** The mean of all that was laid; `plain` while nothing was. */
function meanOf(moulds: Laid, makeup: Laying['makeup'], plain: MeanBatter): MeanBatter {
  const sum = (of: (l: PouredLayer) => number): number =>
    inAll(moulds, (m) => m.stack.layers.reduce((t, l) => t + of(l), 0));
  const massG = sum((l) => l.plannedG);
  if (massG <= 0) return plain;
  return {
    densityGMl: massG / sum((l) => l.volumeMl),
    oils: sum((l) => l.parts.reduce((s, p) => s + p.plannedG * makeup(l.pour, p.pot.id).oils, 0)) / massG,
  };
}

/** What was laid in a mould, on the mean, g/ml. */
function laidDensity({ stack }: LaidMould, plain: MeanBatter): number {
  const massG = batterIn({ stack });
  return massG > 0 ? massG / stack.filledMl : plain.densityGMl;
}

/**
 * What stays in the jugs of the stocks of blends, of a batch of given size: before what is mixed beyond, g.
 */
function leftInStocks(plan: Plan, moulds: Laid): Grams {
  let leftG = 0;
  for (const { id, school, stockLossPercent } of plan.ombres) {
    if (school !== 'master-blends') continue;
    const pots = new Set(poursOfOmbre(plan, id).flatMap(potsOf));
    const drawnG = inAll(moulds, (m) =>
      m.stack.layers.reduce(
        (s, l) => s + l.parts.reduce((t, p) => t + (pots.has(p.pot.id) ? p.plannedG : 0), 0),
        0,
      ),
    );
    leftG += (drawnG * stockLossPercent) / 100;
  }
  return leftG;
}

/** A batch of given size, and jugs that scrapings go into, depend on what is laid. */
const laysAgain = (plan: Plan, mean: MeanBatter): boolean =>
  givenBatch(plan, mean) !== undefined || scrapesOf(plan).size > 0;

/** A plan's pours laid in all its moulds. `poured` are amounts that take the place of planned ones. */
export const layingPlan = (plan: Plan, poured?: PouredAmounts): Task<never, LaidPlan> =>
  poured ? layingAnew(plan, poured) : laidOnce(plan, layingAnew);

/** The same at once. */
export const layPlan = (plan: Plan, poured?: PouredAmounts): LaidPlan => finish(layingPlan(plan, poured));

function* layingAnew(plan: Plan, poured?: PouredAmounts): Task<never, LaidPlan> {
  const recipes = recipesOf(plan);
  const recipe = recipes.batch;
  const shares = plan.others.length === 0 ? undefined : topShares(plan);
  const toLay = usesOf(plan).map((use) => ({
    use,
    geometry: mouldGeometry(use.mould),
    part: partOf(plan, use.id, shares?.get(use.id) ?? 1),
  }));
  let stirred: LaidPlan['stirred'] = new Map();
  let laying: Laying = { plan, toLay, makeup: makeupsOf(plan, recipes, stirred), poured };
  const plain = makeupOf(plan, recipe, []);
  let mean: MeanBatter = plain;
  let besideG = 0;
  let moulds = yield* lay(laying, mean, () => plain.densityGMl, besideG);
  for (let i = 0; i < ROUNDS && laysAgain(plan, mean); i += 1) {
    const now = meanOf(moulds, laying.makeup, plain);
    const mounds = moundsOn(plan, recipes, moulds);
    const off = madeBeyond(plan, moulds) + moundedG(mounds) + leftInStocks(plan, moulds);
    const apart =
      Math.abs(now.densityGMl / mean.densityGMl - 1) +
      Math.abs(now.oils / mean.oils - 1) +
      Math.abs(off - besideG) / Math.max(1, off);
    if (apart < AGREES) break;
    mean = now;
    besideG = off;
    stirred = stirredMixes(plan, moulds, mounds);
    if (stirred.size > 0) laying = { ...laying, makeup: makeupsOf(plan, recipes, stirred) };
    const densities = new Map(moulds.map((m) => [m.use.id, laidDensity(m, plain)] as const));
    moulds = yield* lay(laying, mean, (id) => densities.get(id) ?? plain.densityGMl, besideG);
  }
  const [{ geometry, fill, stack }] = moulds;
  return {
    plan,
    recipe,
    recipes,
    densityGMl: recipe?.densityGMl ?? NOMINAL_DENSITY,
    givenBatchG: givenBatch(plan, mean),
    geometry,
    fill,
    stack,
    moulds,
    stirred,
  };
}
