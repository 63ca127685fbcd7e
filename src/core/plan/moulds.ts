import type { MouldId } from '../validate/ids.ts';
import type { Mould } from '../mould/schema.ts';
import type { OtherMould } from './otherMould.ts';
import type { Plan } from './planSchema.ts';
import type { Step } from './stepSchema.ts';

/** The mould that a plan begins with; the others have ids of their own. */
export const FIRST = 'first';

/** One of the moulds that a plan fills, and how. */
export interface MouldUse {
  readonly id: MouldId;
  readonly mould: Mould;
  /** so many of it, filled alike */
  readonly copies: number;
  /** `as-first`: it gets every pour of the first mould */
  readonly design: OtherMould['design'];
  /** it takes what a batch of given size leaves */
  readonly takesRest: boolean;
}

/** The batch has a size of its own; otherwise the moulds decide it. */
export const hasGivenBatch = ({ fill }: Pick<Plan, 'fill'>): boolean =>
  fill.to.kind === 'batter' || fill.to.kind === 'oils';

/** The moulds of a plan in order: the first, then the others. */
export const usesOf = (plan: Plan): readonly MouldUse[] => [
  {
    id: FIRST,
    mould: plan.mould,
    copies: plan.fill.copies,
    design: 'own',
    takesRest: hasGivenBatch(plan) && !plan.fill.upTo,
  },
  ...plan.others.map((o) => ({ ...o, takesRest: o.to.kind === 'left' })),
];

/** Something of each mould summed over all there are: each kind as often as it is filled. */
export const inAll = <M extends { readonly use: Pick<MouldUse, 'copies'> }>(
  moulds: readonly M[],
  of: (mould: M) => number,
): number => moulds.reduce((s, m) => s + of(m) * m.use.copies, 0);

export const mouldOfStep = (step: Step): string => ('mould' in step ? (step.mould ?? FIRST) : FIRST);

/** A step is about its own mould; one of the first mould's about those that follow its design too. */
export const isAbout = ({ id, design }: Pick<MouldUse, 'id' | 'design'>, step: Step): boolean =>
  mouldOfStep(step) === (design === 'as-first' ? FIRST : id);

/** The moulds that a step is about: its own, and with the first those that follow its design. */
export const usesAbout = (plan: Plan, step: Step): readonly MouldUse[] =>
  usesOf(plan).filter((u) => isAbout(u, step));

/** What goes into one mould is a step of its own, or one of the first mould's that it follows. */
export const isFollower = (plan: Plan, mouldId: MouldId): boolean =>
  plan.others.some((o) => o.id === mouldId && o.design === 'as-first');

/** The steps of one mould, in order. What is done to the finished soap is the same for all. */
export function stepsIn(plan: Plan, mouldId: MouldId): readonly Step[] {
  const use = usesOf(plan).find((u) => u.id === mouldId);
  if (plan.others.length === 0 || !use) return plan.steps;
  return plan.steps.filter((s) => s.kind === 'finish' || isAbout(use, s));
}

/**
 * One mould of a plan as a plan by itself: its own mould, fill, steps and cut, and of what is held back for
 * the top the part `topShare`, 0..1. A plan with one mould is its own. Of a mould that takes what is left the
 * fill is not known here: it is `to`, or up to the rim.
 */
export function partOf(
  plan: Plan,
  mouldId: MouldId,
  topShare: number,
  to: Plan['fill']['to'] = { kind: 'headspace', headspaceMm: 0 },
): Plan {
  if (plan.others.length === 0) return plan;
  const other = plan.others.find((o) => o.id === mouldId);
  const { upTo, ...fill } = plan.fill;
  const top = fill.top.map((t) => ({ ...t, massG: t.massG * topShare }));
  const steps = [...stepsIn(plan, mouldId)];
  if (!other) return { ...plan, steps, fill: { ...fill, top, to: upTo ?? fill.to }, others: [] };
  return {
    ...plan,
    mould: other.mould,
    fill: { ...fill, top, copies: other.copies, to: other.to.kind === 'left' ? to : other.to },
    cut: other.cut,
    steps,
    others: [],
  };
}

/** What each mould of a plan is called, told apart where two have one name. */
export function mouldNames(plan: Plan): ReadonlyMap<string, string> {
  const names = new Map<string, string>();
  const taken = new Map<string, number>();
  for (const { id, mould } of usesOf(plan)) {
    const nth = (taken.get(mould.name) ?? 0) + 1;
    taken.set(mould.name, nth);
    names.set(id, nth > 1 ? `${mould.name} (${nth})` : mould.name);
  }
  return names;
}
