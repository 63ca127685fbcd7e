import type { Moment } from '../batter/moments.ts';
import { VESSEL } from '../day/vessel.ts';
import type { RecipeLiquid } from '../batter/recipe.ts';
import type { OpenLedger } from '../ledger/ledger.ts';
import type { Grams } from '../units/quantity.ts';
import { toStep, upToStep } from '../units/scaleStep.ts';
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

/**
 * The lye solution: lye, what it is dissolved in, and what is stirred into the water, the hot or the cooled
 * lye.
 */
export interface LyeSolution {
  readonly lyeG: Grams;
  readonly liquids: Liquids;
  readonly doses: readonly DoseWeight[];
}

/**
 * Water and other liquids that come to `wholeG` and never less; plain water, or else the first liquid, makes
 * it up.
 */
export function liquidsMaking(
  { recipe, stepG }: Pick<WeighBench, 'recipe' | 'stepG'>,
  oilsG: Grams,
  wholeG: Grams,
): Liquids {
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

/** Liquids that come in at one moment, into a vessel. */
export function pourLiquids(
  book: OpenLedger,
  { list }: Pick<Liquids, 'list'>,
  moment: RecipeLiquid['moment'],
  to = VESSEL.lye as Parameters<OpenLedger['add']>[1],
): void {
  for (const l of list) if (l.moment === moment) book.add(SUBSTANCE.liquid(l.id), to, l.massG, false);
}

/** What the lye is dissolved in. */
export function weighWater(book: OpenLedger, { liquids }: LyeSolution): void {
  book.add(SUBSTANCE.water, VESSEL.lye, liquids.waterG, false);
  pourLiquids(book, liquids, 'frozen');
  pourLiquids(book, liquids, 'water');
}

/** What is stirred into the water, or into the lye while it is hot or once it has cooled. */
export function stirIntoLye(book: OpenLedger, { liquids, doses }: LyeSolution, moment: Moment): void {
  if (moment === 'cooled-lye') pourLiquids(book, liquids, moment);
  stirIn(
    book,
    VESSEL.lye,
    doses.filter((d) => d.moment === moment),
  );
}
