import { blends, drawFactor } from '../../ombre/blends.ts';
import type { Mix, Ombre } from '../../plan/ombreSchema.ts';
import type { Plan } from '../../plan/planSchema.ts';
import type { Grams } from '../../units/quantity.ts';
import { toStep } from '../../units/scaleStep.ts';
import { pouredIn, roundAddition, weightOf, type Bench } from './bench.ts';
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

/** Two stocks, and what each layer draws from them. */
export function blendWeights(bench: Bench): OmbreWeights {
  const { plan, ombre, shades } = bench;
  const { list, fault } = ownPots(bench);
  const ofOils = plan.divide.kind === 'before-lye';
  const step = plan.units.scaleStepG;
  const round = (massG: Grams): Grams => toStep(massG, step);
  const solved = blends(
    list.map(({ shade, pot }) => {
      const actual = ombre.actuals.find((a) => a.pour === shade.pourId)?.pouredG;
      const massG = ofOils ? pot.oilsG : pot.batterG;
      return {
        t: shade.t,
        massG,
        actualG:
          actual === undefined || pot.batterG === 0
            ? undefined
            : massG * (1 + (actual - pouredIn(pot, shade.pourId)) / pot.batterG),
      };
    }),
    round,
    ombre.stockLossPercent,
  );
  // a stock of oils is dosed for the batter that its oils become
  const batterG = list.reduce((sum, { pot }) => sum + pot.batterG, 0);
  const oilsG = list.reduce((sum, { pot }) => sum + pot.oilsG, 0);
  const becomes = ofOils && oilsG > 0 ? batterG / oilsG : 1;
  const stock = (name: string, massG: Grams, mix: Mix): Stock & { readonly factor: number } => {
    const colorants = mix.map((m) =>
      weightOf(bench, m.colorant, roundAddition(bench, m.colorant, (m.doseGPerKg * massG * becomes) / 1000)),
    );
    const additiveG = colorants.reduce((sum, c) => sum + c.massG, 0);
    return { name, massG, colorants, factor: ofOils ? drawFactor(massG, additiveG) : 1 };
  };
  const [firstName, lastName] = stockNames(plan, ombre);
  const last = stock(lastName, solved.lastG, ombre.to);
  const first = stock(firstName, solved.firstG, ombre.from);
  const doseIn = (s: Stock, colorant: string): number => {
    const massG = s.massG * becomes;
    return massG > 0 ? ((s.colorants.find((c) => c.id === colorant)?.massG ?? 0) / massG) * 1000 : 0;
  };
  const mixes = new Map<string, Mix>();
  const draws = list.map(({ shade, pot }, i): BlendDraw => {
    const draw = solved.draws[i] ?? { lastG: 0, firstG: 0 };
    const whole = draw.lastG + draw.firstG;
    const part = whole > 0 ? draw.lastG / whole : 0;
    mixes.set(
      pot.pot.id,
      shade.mix.map(({ colorant }) => ({
        colorant,
        doseGPerKg: part * doseIn(last, colorant) + (1 - part) * doseIn(first, colorant),
      })),
    );
    return {
      pot: pot.pot,
      pourId: shade.pourId,
      lastG: round(draw.lastG * last.factor),
      firstG: round(draw.firstG * first.factor),
    };
  });
  const layers = shades.flatMap((shade): OmbreLayer[] => {
    const i = list.findIndex((l) => l.pot.pot.id === shade.pot);
    const pot = list[i]?.pot;
    const draw = solved.draws[i];
    if (!pot || !draw) return [];
    const plannedG = pouredIn(pot, shade.pourId);
    const planned = ofOils ? pot.oilsG : pot.batterG;
    const part = planned > 0 ? (draw.lastG + draw.firstG) / planned : 1;
    const actual = ombre.actuals.find((a) => a.pour === shade.pourId)?.pouredG;
    return [
      {
        shade,
        pot: pot.pot,
        plannedG,
        pouredG: actual ?? round(plannedG * part),
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
