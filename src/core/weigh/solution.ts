import type { Grams } from '../units/quantity.ts';
import { toStep, upToStep } from '../units/scaleStep.ts';
import { ACT, VESSEL } from './acts.ts';
import type { WeighBench } from './bench.ts';
import { SUBSTANCE } from './substances.ts';

interface Liquids {
  readonly waterG: Grams;
  readonly list: readonly { readonly id: string; readonly massG: Grams; readonly frozen: boolean }[];
}

/** Water and other liquids that come to `wholeG` and never less; plain water, or else the first liquid, makes it up. */
export function liquidsMaking({ recipe, stepG }: WeighBench, oilsG: Grams, wholeG: Grams): Liquids {
  const list = recipe.partLiquids.map((l) => ({
    id: l.id,
    massG: toStep(l.perOil * oilsG, stepG),
    frozen: l.frozen,
  }));
  const sum = list.reduce((s, l) => s + l.massG, 0);
  const [first, ...rest] = list;
  if (recipe.plainWater === 0 && first)
    return {
      waterG: 0,
      list: [{ ...first, massG: Math.max(0, upToStep(wholeG - sum + first.massG, stepG)) }, ...rest],
    };
  return { waterG: Math.max(0, upToStep(wholeG - sum, stepG)), list };
}

/** The lye solution: water or a frozen liquid, lye, and what is dissolved with them. */
export function weighLye(
  { book }: WeighBench,
  lyeG: Grams,
  liquids: Liquids,
  additives: readonly { readonly id: string; readonly into: string; readonly massG: Grams }[],
): void {
  book.add(ACT.water, SUBSTANCE.water, VESSEL.lye, liquids.waterG, false);
  for (const l of liquids.list)
    if (l.frozen) book.add(ACT.water, SUBSTANCE.liquid(l.id), VESSEL.lye, l.massG, false);
  book.add(ACT.lye, SUBSTANCE.lye, VESSEL.lye, lyeG, false);
  for (const a of additives)
    if (a.into === 'lye') book.add(ACT.dissolve, SUBSTANCE.additive(a.id), VESSEL.lye, a.massG, true);
}
