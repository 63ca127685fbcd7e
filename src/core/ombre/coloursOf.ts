import { remembered } from '../task/remembered.ts';
import { depositsIn } from '../plan/deposits.ts';
import { bodyOfHex, hexOfBody, type Body } from '../colour/body.ts';
import { bodyOfPot, paintboxOf } from '../look/paintbox.ts';
import type { SoapState } from '../look/state.ts';
import type { Mix } from '../plan/ombreSchema.ts';
import { heldKey } from '../plan/sources.ts';
import type { Plan } from '../plan/planSchema.ts';
import { secondPlan } from '../plan/second.ts';
import type { Top } from '../plan/stepSchema.ts';
import { shadesOf } from './shades.ts';

/** How every pot and every pour of a plan looks in one state, as "#rrggbb". */
export interface PlanColours {
  readonly pots: ReadonlyMap<string, string>;
  readonly pours: ReadonlyMap<string, string>;
}

/** The mix of each pour that belongs to an ombre, as wanted. */
export const gradedMixes = (plan: Plan): ReadonlyMap<string, Mix> =>
  new Map(plan.ombres.flatMap((o) => shadesOf(plan, o).map((s) => [s.pourId, s.mix] as const)));

/** A line between layers is all but neat: as so many times the usual dose looks. A judgement, no source. */
const NEAT = 1.6;

/** Of a colorant that is not described, g/kg. */
const USUAL_G_PER_KG = 8;

/** What every pot and every pour is made of, to look at; and every line between layers. */
export interface PlanBodies {
  readonly pots: ReadonlyMap<string, Body>;
  readonly pours: ReadonlyMap<string, Body>;
}

/** Coarse salt, dry. From memory. */
const SALT = '#f3f1ea';

/** What is put on top out of no pot looks the same in every state. */
function putOnTop({ id, way }: Top, bodies: Map<string, Body>): void {
  if (way.top === 'salt') bodies.set(id, bodyOfHex(SALT));
  else if (way.top === 'pieces' || way.top === 'straws') bodies.set(id, bodyOfHex(way.colour));
}

/**
 * Bodies of all pots and pours in a state. `graded` are the mixes of an ombre's pours: as wanted, or as they
 * come out after rounding. A pot that an ombre is poured from looks like the first of them.
 */
export function bodiesOf(plan: Plan, state: SoapState, graded: ReadonlyMap<string, Mix>): PlanBodies {
  const paints = paintboxOf(plan, state);
  const paintsOf = new Map(plan.pots.map((p) => [p.id, paintboxOf(plan, state, p.id)] as const));
  const pots = new Map(plan.pots.map((p) => [p.id, bodyOfPot(paintsOf.get(p.id) ?? paints, p)] as const));
  const pours = new Map<string, Body>();
  const seen = new Set<string>();
  for (const {
    key: pourId,
    pot: { id: pot },
  } of depositsIn(plan)) {
    const mix = graded.get(pourId);
    const body = mix ? (paintsOf.get(pot) ?? paints).bodyOf(mix) : (pots.get(pot) ?? paints.base);
    pours.set(pourId, body);
    if (mix && !seen.has(pot)) pots.set(pot, body);
    if (mix) seen.add(pot);
  }
  const second = secondPlan(plan, () => 1);
  for (const [id, body] of second ? bodiesOf(second, state, new Map()).pots : []) pots.set(id, body);
  for (const step of plan.steps) {
    if (step.kind === 'top') putOnTop(step, pours);
    if (step.kind !== 'mica') continue;
    const { colorant } = step;
    const usual = plan.colorants.find((c) => c.id === colorant)?.nature?.doseGPerKg ?? USUAL_G_PER_KG;
    pours.set(step.id, paints.bodyOf([{ colorant, doseGPerKg: NEAT * usual }]));
  }
  return { pots, pours };
}

const hexes = (bodies: ReadonlyMap<string, Body>): Map<string, string> => {
  const known = new Map<Body, string>();
  return new Map(
    [...bodies].map(([id, body]) => {
      const hex = known.get(body) ?? hexOfBody(body);
      known.set(body, hex);
      return [id, hex];
    }),
  );
};

export const coloursOfBodies = ({ pots, pours }: PlanBodies): PlanColours => ({
  pots: hexes(pots),
  pours: hexes(pours),
});

export const coloursOf = (
  plan: Plan,
  state: SoapState,
  graded: ReadonlyMap<string, Mix> = gradedMixes(plan),
): PlanColours => coloursOfBodies(bodiesOf(plan, state, graded));

/**
 * Colours by the names of deposits: a pour's, a pour's other pots', and what a pot fills a column's hole with
 * ("pot p1").
 */
export const depositColours = remembered(
  (colours: PlanColours): ReadonlyMap<string, string> =>
    new Map([...colours.pours, ...[...colours.pots].map(([id, hex]) => [heldKey(id), hex] as const)]),
);
