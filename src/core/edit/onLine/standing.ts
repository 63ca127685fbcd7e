import { isLevel, LEVEL } from '../../mould/tilt.ts';
import { layerUnder, scrapesOf } from '../../plan/scrapes.ts';
import type { Plan } from '../../plan/planSchema.ts';
import type { Step } from '../../plan/stepSchema.ts';
import type { StepId } from '../../validate/ids.ts';
import { moveStep, shiftPour } from '../pours.ts';
import { repot } from '../repot.ts';

/** Between which steps of a plan: right before this one; after all of them where it is undefined. */
export type Gap = StepId | undefined;

/** How many steps come before a gap. */
export const gapIndex = (steps: readonly Step[], gap: Gap): number => {
  const at = steps.findIndex((s) => s.id === gap);
  return at < 0 ? steps.length : at;
};

const NOTHING = 'nothing is poured there yet';

const poursIn = (steps: readonly Step[]): number => steps.filter((s) => s.kind === 'pour').length;

/** How the mould stands after these steps. */
export function tiltAfter(steps: readonly Step[]): typeof LEVEL {
  const turn = steps.findLast((s) => s.kind === 'tilt');
  return turn?.kind === 'tilt' ? { rollDeg: turn.rollDeg, pitchDeg: turn.pitchDeg } : LEVEL;
}

function tiltStands(before: readonly Step[], after: readonly Step[], fluid: boolean): string | undefined {
  const [passed, next] = [before, after].map(poursIn) as [number, number];
  if (next === 0) {
    if (passed === 0) return 'nothing is poured that it would be for';
    return fluid && !isLevel(tiltAfter(before)) ? undefined : 'nothing is poured after it';
  }
  const since = before.slice(before.findLastIndex((s) => s.kind === 'pour') + 1);
  const until = after.slice(
    0,
    after.findIndex((s) => s.kind === 'pour'),
  );
  return [...since, ...until].some((s) => s.kind === 'tilt')
    ? `pour ${passed + 1} has its tilt already: that one is changed`
    : undefined;
}

/**
 * Why something cannot stand between what is done before it and after it; undefined where it can. `fluid`: a
 * tilt that sets the mould level while all is fluid.
 */
export function whyNotBetween(
  before: readonly Step[],
  after: readonly Step[],
  what: Pick<Step, 'kind'> & { readonly fluid?: true | undefined },
): string | undefined {
  const { kind } = what;
  if (kind === 'finish')
    return after.some((s) => s.kind !== 'finish') ? 'it comes once all else is done' : undefined;
  if (kind === 'ridges') return before.length > 0 ? 'they are filled before anything else' : undefined;
  if (before.some((s) => s.kind === 'finish')) return 'the loaf is left to itself by then';
  if (after.some((s) => s.kind === 'ridges')) return 'the hollows of the mat are filled before anything else';
  const any = poursIn(before) > 0;
  switch (kind) {
    case 'pour':
      return before.some((s) => s.kind === 'top') ? 'the top is worked by then' : undefined;
    case 'tilt':
      return tiltStands(before, after, what.fluid === true);
    case 'wait': {
      if (!any) return NOTHING;
      if (after.every((s) => s.kind === 'finish')) return 'nothing comes after it that would wait';
      return before.at(-1)?.kind === 'wait' || after[0]?.kind === 'wait'
        ? 'there is a wait already'
        : undefined;
    }
    case 'top':
    case 'pull':
      if (!any) return NOTHING;
      return poursIn(after) > 0 ? 'it comes once all is poured' : undefined;
    case 'stroke':
    case 'wire':
    case 'scrape':
    case 'mica':
      return any ? undefined : NOTHING;
  }
}

/** A step put right before another one, or after all. */
export function intoGap(plan: Plan, stepId: StepId, gap: Gap): Plan {
  const step = plan.steps.find((s) => s.id === stepId);
  if (!step || gap === stepId) return plan;
  const others = plan.steps.filter((s) => s !== step);
  const moved = { ...plan, steps: others.toSpliced(gapIndex(others, gap), 0, step) };
  return step.kind === 'pour' && step.ombre ? repot(moved, step.ombre.id) : moved;
}

/** Steps that cannot stand where they do, each with the reason; and layers that would be scraped twice. */
function amiss(plan: Plan): ReadonlyMap<StepId, string> {
  const { steps } = plan;
  const found = new Map<StepId, string>();
  const scraped = new Set([...scrapesOf(plan).values()].map((s) => s.id));
  for (const [i, step] of steps.entries()) {
    const why = whyNotBetween(steps.slice(0, i), steps.slice(i + 1), step);
    if (why !== undefined) found.set(step.id, why);
    else if (step.kind === 'scrape' && !scraped.has(step.id))
      found.set(step.id, 'that layer is scraped already');
  }
  return found;
}

/** What is done to a layer goes with it. */
const ofLayer = (plan: Plan, stepId: StepId): readonly StepId[] =>
  plan.steps
    .filter((s) => (s.kind === 'scrape' || s.kind === 'mica') && layerUnder(plan, s)?.id === stepId)
    .map((s) => s.id);

/**
 * A step moved to a gap, and what is done to its layer with it; or why it cannot be: it could not stand
 * there, or something else could not stand any more where it does.
 */
export function moved(
  plan: Plan,
  stepId: StepId,
  gap: Gap,
): { readonly plan: Plan } | { readonly why: string } {
  const own = ofLayer(plan, stepId);
  if (gap === stepId || (gap !== undefined && own.includes(gap))) return { plan };
  let next = intoGap(plan, stepId, gap);
  for (const id of own) next = intoGap(next, id, gap);
  const before = amiss(plan);
  const after = amiss(next);
  const itself = after.get(stepId);
  if (itself !== undefined) return { why: itself };
  const other = [...after].find(([id]) => !before.has(id));
  return other ? { why: `what comes then could not stand: ${other[1]}` } : { plan: next };
}

/** A step one place earlier (-1) or later (+1); a pour among the pours. Or why it stays. */
export function shifted(
  plan: Plan,
  stepId: StepId,
  by: 1 | -1,
): { readonly plan: Plan } | { readonly why: string } {
  const { steps } = plan;
  const at = steps.findIndex((s) => s.id === stepId);
  const step = steps[at];
  if (!step) return { plan };
  const among = step.kind === 'pour' ? steps.filter((s) => s.kind === 'pour') : steps;
  const target = among[among.indexOf(step) + by];
  if (!target) return { why: by < 0 ? 'nothing comes before it' : 'nothing comes after it' };
  const next = step.kind === 'pour' ? shiftPour(plan, stepId, by) : moveStep(plan, stepId, target.id);
  const why = amiss(next).get(stepId);
  return why === undefined || amiss(plan).has(stepId) ? { plan: next } : { why };
}
