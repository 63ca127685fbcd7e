import type { Grams } from '../units/quantity.ts';
import { toStep, upToStep } from '../units/scaleStep.ts';
import { ACT, VESSEL } from './acts.ts';
import type { RecipeLiquid } from '../batter/recipe.ts';
import type { WeighBench } from './bench.ts';
import type { DoseWeight } from './doseWeights.ts';
import { stirIn } from './stirs.ts';
import { SUBSTANCE } from './substances.ts';

interface Liquids {
  readonly waterG: Grams;
  readonly list: readonly {
    readonly id: string;
    readonly massG: Grams;
    readonly moment: RecipeLiquid['moment'];
  }[];
}

/** Water and other liquids that come to `wholeG` and never less; plain water, or else the first liquid, makes it up. */
export function liquidsMaking({ recipe, stepG }: WeighBench, oilsG: Grams, wholeG: Grams): Liquids {
  const list = recipe.partLiquids.map((l) => ({
    id: l.id,
    massG: toStep(l.perOil * oilsG, stepG),
    moment: l.moment,
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

/** The lye solution in the order it is made: what dissolves the lye, the lye, and what is stirred in hot or cooled. */
export function weighLye(
  { book }: WeighBench,
  lyeG: Grams,
  liquids: Liquids,
  doses: readonly DoseWeight[],
): void {
  const stir = (act: string, moment: DoseWeight['moment']): void => {
    stirIn(
      book,
      act,
      VESSEL.lye,
      doses.filter((d) => d.moment === moment),
    );
  };
  book.add(ACT.water, SUBSTANCE.water, VESSEL.lye, liquids.waterG, false);
  for (const l of liquids.list)
    if (l.moment === 'frozen' || l.moment === 'water')
      book.add(ACT.water, SUBSTANCE.liquid(l.id), VESSEL.lye, l.massG, false);
  stir(ACT.inWater, 'water');
  book.add(ACT.lye, SUBSTANCE.lye, VESSEL.lye, lyeG, false);
  stir(ACT.inHotLye, 'hot-lye');
  for (const l of liquids.list)
    if (l.moment === 'cooled-lye') book.add(ACT.dissolve, SUBSTANCE.liquid(l.id), VESSEL.lye, l.massG, false);
  stir(ACT.dissolve, 'cooled-lye');
}
