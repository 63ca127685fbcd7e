import { blendAll, inPortions, landAll, setClock } from '../edit/clock.ts';
import { jugEach } from '../edit/jugEach.ts';
import { layPlan } from '../fill/layPlan.ts';
import type { Plan } from '../plan/planSchema.ts';
import { pouredPots } from '../plan/sources.ts';
import { finish } from '../task/task.ts';
import { Normals } from '../timing/normals.ts';
import { sampling } from '../timing/odds.ts';
import type { Stage } from '../units/quantity.ts';
import { courseOf } from './courseOf.ts';
import { SEED } from './outlook.ts';

/** A plan that holds so often is left as it is. A judgement. */
const HOLDS = 0.8;

const TRIES = 300;

/** Pots are blended on to about here right before they are poured. Judgements. */
const TO: Stage = 2;
const TO_FRESH: Stage = 1.7;

const blended = (plan: Plan, to: Stage): Plan => blendAll(plan, [...pouredPots(plan)], to);

/** How a plan is made to hold, the least trouble first. */
const MEANS: readonly { readonly says: string; readonly apply: (plan: Plan) => Plan }[] = [
  { says: 'the layers are spooned on', apply: (p) => landAll(p, 'spoon') },
  {
    says: 'each layer has its own jug and is blended on to medium right before it is poured',
    apply: (p) => blended(jugEach(p), TO),
  },
  {
    says: 'the layers are spooned on, and the mould stands in a warm cupboard between pours',
    apply: (p) => setClock(landAll(p, 'spoon'), { warm: true }),
  },
  {
    says: 'each layer is a portion with lye of its own, made as soon as the one before is carried, and blended on a little',
    apply: (p) => blended(inPortions(jugEach(p)), TO_FRESH),
  },
];

function holdsIn(plan: Plan): number {
  const of = courseOf(plan, layPlan(plan));
  return of ? finish(sampling(of.course, new Normals(SEED, TRIES), 'feel')).whole : 1;
}

/**
 * A plan that is begun, timed so that it holds: as it is, or by the means that cost least trouble; with what
 * was done, in its notes.
 */
export function madeToHold(plan: Plan): Plan {
  const now = holdsIn(plan);
  if (now >= HOLDS) return plan;
  const tried = MEANS.map(({ says, apply }) => {
    const changed = apply(plan);
    return {
      plan: { ...changed, notes: `So that it holds in time, ${says}: see Clock.` },
      holds: holdsIn(changed),
    };
  });
  const best = tried.find((t) => t.holds >= HOLDS) ?? tried.toSorted((a, b) => b.holds - a.holds)[0];
  return best && best.holds > now ? best.plan : plan;
}
