import { remembered } from '../task/remembered.ts';
import type { PotId, StepId } from '../validate/ids.ts';
import type { Plan, Pot } from './planSchema.ts';
import type { Pour, Step } from './stepSchema.ts';

/**
 * The pots that a pour comes from, in the order they leave their jugs. Only this file reads a pour's pot, and
 * only it sets one: a way of pouring that draws on several pots begins here.
 */
export const potsOf = remembered((pour: Pour): readonly [PotId, ...PotId[]] => {
  const others = new Set(pour.pattern?.then);
  const accent = accentOf(pour);
  if (accent) others.add(accent.pot);
  others.delete(pour.pot);
  return [pour.pot, ...others];
});

/** The thin line out of a jug of its own, where its place says one. */
const accentOf = ({ pattern }: Pour) =>
  pattern && 'accent' in pattern.place ? pattern.place.accent : undefined;

/** The pots of one round of a pour, in order: one can come again. */
export const roundOf = (pour: Pour): readonly [PotId, ...PotId[]] => [
  pour.pot,
  ...(pour.pattern?.then ?? []),
];

/**
 * What of a pour comes from each of its pots, by volume: every place in a round takes as much of what a thin
 * line between leaves.
 */
export const sharesOf = remembered((pour: Pour): ReadonlyMap<PotId, number> => {
  const round = roundOf(pour);
  const accent = accentOf(pour);
  const thin = (accent?.percent ?? 0) / 100;
  return new Map(
    potsOf(pour).map((pot) => [
      pot,
      (1 - thin) * (round.filter((p) => p === pot).length / round.length) + (pot === accent?.pot ? thin : 0),
    ]),
  );
});

/** What a pour takes of one pot, by its name: the pour's own where it takes of one alone. */
export const depositKey = (pour: Pour, pot: PotId): string =>
  pot === pour.pot ? pour.id : `${pour.id}:${pot}`;

/** The pot whose letter and colour stand for a pour. */
export const leadPot = (pour: Pour): PotId => potsOf(pour)[0];

/** The same pour out of another pot. */
export const outOf = (pour: Pour, pot: PotId): Pour => ({ ...pour, pot });

/** A step that pours from this pot. */
export const isFrom = (step: Step, pot: PotId): step is Pour =>
  step.kind === 'pour' && potsOf(step).includes(pot);

type Steps = Pick<Plan, 'steps'>;

export const poursFrom = (plan: Steps, pot: PotId): readonly Pour[] =>
  plan.steps.filter((s) => isFrom(s, pot));

/** Every pot that is poured, in the order of their first pours. */
export const pouredPots = (plan: Steps): ReadonlySet<PotId> =>
  new Set(plan.steps.flatMap((s) => (s.kind === 'pour' ? potsOf(s) : [])));

/** A pour is of this pot alone, by the pours' ids. */
export const potsByPour = (plan: Steps): ReadonlyMap<StepId, PotId> =>
  new Map(plan.steps.flatMap((s) => (s.kind === 'pour' ? [[s.id, leadPot(s)] as const] : [])));

/** A pot by its id; pots that are named are there, or the plan is refused. */
export const potNamed = (plan: Pick<Plan, 'pots'>, id: PotId | undefined): Pot | undefined =>
  plan.pots.find((p) => p.id === id);

/** What a pour is of, in the order it goes in. */
export const potsIn = (plan: Pick<Plan, 'pots'>, pour: Pour): readonly Pot[] =>
  potsOf(pour).flatMap((id) => potNamed(plan, id) ?? []);

/** The name of the filling of a mat's hollows that no step tells of. */
export const UNTOLD_RIDGES = 'ridges';

/** What is held back in a pot, by its name as a deposit. */
export const heldKey = (pot: PotId): string => `pot ${pot}`;
