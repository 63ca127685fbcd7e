import type { MouldId } from '../../validate/ids.ts';
import type { MouldFacts } from '../../advice/facts.ts';
import type { Computed } from '../../computed/compute.ts';
import { isAbout, mouldOfStep } from '../../plan/moulds.ts';
import type { Step } from '../../plan/stepSchema.ts';
import type { PotWeight, Weights } from '../../weigh/weights.ts';
import type { Draft } from '../act.ts';
import { waitsForJug, weighOut } from './oneBatch.ts';
import { combine } from './portions.ts';

/** What is written into the sheet while the pours are gone through. */
export interface Going {
  readonly computed: Computed;
  readonly w: Weights;
  readonly names: ReadonlyMap<string, string>;
  readonly combined: Set<string>;
  readonly atTrace: Set<string>;
  readonly pours: ReadonlyMap<string, string>;
  /** g in one of them so far, by mould */
  readonly inMouldG: Map<string, number>;
  /** g that one of them takes in all */
  readonly ofG: ReadonlyMap<string, number>;
}

/** Where there are several moulds, which one is meant. */
export const inNamed = ({ computed, names }: Going, mouldId: MouldId): string | undefined =>
  computed.moulds.length > 1 ? names.get(mouldId) : undefined;

export const named = (mould: string | undefined): { readonly mould?: string } =>
  mould === undefined ? {} : { mould };

/** The moulds that a step is about: its own, and with the first those that follow its design. */
export const mouldsOf = ({ computed }: Going, step: Step): readonly MouldFacts[] =>
  computed.moulds.filter((m) => isAbout(m.use, step));

/** A jug's lye solution, or its batter, where it is made up only when it is wanted. */
export function madeUpLate(computed: Computed, w: Weights, pot: PotWeight): Draft[] {
  const { plan } = computed;
  if (plan.divide.kind === 'after-emulsion')
    return waitsForJug(plan, pot.pot) ? [weighOut(computed, w, pot)] : [];
  return plan.divide.lye === 'jug-by-jug' ? combine(computed, pot.pot, w) : [];
}

/** The same before the first pour of it alone. */
export function madeReady({ computed, w, combined }: Going, pot: PotWeight): Draft[] {
  if (combined.has(pot.pot.id)) return [];
  const drafts = madeUpLate(computed, w, pot);
  if (drafts.length > 0) combined.add(pot.pot.id);
  return drafts.map((d) => ({ ...d, chapter: 'pour' as const }));
}

/** The mould that a step is about, as it is filled. */
export const factsOf = ({ computed }: Going, step: Step): MouldFacts =>
  computed.moulds.find((m) => m.use.id === mouldOfStep(step)) ?? computed.moulds[0];
