import { isInLye, WHOLE_STIRS } from '../batter/moments.ts';
import type { Day, DayAct } from '../day/act.ts';
import { VESSEL } from '../day/vessel.ts';
import { openLedger, type Ledger } from '../ledger/ledger.ts';
import { depositsOf } from '../plan/deposits.ts';
import type { Grams } from '../units/quantity.ts';
import { beforePass, drawDispersed, type WeighBench, type Weighing } from './bench.ts';
import type { DispersionDraw } from './dispersions.ts';
import type { OmbreWeights } from './ombre/types.ts';
import {
  colourPot,
  emulsify,
  keepSpare,
  oneBatchOf,
  stirIntoBatch,
  weighOut,
  type OneBatch,
} from './oneBatch.ts';
import { plannedPot } from './bench.ts';
import { plainOf, stirInAt } from './plannedPot.ts';
import {
  combine,
  lyeOfPortions,
  makePortion,
  portionsOf,
  type LyeOfPortions,
  type Portions,
} from './portions.ts';
import { stirIntoLye, weighWater, type LyeSolution } from './solution.ts';
import { SUBSTANCE } from './substances.ts';
import {
  fillHoles,
  fillRidges,
  heapOn,
  pourOut,
  putLine,
  scrapeOff,
  spreadTop,
  stirBefore,
  type PouredFrom,
  type Taking,
} from './taking.ts';
import type { PotTarget } from './targets.ts';

/** What is made, decided before it is weighed; the lye of portions once they stand ready. */
export interface Made {
  readonly making: OneBatch | Portions;
  readonly lyeOfPortions?: LyeOfPortions;
}

/** What is weighed on one day. */
export interface Weighed {
  readonly ledger: Ledger;
  readonly poured: ReadonlyMap<string, PouredFrom>;
  readonly made: Made;
}

/** A day that is being weighed. */
interface Going extends Taking {
  readonly making: OneBatch | Portions;
  lyeOfPortions: LyeOfPortions | undefined;
}

const lyeOf = (w: Going): LyeSolution => {
  if (w.making.kind === 'one-batch') return w.making.lye;
  w.lyeOfPortions ??= lyeOfPortions(w, w.making);
  return w.lyeOfPortions;
};

/** Oils, colorants and lye. */
function weighMaking(w: Going, act: DayAct): boolean {
  const { book, making, recipe } = w;
  switch (act.does) {
    case 'set-oil-aside':
      for (const [line, massG] of making.aside)
        book.add(SUBSTANCE.carrierOil(line), VESSEL.carrierOil, massG, true);
      return true;
    case 'weigh-oils':
      making.oils.forEach((massG, i) => {
        const line = recipe.oils[i]?.line;
        if (line !== undefined) book.add(SUBSTANCE.oil(line), VESSEL.oils, massG, false);
      });
      return true;
    case 'disperse':
      disperse(w, act.colorant);
      return true;
    case 'weigh-water':
      weighWater(book, lyeOf(w));
      return true;
    case 'weigh-lye':
      book.add(SUBSTANCE.lye, VESSEL.lye, lyeOf(w).lyeG, false);
      return true;
    case 'stir-in': {
      const { moment } = WHOLE_STIRS[act.into];
      if (isInLye(moment)) stirIntoLye(book, lyeOf(w), moment);
      else if (making.kind === 'one-batch') stirIntoBatch(w, making, act.into);
      return true;
    }
    case 'make-stock':
      for (const o of w.ombres)
        if (o.school === 'master-blends' && o.ombre.id === act.ombre)
          book.move(VESSEL.oils, VESSEL.stock(act.ombre, act.which), o[act.which].massG, false);
      drawDispersed(w, { kind: 'stock', ombre: act.ombre, which: act.which });
      return true;
    default:
      return false;
  }
}

/** A colorant dispersed in its jar, or taken out of one that stands ready. */
function disperse({ book, dispersions }: Weighing, id: string): void {
  const own = dispersions.jars.find((j) => j.colorant === id);
  if (!own) return;
  const { powderG, carrierG, carrier, ready } = own;
  const jar = VESSEL.jar(id);
  book.add(SUBSTANCE.colorant(id), jar, powderG, true);
  if (carrier === 'oil' && ready) book.add(SUBSTANCE.jarOil(id), jar, carrierG, true);
  else if (carrier === 'oil') book.move(VESSEL.carrierOil, jar, carrierG, true);
  else if (carrier) book.add(SUBSTANCE.carrier(carrier), jar, carrierG, true);
}

/** Batter in its jugs. */
function weighPots(w: Going, act: DayAct): boolean {
  const { making, book } = w;
  switch (act.does) {
    case 'emulsify':
      if (making.kind === 'one-batch') emulsify(w, making);
      return true;
    case 'weigh-out':
      if (making.kind === 'one-batch') weighOut(w, making, act);
      return true;
    case 'keep-spare':
      keepSpare(w);
      return true;
    case 'make-portion':
      if (making.kind === 'portions') makePortion(w, making, act.pot.id);
      return true;
    case 'combine':
      if (making.kind === 'portions' && w.lyeOfPortions) combine(w, making, w.lyeOfPortions, act.pot.id);
      return true;
    case 'colour-pot':
      colourPot(w, act.pot.id);
      return true;
    case 'stir-at-emulsion':
    case 'stir-at-trace':
    case 'keep-plain': {
      const pot = plannedPot(w, act.pot.id);
      if (!pot) return true;
      if (act.does === 'keep-plain')
        book.move(VESSEL.pot(act.pot.id), VESSEL.plain(act.pot.id), plainOf(pot), false);
      else stirInAt(book, pot, act.does === 'stir-at-trace' ? 'trace' : 'emulsion');
      return true;
    }
    case 'stir-at-pass':
      beforePass(w, act.pot.id, act.step.id);
      return true;
    case 'stir-before':
      stirBefore(w, act);
      return true;
    default:
      return false;
  }
}

/** What is taken of the jugs. */
function weighTaking(w: Going, act: DayAct): void {
  switch (act.does) {
    case 'pour':
      pourOut(w, act.id, act.step);
      break;
    case 'fill-bags':
      for (const step of act.steps) pourOut(w, act.id, step);
      break;
    case 'scrape':
      scrapeOff(w, act.step);
      break;
    case 'line':
      putLine(w, act.step);
      break;
    case 'pull':
      fillHoles(w, act);
      break;
    case 'fill-ridges':
      fillRidges(w, act);
      break;
    case 'spread-top':
      spreadTop(w);
      break;
    case 'put-on-top':
      heapOn(w, act.step.id, act.mould);
  }
}

/** Everything that a day is weighed by. */
export interface ToWeigh {
  readonly day: Day;
  readonly bench: WeighBench;
  readonly targets: readonly PotTarget[];
  /** what each deposit is to take */
  readonly amounts: ReadonlyMap<string, Grams>;
  /** dispersed colorants and ombres as they are by now */
  readonly draws: readonly DispersionDraw[];
  readonly now: readonly OmbreWeights[];
}

/**
 * The acts of a day carried out on the scales, in their order. `made`: what was decided of the batch the
 * first time; it is made by that again, whatever was really poured or added since, so that what was mixed
 * stays as it was mixed.
 */
export function weighDay({ day, bench, targets, amounts, draws, now }: ToWeigh, made?: Made): Weighed {
  const book = openLedger();
  const w: Going = {
    ...bench,
    book,
    draws,
    now,
    targets,
    deposits: depositsOf(bench.plan),
    amounts,
    cups: new Map(),
    poured: new Map(),
    making: made?.making ?? (bench.plan.divide.kind === 'before-lye' ? portionsOf(bench) : oneBatchOf(bench)),
    lyeOfPortions: made?.lyeOfPortions,
  };
  for (const act of day) {
    book.begin(act.id);
    if (!weighMaking(w, act) && !weighPots(w, act)) weighTaking(w, act);
  }
  const { making, lyeOfPortions: lye } = w;
  return { ledger: book.close(), poured: w.poured, made: { making, ...(lye ? { lyeOfPortions: lye } : {}) } };
}
