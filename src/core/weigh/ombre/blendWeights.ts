import { makeupOf } from '../../fill/makeup.ts';
import { blends } from '../../ombre/blends.ts';
import { doseIn } from '../../ombre/doseIn.ts';
import type { Mix, Ombre } from '../../plan/ombreSchema.ts';
import type { Plan } from '../../plan/planSchema.ts';
import type { Grams } from '../../units/quantity.ts';
import { sumAtStep, toStep, upToStep } from '../../units/scaleStep.ts';
import { dispersedG } from '../dispersed.ts';
import { pouredIn, roundAddition, weightOf, type Bench } from './bench.ts';
import { ownPerOil } from '../stirs.ts';
import { ownPots } from './ownPots.ts';
import type { BlendDraw, OmbreLayer, OmbreWeights, Stock } from './types.ts';

/** The two stocks named by what colours them most; by paler and deeper where that is the same. */
function stockNames(plan: Plan, ombre: Ombre): readonly [string, string] {
  const main = (mix: Mix): string => {
    const most = mix.toSorted((a, b) => b.doseGPerKg - a.doseGPerKg)[0];
    return (most && plan.colorants.find((c) => c.id === most.colorant)?.name) ?? 'Plain';
  };
  const dose = (mix: Mix): number => mix.reduce((sum, m) => sum + m.doseGPerKg, 0);
  const [first, last] = [main(ombre.from), main(ombre.to)];
  if (first !== last) return [`${first} stock`, `${last} stock`];
  const [one, other] = dose(ombre.from) <= dose(ombre.to) ? ['paler', 'deeper'] : ['deeper', 'paler'];
  return [`${first}, ${one} stock`, `${last}, ${other} stock`];
}

/**
 * g of stock behind each gram of a pot's finished batter of one end. Of batter: all of it but what the pot
 * gets by itself. Of oils: the oils, their colorants and what those are dispersed in; lye and the rest are
 * added jug by jug.
 */
function stockPerG({ plan, recipe, recipes }: Bench, pot: string, end: Mix, ofOils: boolean): number {
  const own = recipes.ofPot(pot) ?? recipe;
  const makeup = makeupOf(plan, own, end);
  if (ofOils) return makeup.oils + makeup.powder + makeup.carrierOther;
  return 1 - ownPerOil(plan, own) * makeup.oils;
}

/** The mean of figures by their weights; the figure itself where they are all the same. */
function mean(list: readonly (readonly [weight: number, figure: number])[]): number {
  const figures = list.map(([, figure]) => figure);
  const [first = 1] = figures;
  if (figures.every((f) => f === first)) return first;
  const weight = list.reduce((s, [w]) => s + w, 0);
  return weight > 0 ? list.reduce((s, [w, f]) => s + w * f, 0) / weight : first;
}

/** Two stocks, and what each layer draws from them. */
export function blendWeights(bench: Bench): OmbreWeights {
  const { plan, ombre, shades, happened } = bench;
  const { list, fault } = ownPots(bench);
  const ofOils = plan.divide.kind === 'before-lye';
  const step = plan.units.scaleStepG;
  const natureOf = (id: string) => plan.colorants.find((c) => c.id === id)?.nature;
  // in finished batter, unrounded; the scale comes in with the stocks
  const solved = blends(
    list.map(({ shade, pot }) => {
      // portions were drawn of the oils, and have had their lye, before anything was poured
      const actual = ofOils ? undefined : happened.get(shade.pourId)?.pouredG;
      return {
        t: shade.t,
        massG: pot.batterG,
        actualG: actual === undefined ? undefined : pot.batterG + actual - pouredIn(pot, shade.pourId),
      };
    }),
    (massG) => massG,
    0,
  );
  const [firstName, lastName] = stockNames(plan, ombre);
  /** over all pots: they need not be alike in what they get by themselves */
  const perG = {
    last: mean(
      list.map(({ shade, pot }) => [shade.t * pot.batterG, stockPerG(bench, pot.pot.id, ombre.to, ofOils)]),
    ),
    first: mean(
      list.map(({ shade, pot }) => [
        (1 - shade.t) * pot.batterG,
        stockPerG(bench, pot.pot.id, ombre.from, ofOils),
      ]),
    ),
  };
  // what the plan draws decides what is made, whatever was really poured since
  const drawOf = (
    pot: string,
    lastG: Grams,
    firstG: Grams,
  ): { readonly lastG: Grams; readonly firstG: Grams } => {
    const ofLast = lastG * stockPerG(bench, pot, ombre.to, ofOils);
    const last = toStep(ofLast, step);
    const first = ofLast + firstG * stockPerG(bench, pot, ombre.from, ofOils) - last;
    return { lastG: last, firstG: first > 0 ? upToStep(first, step) : 0 };
  };
  const planned = list.map(({ shade, pot }) =>
    drawOf(pot.pot.id, shade.t * pot.batterG, (1 - shade.t) * pot.batterG),
  );
  const stock = (name: string, drawnG: Grams, mix: Mix, part: number): Stock => {
    const wantedG = drawnG * (1 + ombre.stockLossPercent / 100);
    const colorants = mix.map((m) =>
      weightOf(bench, m.colorant, roundAddition(bench, m.colorant, (m.doseGPerKg * wantedG) / part / 1000)),
    );
    const withCarrierG = colorants.reduce((s, c) => s + dispersedG(natureOf(c.id), c.massG, bench.fineG), 0);
    const massG = upToStep(Math.max(0, wantedG - withCarrierG), step);
    return { name, massG, totalG: massG + withCarrierG, colorants };
  };
  const last = stock(
    lastName,
    sumAtStep(
      planned.map((d) => d.lastG),
      step,
    ),
    ombre.to,
    perG.last,
  );
  const first = stock(
    firstName,
    sumAtStep(
      planned.map((d) => d.firstG),
      step,
    ),
    ombre.from,
    perG.first,
  );
  /** g of a colorant in a gram of a stock */
  const strength = (s: Stock, colorant: string): number =>
    s.totalG > 0 ? (s.colorants.find((c) => c.id === colorant)?.massG ?? 0) / s.totalG : 0;
  const mixes = new Map<string, Mix>();
  const draws = list.map(({ shade, pot }, i): BlendDraw => {
    const now = solved.draws[i] ?? { lastG: 0, firstG: 0 };
    const draw = drawOf(pot.pot.id, now.lastG, now.firstG);
    const becomesG = now.lastG + now.firstG;
    mixes.set(
      pot.pot.id,
      shade.mix.map(({ colorant }) => ({
        colorant,
        doseGPerKg:
          becomesG > 0
            ? (1000 * (draw.lastG * strength(last, colorant) + draw.firstG * strength(first, colorant))) /
              becomesG
            : doseIn(shade.mix, colorant),
      })),
    );
    return { pot: pot.pot, pourId: shade.pourId, ...draw };
  });
  const layers = shades.flatMap((shade): OmbreLayer[] => {
    const i = list.findIndex((l) => l.pot.pot.id === shade.pot);
    const pot = list[i]?.pot;
    const draw = solved.draws[i];
    if (!pot || !draw) return [];
    const plannedG = pouredIn(pot, shade.pourId);
    const part = pot.batterG > 0 ? (draw.lastG + draw.firstG) / pot.batterG : 1;
    const actual = happened.get(shade.pourId)?.pouredG;
    return [
      {
        shade,
        pot: pot.pot,
        plannedG,
        pouredG: actual ?? toStep(plannedG * part, step),
        mix: mixes.get(shade.pot) ?? shade.mix,
      },
    ];
  });
  return {
    school: 'master-blends',
    ombre,
    layers,
    fault,
    of: ofOils ? 'oils' : 'batter',
    first,
    last,
    draws,
  };
}
