import { blendAll, landPours, layOnFluid, loosenPot, lyingOn } from '../edit/clock.ts';
import { pourNames } from '../plan/deposits.ts';
import type { Plan } from '../plan/planSchema.ts';
import type { Landing } from '../setting/landing.ts';
import { Run } from '../timing/run.ts';
import { FAILS } from '../timing/turns.ts';
import type { Millimetres, Minutes, Stage } from '../units/quantity.ts';
import { listed } from '../units/words.ts';
import type { PotId } from '../validate/ids.ts';
import type { Option } from './option.ts';
import type { Laid } from './course/draft.ts';
import type { PlanCourse } from './planCourse.ts';
import { planTimetable } from './timetable.ts';
import { stageFigure } from '../setting/stage.ts';

/** What is done to fewer is less trouble, but some of it is there with the first. A judgement. */
const FIRST_PART = 0.3;

/** One more, or fewer, of what is done to each; where all are meant it is called so. */
interface Done {
  readonly lever: Option['lever'];
  readonly all: readonly string[];
  readonly label: (ids: readonly string[], all: boolean) => string;
  readonly why: string;
  /** of doing it to all */
  readonly cost: number;
  readonly apply: (plan: Plan, ids: readonly string[]) => Plan;
}

function doneTo(done: Done, ids: readonly string[]): Option {
  const { lever, all, label, why, cost, apply } = done;
  return {
    lever,
    label: label(ids, ids.length === all.length),
    why,
    cost: cost * (FIRST_PART + ((1 - FIRST_PART) * ids.length) / all.length),
    apply: (plan) => apply(plan, ids),
    each: { ids, alone: (fewer) => doneTo(done, fewer) },
  };
}

/** All of them, and some of them alone where those are others; none of what is empty. */
const choicesOf = (done: Done, some: readonly (readonly string[])[]): readonly Option[] =>
  [done.all, ...some]
    .map((ids) => done.all.filter((id) => ids.includes(id)))
    .filter(
      (ids, i, all) =>
        ids.length > 0 &&
        all.findIndex((o) => o.length === ids.length && o.every((x) => ids.includes(x))) === i,
    )
    .map((ids) => doneTo(done, ids));

const pots = (plan: Plan, ids: readonly string[]): string => {
  const letters = plan.pots.filter((p) => ids.includes(p.id)).map((p) => p.letter);
  return `pot${letters.length > 1 ? 's' : ''} ${listed(letters)}`;
};

/** "pour 3", "pours 2, 3 and 5". */
function pours(names: ReadonlyMap<string, string>, ids: readonly string[]): string {
  const numbers = ids.map((id) => (names.get(id) ?? '').replace('pour ', ''));
  return `pour${numbers.length > 1 ? 's' : ''} ${listed(numbers)}`;
}

const LANDS: readonly {
  readonly how: Landing['how'];
  readonly all: string;
  readonly some: (which: string) => string;
  readonly why: string;
}[] = [
  {
    how: 'spatula',
    all: 'Pour over a spatula',
    some: (which) => `Over a spatula: ${which}`,
    why: 'it lands soft, so that a thinner layer carries it',
  },
  {
    how: 'spoon',
    all: 'Spoon the layers on',
    some: (which) => `Spoon on ${which}`,
    why: 'the softest landing there is: a layer carries it early',
  },
];

/** How pours land: all that lie on others. */
export function landings(plan: Plan): readonly Option[] {
  const names = pourNames(plan);
  const lies = lyingOn(plan);
  return LANDS.flatMap(({ how, all, some, why }) => {
    const ids = lies.filter((s) => s.landing.how !== how).map((s) => s.id);
    return choicesOf(
      {
        lever: 'landing',
        all: ids,
        label: (of, whole) => (whole ? all : some(pours(names, of))),
        why,
        cost: 1,
        apply: (p, of) => landPours(p, of, how),
      },
      [],
    );
  });
}

/** A border that is rougher than this is no layer's, mm. */
const ROUGHEST: Millimetres = 5;

/** How rough borders are at most, everything laid as it is timed. */
const roughest = (plan: Plan, laid: Laid): Millimetres =>
  Math.max(0, ...(planTimetable(plan, laid)?.acts.map((a) => a.blurMm ?? 0) ?? []));

/** Pours that are waited for, laid on while what is below is fluid. */
export function fluids(plan: Plan, laid: Laid, { course, acts }: PlanCourse): readonly Option[] {
  const names = pourNames(plan);
  const run = new Run(course);
  run.go();
  const waited = acts.flatMap(({ step }, i) =>
    step?.kind === 'pour' && !step.onFluid && course.acts[i]?.carried && (run.waited[i] ?? 0) > WAITS
      ? [step.id]
      : [],
  );
  if (waited.length === 0) return [];
  const apply = (p: Plan, ids: readonly string[]): Plan => layOnFluid(p, ids, true);
  const rough = roughest(apply(plan, waited), laid);
  if (rough > ROUGHEST) return [];
  return choicesOf(
    {
      lever: 'fluid',
      all: waited,
      label: (ids) => `Lay ${pours(names, ids)} on while what is below is fluid`,
      why: `nothing is waited for; the border is rough by some ${Math.max(1, Math.round(rough))} mm`,
      cost: 3,
      apply,
    },
    [],
  );
}

const BLENDS: readonly Stage[] = [1.4, 1.7, 2, 2.2, 2.5];

/** Some jugs alone are blended to these: the middle of what all are. */
const SOME_TO: readonly Stage[] = [1.7, 2];

/** A pot is blended to no nearer than this under what its technique takes. */
const ROOM: Stage = 0.2;

/** Hands that are free for less than this do not wait. */
const WAITS: Minutes = 0.3;

/** The pots that can be blended on to a stage: in every use they may be so thick. */
function blendable({ course, pots: all }: PlanCourse, to: Stage): readonly PotId[] {
  return all.flatMap(({ pot, ofSecond }, p) => {
    const uses = course.acts.filter((a) => a.window && a.pots.includes(p));
    return !ofSecond && uses.length > 0 && uses.every((a) => (a.window?.most ?? 0) - ROOM + 1e-9 >= to)
      ? [pot.id]
      : [];
  });
}

/** The pots whose layers are waited for, as the plan is; and those that are poured once. */
function waitedFor({ course, pots: all }: PlanCourse): readonly PotId[] {
  const run = new Run(course);
  run.go();
  const laidBy = new Map(course.acts.flatMap((a) => (a.lays ?? []).map((l) => [l, a.pots] as const)));
  const places = course.acts.flatMap((a, i) =>
    (run.waited[i] ?? 0) > WAITS ? (a.carried?.by ?? []).flatMap((l) => laidBy.get(l) ?? []) : [],
  );
  return places.flatMap((p) => all[p]?.pot.id ?? []);
}

const pouredOnce = ({ course, pots: all }: PlanCourse): readonly PotId[] =>
  all.flatMap(({ pot }, p) =>
    course.acts.filter((a) => a.window && a.pots.includes(p)).length === 1 ? [pot.id] : [],
  );

/** Pots that are blended on right before they are poured. */
export function blends(plan: Plan, of: PlanCourse): readonly Option[] {
  const some = [waitedFor(of), pouredOnce(of)];
  return BLENDS.flatMap((to) =>
    choicesOf(
      {
        lever: 'blend',
        all: blendable(of, to),
        label: (ids, whole) => `Blend ${whole ? 'each pot' : pots(plan, ids)} on to ${stageFigure(to)}`,
        why: 'thick as it lands, it carries the next one sooner; the jugs that wait stay thin',
        cost: 1.5,
        apply: (p, ids) => blendAll(p, ids, to),
      },
      SOME_TO.includes(to) ? some : [],
    ),
  );
}

/** The pots that are too thick, as the plan is. */
function tooThick({ course, pots: all }: PlanCourse): readonly PotId[] {
  const run = new Run(course);
  run.go();
  const places = course.acts.flatMap((a, i) => (((run.fails[i] ?? 0) & FAILS.tooThick) !== 0 ? a.pots : []));
  return places.flatMap((p) => all[p]?.pot.id ?? []);
}

/** Pots that are stirred loose as they are poured. */
export const loosenings = (plan: Plan, of: PlanCourse): readonly Option[] =>
  of.pots.length > 1
    ? choicesOf(
        {
          lever: 'loosen',
          all: plan.pots.filter((p) => !p.loosened).map((p) => p.id),
          label: (ids, whole) =>
            whole
              ? 'Stir each jug loose as it is poured'
              : `Stir ${pots(plan, ids)} loose as ${ids.length > 1 ? 'they are' : 'it is'} poured`,
          why: 'about half a stage thinner for a minute or two',
          cost: 2,
          apply: (p, ids) => ids.reduce((q, id) => loosenPot(q, id, true), p),
        },
        [tooThick(of)],
      )
    : [];
