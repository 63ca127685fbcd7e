import type { MouldId } from '../validate/ids.ts';
import { potBesidePours } from '../plan/held.ts';
import { potsOf } from '../plan/sources.ts';
import { topShares } from '../fill/topShares.ts';
import { FIRST, hasGivenBatch, isFollower, mouldOfStep, partOf } from '../plan/moulds.ts';
import type { OtherMould } from '../plan/otherMould.ts';
import type { Plan } from '../plan/planSchema.ts';
import type { Step } from '../plan/stepSchema.ts';
import { ok, type Result } from '../result/result.ts';

/**
 * The steps of one mould put back among those of the others, which keep their order. What stood between two
 * of its steps stands after as many of those that stayed as before; what is new stands right after the one it
 * follows.
 */
function among(all: readonly Step[], before: readonly Step[], after: readonly Step[]): Step[] {
  const own = new Set(before.map((s) => s.id));
  const kept = new Set(after.map((s) => s.id).filter((id) => own.has(id)));
  const result: Step[] = [];
  const rest = [...after];
  const take = (): void => {
    // one that stayed, and what is new after it
    const [first] = rest.splice(0, 1);
    if (first) result.push(first);
    while (rest[0] && !own.has(rest[0].id)) result.push(...rest.splice(0, 1));
  };
  while (rest[0] && !own.has(rest[0].id)) result.push(...rest.splice(0, 1));
  for (const step of all) {
    if (!own.has(step.id)) result.push(step);
    else if (kept.has(step.id)) take();
  }
  return [...result, ...rest];
}

/** A step that is new in a mould names it, and has an id that no other step has. */
function naming(steps: readonly Step[], mouldId: MouldId, taken: ReadonlySet<string>): Step[] {
  const ids = new Set(taken);
  return steps.map((s) => {
    if (s.kind === 'finish') return s;
    let { id } = s;
    for (let n = 1; ids.has(id); n += 1) id = `${mouldId}${s.id}${n > 1 ? `-${n}` : ''}`;
    ids.add(id);
    if (id === s.id && mouldOfStep(s) === mouldId) return s;
    const { mould: _mould, ...rest } = s;
    return mouldId === FIRST ? { ...rest, id } : { ...rest, id, mould: mouldId };
  });
}

/** The steps of the whole plan after one mould's were changed. */
function stepsAfter(plan: Plan, mouldId: MouldId, before: Plan, after: Plan): Step[] {
  if (after.steps === before.steps) return plan.steps;
  const own = new Set(before.steps.map((s) => s.id));
  const elsewhere = new Set(plan.steps.filter((s) => !own.has(s.id)).map((s) => s.id));
  return among(plan.steps, before.steps, naming(after.steps, mouldId, elsewhere));
}

/**
 * The same pots, and those that another mould is poured from although this one has no use for them any more.
 */
function potsAfter(plan: Plan, mouldId: MouldId, after: Plan): Plan['pots'] {
  const kept = new Set(after.pots.map((p) => p.id));
  const needed = new Set(
    plan.steps.flatMap((s) => {
      if (mouldOfStep(s) === mouldId) return [];
      if (s.kind === 'pour') return potsOf(s);
      return potBesidePours(s) ?? [];
    }),
  );
  const missing = plan.pots.filter((p) => needed.has(p.id) && !kept.has(p.id));
  return missing.length > 0 ? [...after.pots, ...missing] : after.pots;
}

/** How full a mould is after its part was changed: the first's in the plan's fill, another's in its own. */
function firstFill(plan: Plan, before: Plan, after: Plan): Plan['fill'] {
  const { to, upTo: _none, ...fill } = after.fill;
  if (to === before.fill.to) return { ...fill, ...pick(plan.fill) };
  // of a batch of given size only how full this mould gets was changed
  return hasGivenBatch(plan) && (to.kind === 'headspace' || to.kind === 'height')
    ? { ...fill, to: plan.fill.to, upTo: to }
    : { ...fill, to };
}

const pick = ({ to, upTo }: Plan['fill']): Pick<Plan['fill'], 'to' | 'upTo'> =>
  upTo ? { to, upTo } : { to };

const otherAfter = (other: OtherMould, before: Plan, after: Plan): OtherMould => {
  const { to } = after.fill;
  const fills = to !== before.fill.to && (to.kind === 'headspace' || to.kind === 'height');
  return {
    ...other,
    mould: after.mould,
    copies: after.fill.copies,
    cut: after.cut,
    to: fills ? to : other.to,
  };
};

/** What was changed of the part that is held back for this mould, for all of them. */
function topAfter(plan: Plan, share: number, before: Plan, after: Plan): Plan['fill']['top'] {
  if (after.fill.top === before.fill.top || share <= 0) return plan.fill.top;
  return after.fill.top.map((t) => ({ ...t, massG: Math.round((t.massG / share) * 10) / 10 }));
}

/** The whole plan after one mould's part of it was changed. */
function wholeAfter(plan: Plan, mouldId: MouldId, before: Plan, after: Plan, share: number): Plan {
  const isFirst = mouldId === FIRST;
  const others = plan.others.map((o) => (o.id === mouldId ? otherAfter(o, before, after) : o));
  // pours, pots and all that comes with them are changed where they are poured
  if (isFollower(plan, mouldId)) return { ...plan, others };
  return {
    ...after,
    mould: isFirst ? after.mould : plan.mould,
    cut: isFirst ? after.cut : plan.cut,
    fill: {
      ...(isFirst ? firstFill(plan, before, after) : plan.fill),
      overagePercent: after.fill.overagePercent,
      top: topAfter(plan, share, before, after),
    },
    steps: stepsAfter(plan, mouldId, before, after),
    pots: potsAfter(plan, mouldId, after),
    others,
  };
}

/**
 * An edit of a plan with one mould made to one mould of a plan: its own sizes, fill, steps and cut; pots,
 * recipe and all else are the whole plan's. The steps of a mould that follows the first one's design are not
 * its own: what is done to them is lost.
 */
export const inMould =
  (mouldId: MouldId, edit: (part: Plan) => Plan | Result<Plan>) =>
  (plan: Plan): Plan | Result<Plan> => {
    if (plan.others.length === 0) return edit(plan);
    const share = topShares(plan).get(mouldId) ?? 0;
    const before = partOf(plan, mouldId, share);
    const outcome = edit(before);
    if ('ok' in outcome)
      return outcome.ok ? ok(wholeAfter(plan, mouldId, before, outcome.value, share)) : outcome;
    return outcome === before ? plan : wholeAfter(plan, mouldId, before, outcome, share);
  };
