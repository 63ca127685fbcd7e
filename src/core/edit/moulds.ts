import type { MouldId } from '../validate/ids.ts';
import { mouldGeometry } from '../mould/geometry.ts';
import type { Mould } from '../mould/schema.ts';
import { FIRST, hasGivenBatch, isFollower, mouldOfStep } from '../plan/moulds.ts';
import { LOAF_CUT } from '../plan/newPlan.ts';
import type { OtherMould } from '../plan/otherMould.ts';
import type { Plan } from '../plan/planSchema.ts';
import type { Amount, Step } from '../plan/stepSchema.ts';
import { layPlan } from '../fill/layPlan.ts';
import { freshId } from './freshId.ts';
import { slabCut } from './mould.ts';

const inOthers = (plan: Plan, mouldId: MouldId, change: (o: OtherMould) => OtherMould): Plan => ({
  ...plan,
  others: plan.others.map((o) => (o.id === mouldId ? change(o) : o)),
});

/**
 * A shallow mould is filled higher than a loaf: this part of it is left, and no more than a loaf leaves. A
 * judgement.
 */
const LEFT_UNDER_RIM = 0.1;

/**
 * A new mould filled from the same batch, with the first one's design in it, about as far under its rim as
 * the first is.
 */
export function addMould(plan: Plan, mould: Mould): { readonly plan: Plan; readonly mouldId: MouldId } {
  const mouldId = freshId('m', plan.others);
  const { to, upTo } = plan.fill;
  const like = upTo ?? to;
  const usual = like.kind === 'headspace' ? like.headspaceMm : 5;
  const headspaceMm = Math.min(usual, Math.round(mouldGeometry(mould).heightMm * LEFT_UNDER_RIM * 2) / 2);
  const other: OtherMould = {
    id: mouldId,
    mould,
    copies: 1,
    to: { kind: 'headspace', headspaceMm },
    design: 'as-first',
    cut: slabCut(mould) ?? LOAF_CUT,
  };
  return { plan: { ...plan, others: [...plan.others, other] }, mouldId };
}

/**
 * Take a mould out of the batch, with the steps that are its own. With the last of them the batch is the
 * first one's again.
 */
export function removeMould(plan: Plan, mouldId: MouldId): Plan {
  const others = plan.others.filter((o) => o.id !== mouldId);
  const steps = plan.steps.filter((s) => mouldOfStep(s) !== mouldId);
  const { upTo, ...fill } = plan.fill;
  return { ...plan, others, steps, fill: upTo && others.length > 0 ? { ...fill, upTo } : fill };
}

export const setCopies = (plan: Plan, mouldId: MouldId, copies: number): Plan =>
  mouldId === FIRST
    ? { ...plan, fill: { ...plan.fill, copies } }
    : inOthers(plan, mouldId, (o) => ({ ...o, copies }));

/**
 * Another mould takes what a batch of given size leaves; then the first is filled as it is now, and no third
 * one takes it.
 */
export function takesRest(plan: Plan, mouldId: MouldId, upTo: NonNullable<Plan['fill']['upTo']>): Plan {
  const { upTo: _none, ...fill } = plan.fill;
  if (mouldId === FIRST) return { ...plan, fill, others: plan.others.map((o) => filledAgain(o)) };
  return {
    ...plan,
    fill: { ...plan.fill, upTo: plan.fill.upTo ?? upTo },
    others: plan.others.map((o) => (o.id === mouldId ? { ...o, to: { kind: 'left' } } : filledAgain(o))),
  };
}

const filledAgain = (o: OtherMould): OtherMould =>
  o.to.kind === 'left' ? { ...o, to: { kind: 'headspace', headspaceMm: 5 } } : o;

/**
 * The batch given a size, or (undefined) left to the moulds. Given, every mould stays as full as it is, up to
 * `upTo` the first one; left to the moulds, none can take what is left.
 */
export function sizeBatch(plan: Plan, to: Plan['fill']['to'], upTo: NonNullable<Plan['fill']['upTo']>): Plan {
  const { upTo: now, ...fill } = plan.fill;
  const given = hasGivenBatch({ fill: { ...fill, to } });
  if (plan.others.length === 0) return { ...plan, fill: { ...fill, to } };
  if (!given) return { ...plan, fill: { ...fill, to }, others: plan.others.map(filledAgain) };
  const keeps = hasGivenBatch(plan) ? now : upTo;
  return { ...plan, fill: keeps ? { ...fill, to, upTo: keeps } : { ...fill, to } };
}

/**
 * A mould that followed the first one's design gets its steps as its own: each pour right after the one it
 * followed. The amounts are parts of what is left, in the proportions that the first has. Layers of an ombre
 * stay in the pots they came from, but are no part of its run any more.
 */
export function ownDesign(plan: Plan, mouldId: MouldId): Plan {
  if (!isFollower(plan, mouldId)) return plan;
  const parts = new Map(layPlan(plan).stack.layers.map((l) => [l.pour.id, l.volumeMl] as const));
  const steps = plan.steps.flatMap((s): Step[] => {
    if (s.kind === 'finish' || s.kind === 'wait' || mouldOfStep(s) !== FIRST) return [s];
    const id = `${mouldId}${s.id}`;
    if (s.kind === 'tilt') {
      const { props: _props, ...tilt } = s;
      return [s, { ...tilt, id, mould: mouldId }];
    }
    if (s.kind !== 'pour') return [s, { ...s, id, mould: mouldId }];
    const { ombre: _ombre, ...pour } = s;
    const amount: Amount = { kind: 'rest', parts: Math.max(0.001, parts.get(s.id) ?? 0) };
    return [s, { ...pour, id, mould: mouldId, amount, locked: false }];
  });
  return { ...inOthers(plan, mouldId, (o) => ({ ...o, design: 'own' })), steps };
}

/** Give up a mould's own steps: it follows the first one's design again. */
export const asFirst = (plan: Plan, mouldId: MouldId): Plan => ({
  ...inOthers(plan, mouldId, (o) => ({ ...o, design: 'as-first' })),
  steps: plan.steps.filter((s) => mouldOfStep(s) !== mouldId),
});
