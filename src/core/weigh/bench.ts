import type { Recipe } from '../batter/recipe.ts';
import { VESSEL } from '../day/vessel.ts';
import type { Substances } from '../ledger/balance.ts';
import { massOfContents } from '../ledger/contents.ts';
import type { OpenLedger } from '../ledger/ledger.ts';
import type { Plan } from '../plan/planSchema.ts';
import type { Grams } from '../units/quantity.ts';
import { upToStep } from '../units/scaleStep.ts';
import type { PotId, StepId } from '../validate/ids.ts';
import { carrierOils } from './carrierOil.ts';
import type { DispersionDraw, Dispersions, DrawnFor } from './dispersions.ts';
import type { OmbreWeights } from './ombre/types.ts';
import type { PlannedPot } from './plannedPot.ts';
import { SUBSTANCE } from './substances.ts';

/** A jar that is short by less than this is short by rounding, g. */
const SHORT_G = 1e-6;

/** Everything that decides what is made ready: as it is planned, whatever was really done since. */
export interface WeighBench {
  readonly plan: Plan;
  /** of the batch */
  readonly recipe: Recipe;
  readonly substances: Substances;
  readonly pots: readonly PlannedPot[];
  readonly ombres: readonly OmbreWeights[];
  readonly dispersions: Dispersions;
  /** batter of a given batch that no pour takes */
  readonly spareG: Grams;
  /** steps that the lye of one batch is rounded down by beyond the first */
  readonly lyeStepsOff: number;
  readonly stepG: Grams;
  readonly fineG: Grams;
}

/** A bench at work: its book, and what is drawn after what was really poured and added. */
export interface Weighing extends WeighBench {
  readonly book: OpenLedger;
  readonly draws: readonly DispersionDraw[];
  /** ombres as they are by now */
  readonly now: readonly OmbreWeights[];
}

/** One of the pots that anything goes into. */
export const plannedPot = ({ pots }: Pick<WeighBench, 'pots'>, id: PotId): PlannedPot | undefined =>
  pots.find((p) => p.target.pot.id === id);

/** All oil that colorants are dispersed in. */
export const carrierOilWanted = ({ dispersions, fineG }: WeighBench): Grams =>
  Math.round(dispersions.jars.reduce((s, j) => s + (j.carrier === 'oil' ? j.carrierG : 0), 0) / fineG) *
  fineG;

/**
 * What is set aside of each oil for the colorants, by its line. For that in jars shaken up ready as much less
 * of the recipe's oils is weighed: it is in the jars already.
 */
export function setAside(
  { dispersions }: WeighBench,
  taken: ReadonlyMap<string, Grams>,
): ReadonlyMap<string, Grams> {
  let readyG = dispersions.jars.reduce((s, j) => s + (j.ready && j.carrier === 'oil' ? j.carrierG : 0), 0);
  return new Map(
    [...taken].map(([line, massG]) => {
      const inJarG = Math.min(massG, readyG);
      readyG -= inJarG;
      return [line, massG - inJarG] as const;
    }),
  );
}

const isFor = (a: DrawnFor, b: DrawnFor): boolean => {
  switch (a.kind) {
    case 'pot':
      return b.kind === 'pot' && a.pot === b.pot;
    case 'pass':
      return b.kind === 'pass' && a.pour === b.pour;
    case 'stock':
      return b.kind === 'stock' && a.ombre === b.ombre && a.which === b.which;
  }
};

/** What is drawn of the dispersed colorants for one thing. */
export const drawsFor = (draws: readonly DispersionDraw[], what: DrawnFor): readonly DispersionDraw[] =>
  draws.filter((d) => isFor(d.for, what));

/**
 * Draw what one thing takes of the dispersed colorants; what a jar has not, more having been added before, is
 * dispersed anew.
 */
export function drawDispersed({ book, recipe, draws, plan, fineG }: Weighing, what: DrawnFor): void {
  for (const d of drawsFor(draws, what)) {
    const jar = VESSEL.jar(d.colorant);
    const shortG = d.massG - massOfContents(book.holds(jar));
    if (shortG > SHORT_G) {
      const { nature, jar: ready } = plan.colorants.find((c) => c.id === d.colorant) ?? {};
      const carrier = nature?.carrier;
      const powderG = upToStep((shortG * d.powderG) / d.massG, fineG);
      const carrierG = upToStep(Math.max(0, (powderG * d.massG) / d.powderG - powderG), fineG);
      book.add(SUBSTANCE.colorant(d.colorant), jar, powderG, true);
      const [line] = carrierOils(recipe, Infinity, 1, 1).keys();
      const oil = ready === undefined ? line && SUBSTANCE.carrierOil(line) : SUBSTANCE.jarOil(d.colorant);
      if (carrier === 'oil' && oil !== undefined) book.add(oil, jar, carrierG, true);
      else if (carrier && carrier !== 'none') book.add(SUBSTANCE.carrier(carrier), jar, carrierG, true);
    }
    book.move(jar, d.to, d.massG, true);
  }
}

/** What all stocks take of the batch or of the mixed oils. */
export const stocksG = ({ ombres }: WeighBench): Grams =>
  ombres.reduce((s, o) => s + (o.school === 'master-blends' ? o.first.massG + o.last.massG : 0), 0);

/** What a pot draws from its stocks: as it is planned, or, of stocks of batter, by now. */
export function drawBlend({ book, now, plan }: Weighing, { target, source }: PlannedPot): void {
  if (source.kind !== 'blend') return;
  const to = VESSEL.pot(target.pot.id);
  const ombre = plan.divide.kind === 'before-lye' ? undefined : now.find((o) => o.ombre.id === source.ombre);
  const draw =
    ombre?.school === 'master-blends' ? ombre.draws.find((d) => d.pot.id === target.pot.id) : undefined;
  book.move(VESSEL.stock(source.ombre, 'last'), to, (draw ?? source).lastG, false);
  book.move(VESSEL.stock(source.ombre, 'first'), to, (draw ?? source).firstG, false);
}

/** What a pot gets before one of its passes: plain batter first, then the colorants. */
export function beforePass(w: Weighing, pot: PotId, pour: StepId): void {
  for (const o of w.now) {
    const pass =
      o.school === 'one-pot'
        ? o.pots.find((p) => p.pot.id === pot)?.passes.find((p) => p.pourId === pour)
        : undefined;
    if (pass) w.book.move(VESSEL.plain(pot), VESSEL.pot(pot), pass.plainG, false);
  }
  drawDispersed(w, { kind: 'pass', pour });
}
