import type { MouldId, PotId, StepId } from '../validate/ids.ts';
import { potsOf } from '../plan/sources.ts';
import type { LaidMould } from '../fill/laid.ts';
import type { Mound } from '../fill/mounds.ts';
import { freshOf, jugTurns, scrapedOf } from '../fill/scrapings.ts';
import { topShares } from '../fill/topShares.ts';
import { poursOfOmbre } from '../ombre/runs.ts';
import { holeMassG } from '../pattern/hole.ts';
import { depositsOf, type Deposit } from '../plan/deposits.ts';
import { scrapesOf } from '../plan/scrapes.ts';
import type { Plan, Pot } from '../plan/planSchema.ts';
import type { Grams } from '../units/quantity.ts';
import { downToStep, sumAtStep, toStep } from '../units/scaleStep.ts';
import { sharedOut } from './sharedOut.ts';

/** What one pour puts into one kind of mould. */
export interface PouredInto {
  readonly mould: MouldId;
  readonly copies: number;
  /** into one of them */
  readonly eachG: Grams;
  /** of that, what is scraped off again */
  readonly offG: Grams;
}

/** What one pour is to take of one pot, at the scale's step. */
export interface PourTarget {
  readonly stepId: StepId;
  /** the deposit's name */
  readonly key: string;
  readonly into: readonly PouredInto[];
  /** into all moulds */
  readonly massG: Grams;
  /** of that, what is made for it: the rest is scrapings that are in the jug by then */
  readonly freshG: Grams;
}

/** What of one pot goes into one kind of mould beside its pours, at the scale's step. */
export interface MoundTarget {
  readonly stepId: StepId;
  readonly mould: MouldId;
  readonly copies: number;
  readonly eachG: Grams;
  readonly when: Mound['when'];
}

/** What of that which a pot holds back goes where, in all of one kind of mould, g. */
export interface HeldTarget {
  readonly mould: MouldId;
  /** into the hole of a column that is pulled, at that step */
  readonly pulled: { readonly stepId: StepId; readonly massG: Grams } | undefined;
  /** spread over the top */
  readonly topG: Grams;
}

/**
 * What one pot is to hold, at the scale's step: what is made for its pours, what it holds back, and what is
 * mixed beyond.
 */
export interface PotTarget {
  readonly pot: Pot;
  readonly pours: readonly PourTarget[];
  readonly mounds: readonly MoundTarget[];
  /** for the top and, before that, for the hollows of a mat: what goes in beside the pours */
  readonly heldBackG: Grams;
  /** what of it is no mound and in no hollow */
  readonly held: readonly HeldTarget[];
  readonly overageG: Grams;
  readonly batterG: Grams;
}

export interface Targets {
  readonly pots: readonly PotTarget[];
  /** what is to stay in the jugs of both stocks of an ombre's master blends, by ombre */
  readonly stockLossG: ReadonlyMap<string, Grams>;
  /** batter of a given batch that no pour takes */
  readonly spareG: Grams;
  readonly batterG: Grams;
}

/** What a pour puts of one pot into each mould that it goes into. */
const intoMoulds = (
  moulds: readonly LaidMould[],
  { key, pour }: Deposit,
  round: (massG: Grams) => Grams,
): readonly PouredInto[] =>
  moulds.flatMap(({ use, stack }): PouredInto[] => {
    const layer = stack.layers.find((l) => l.pour.id === pour.id);
    const part = layer?.parts.find((p) => p.key === key);
    if (!layer || !part) return [];
    const offG = round(scrapedOf(layer, part));
    return [
      { mould: use.id, copies: use.copies, eachG: round(part.plannedG + scrapedOf(layer, part)), offG },
    ];
  });

type Round = (massG: Grams, stepG: Grams) => Grams;

/** The step at which a mould's columns are pulled, and what they leave to be filled, g in all copies. */
interface Hole {
  readonly stepId: StepId;
  readonly massG: Grams;
}

const holesIn = (moulds: readonly LaidMould[]): ReadonlyMap<MouldId, Hole> =>
  new Map(
    moulds.flatMap(({ use, plan, stack }) => {
      const at = plan.steps.findIndex((s) => s.kind === 'pull');
      const pull = plan.steps[at];
      if (!pull) return [];
      const before = new Set(plan.steps.slice(0, at).map((s) => s.id));
      const massG = holeMassG(stack.layers.filter((l) => before.has(l.pour.id))) * use.copies;
      return [[use.id, { stepId: pull.id, massG }] as const];
    }),
  );

/**
 * A hole is filled pot after pot, in the order that what is held back is given in: where a pot stands in
 * that.
 */
export const placeInFilling = ({ fill }: Pick<Plan, 'fill'>, pot: PotId): number => {
  const at = fill.top.findIndex((t) => t.pot === pot);
  return at < 0 ? fill.top.length : at;
};

/** What is held back into the holes; what no hole takes is spread over the top. */
function heldBy(
  plan: Plan,
  holes: ReadonlyMap<MouldId, Hole>,
  spread: readonly { readonly pot: PotId; readonly massG: Grams }[],
): ReadonlyMap<PotId, readonly HeldTarget[]> {
  const step = plan.units.scaleStepG;
  const into = [...topShares(plan)].map(([mould, eachG]) => ({ mould, copies: 1, eachG }));
  const place = (pot: PotId): number => placeInFilling(plan, pot);
  const openG = new Map([...holes].map(([mould, { massG }]) => [mould, massG] as const));
  const held = new Map<PotId, readonly HeldTarget[]>();
  for (const { pot, massG: allG } of spread.toSorted((a, b) => place(a.pot) - place(b.pot)))
    held.set(
      pot,
      sharedOut(into, allG, step).map(({ mould, massG }) => {
        const hole = holes.get(mould);
        const open = openG.get(mould) ?? 0;
        const inHoleG = Math.min(massG, toStep(open, step));
        openG.set(mould, open - inHoleG);
        const pulled = hole && inHoleG > 0 ? { stepId: hole.stepId, massG: inHoleG } : undefined;
        return { mould, pulled, topG: massG - inHoleG };
      }),
    );
  return held;
}

function targetsWith(
  plan: Plan,
  moulds: readonly LaidMould[],
  mounds: readonly Mound[],
  givenG: Grams | undefined,
  round: Round,
): Targets {
  const step = plan.units.scaleStepG;
  const overage = plan.fill.overagePercent / 100;
  const deposits = depositsOf(plan);
  const intos = new Map(
    deposits.map((d) => [d.key, intoMoulds(moulds, d, (massG) => round(massG, step))] as const),
  );
  const inAllG = ({ key }: Deposit, of: (i: PouredInto) => Grams): Grams =>
    sumAtStep(
      (intos.get(key) ?? []).map((i) => of(i) * i.copies),
      step,
    );
  const fresh =
    scrapesOf(plan).size === 0
      ? undefined
      : freshOf(
          jugTurns(
            plan,
            (d) => inAllG(d, (i) => i.eachG),
            (d) => inAllG(d, (i) => i.offG),
          ),
        );
  const filled = plan.pots.map((pot): Omit<PotTarget, 'held'> => {
    const pours = deposits.flatMap((deposit): PourTarget[] => {
      if (deposit.pot !== pot) return [];
      const into = intos.get(deposit.key) ?? [];
      const massG = inAllG(deposit, (i) => i.eachG);
      const freshG = sumAtStep([fresh?.get(deposit.key) ?? massG], step);
      return into.length > 0 ? [{ stepId: deposit.pour.id, key: deposit.key, into, massG, freshG }] : [];
    });
    const own = mounds
      .filter((m) => m.pot === pot.id)
      .map(({ stepId, mould, copies, eachG, when }): MoundTarget => ({
        when,
        stepId,
        mould,
        copies,
        eachG: round(eachG, step),
      }));
    const heldBackG = sumAtStep(
      [
        ...plan.fill.top.filter((t) => t.pot === pot.id).map((t) => round(t.massG, step)),
        ...own.map((m) => m.eachG * m.copies),
      ],
      step,
    );
    const used = pours.reduce((s, p) => s + p.freshG, heldBackG);
    const overageG = round(used * overage, step);
    return { pot, pours, mounds: own, heldBackG, overageG, batterG: sumAtStep([used, overageG], step) };
  });
  const spread = filled.map(({ pot, heldBackG, mounds: own }) => ({
    pot: pot.id,
    massG: heldBackG - own.reduce((s, m) => s + m.eachG * m.copies, 0),
  }));
  const held = heldBy(plan, holesIn(moulds), spread);
  const pots = filled.map((p): PotTarget => ({ ...p, held: held.get(p.pot.id) ?? [] }));
  const stockLossG = new Map<string, Grams>();
  for (const ombre of plan.ombres) {
    if (ombre.school !== 'master-blends') continue;
    const own = new Set(poursOfOmbre(plan, ombre.id).flatMap(potsOf));
    const drawnG = pots.reduce((s, p) => s + (own.has(p.pot.id) ? p.batterG : 0), 0);
    stockLossG.set(ombre.id, round((drawnG * ombre.stockLossPercent) / 100, step));
  }
  const wantedG = sumAtStep([...pots.map((p) => p.batterG), ...stockLossG.values()], step);
  const spareG = givenG === undefined ? 0 : sumAtStep([toStep(givenG, step) - wantedG], step);
  return { pots, stockLossG, spareG, batterG: sumAtStep([wantedG, spareG], step) };
}

/**
 * What is wanted of every pot, at the scale's step. Each amount is rounded by itself, so that equal pours are
 * equal on the scale; a whole is the sum of its parts. A given batch stays what it is: where its parts, each
 * to the nearest step, would take more than there is, they are rounded down, and what that leaves is spare.
 */
export function targetsOf(
  plan: Plan,
  moulds: readonly LaidMould[],
  mounds: readonly Mound[],
  givenBatchG: Grams | undefined,
): Targets {
  const nearest = targetsWith(plan, moulds, mounds, givenBatchG, toStep);
  if (nearest.spareG >= 0) return nearest;
  const down = targetsWith(plan, moulds, mounds, givenBatchG, downToStep);
  // pours of given masses can ask for more than the batch: then they are the batch
  return down.spareG >= 0 ? down : targetsWith(plan, moulds, mounds, undefined, toStep);
}

/** Spare batter up to this is what rounding leaves of a given batch, not a batch too large for its pours. */
export const spareFromRoundingG = (plan: Plan): Grams => {
  const amounts = depositsOf(plan).reduce((s, d) => s + d.moulds.reduce((t, m) => t + m.copies, 0), 0);
  return plan.units.scaleStepG * (amounts + 2 * plan.pots.length + 1);
};
