import { rememberedLast } from '../task/remembered.ts';
import type { PotId, StepId } from '../validate/ids.ts';
import { leadPot } from '../plan/sources.ts';
import type { Pour } from '../plan/stepSchema.ts';
import { rampOfDoses, type Ramp, type RampDose } from '../colour/ramp.ts';
import { paintboxOf, type Paintbox } from '../look/paintbox.ts';
import { plannedHeat, plannedState, type SoapState } from '../look/state.ts';
import type { Mix, Ombre } from '../plan/ombreSchema.ts';
import type { Plan } from '../plan/planSchema.ts';
import { doseIn } from './doseIn.ts';
import { poursOfOmbre, runsOf, type Run } from './runs.ts';
import { placesOn } from './strip.ts';

/** One layer of an ombre: where it stands between the ends, and what that takes. */
export interface Shade {
  readonly pourId: StepId;
  readonly pot: PotId;
  /** place in its ombre, 0 the first */
  readonly nth: number;
  readonly run: number;
  /** 0 the first colour, 1 the last */
  readonly t: number;
  readonly mix: Mix;
}

/** Two mixes stirred together: `t` of the second. Every colorant of either is named, in the first's order. */
export function between(from: Mix, to: Mix, t: number): Mix {
  const colorants = [...new Set([...from, ...to].map((m) => m.colorant))];
  return colorants.map((colorant) => ({
    colorant,
    doseGPerKg: (1 - t) * doseIn(from, colorant) + t * doseIn(to, colorant),
  }));
}

/** The colorants whose dose changes along an ombre. */
export const gradedIn = (ombre: Ombre): readonly string[] =>
  between(ombre.from, ombre.to, 0).flatMap((m) => {
    return doseIn(ombre.to, m.colorant) === m.doseGPerKg ? [] : [m.colorant];
  });

const startPot = ([first]: readonly Pour[]): string | undefined => first && leadPot(first);

/** The paints that an ombre is spaced with: in its state, in the batter of the pot that it begins with. */
export const paintsOfOmbre = (plan: Plan, ombre: Ombre): Paintbox =>
  paintboxOf(plan, spacedState(plan, ombre), startPot(poursOfOmbre(plan, ombre.id)));

/** The ramp between two mixes. */
export function rampBetween(paints: Paintbox, from: Mix, to: Mix): Ramp {
  return rampOfDoses(
    paints.base,
    between(from, to, 0).flatMap(({ colorant }): RampDose[] => {
      const pigment = paints.pigments.get(colorant);
      return pigment ? [{ pigment, fromGPerKg: doseIn(from, colorant), toGPerKg: doseIn(to, colorant) }] : [];
    }),
  );
}

/** The state an ombre is spaced in. */
const spacedState = (plan: Pick<Plan, 'steps'>, ombre: Ombre): SoapState =>
  plannedState(plan, ombre.spacedAt);

/** Places of a run's layers, in the order they are poured. */
function placesOfRun(ramp: Ramp, ombre: Ombre, { pours, rising, goesOn }: Run): readonly number[] {
  const places = placesOn(ramp, ombre.spacing, pours.length + (goesOn ? 1 : 0));
  const ordered = rising ? places : places.toReversed();
  return goesOn ? ordered.slice(1) : ordered;
}

/**
 * Grading costs milliseconds and does not change while a line is dragged: the last answer is kept with its
 * ombre.
 */
const kept = rememberedLast<readonly (readonly number[])[]>();

function placesOfRuns(plan: Plan, ombre: Ombre, runs: readonly Run[]): readonly (readonly number[])[] {
  const key = JSON.stringify([
    plan.batter,
    plan.colorants,
    plan.divide,
    plan.pots.map((p) => p.own),
    startPot(runs[0]?.pours ?? []),
    plannedHeat(plan),
    runs.map((r) => [r.pours.length, r.rising, r.goesOn]),
  ]);
  return kept(ombre, [key], () => {
    const ramp = rampBetween(paintsOfOmbre(plan, ombre), ombre.from, ombre.to);
    return runs.map((run) => placesOfRun(ramp, ombre, run));
  });
}

/** The shades of an ombre's layers, in the order they are poured. */
export function shadesOf(plan: Plan, ombre: Ombre): readonly Shade[] {
  const runs = runsOf(plan, ombre.id);
  const places = placesOfRuns(plan, ombre, runs);
  let nth = 0;
  return runs.flatMap((run, r) =>
    run.pours.map((pour, i): Shade => {
      const t = places[r]?.[i] ?? 0;
      nth += 1;
      return {
        pourId: pour.id,
        pot: leadPot(pour),
        nth: nth - 1,
        run: r,
        t,
        mix: between(ombre.from, ombre.to, t),
      };
    }),
  );
}
