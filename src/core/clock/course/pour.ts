import type { ActOf } from '../../day/act.ts';
import { liesOn } from '../../edit/clock.ts';
import { KNOW_HOW } from '../../pattern/knowHow.ts';
import { isOneJug, potsOf, roundOf } from '../../plan/sources.ts';
import type { Pour } from '../../plan/stepSchema.ts';
import { LIES_FLAT, stageToCarry } from '../../setting/carries.ts';
import { stageToKeepRidges } from '../../setting/ridge.ts';
import type { Stage } from '../../units/quantity.ts';
import { CUP_MIN, pourMinutes, SCENT_STIRS } from '../../plan/habits.ts';
import { aboutStep } from './between.ts';
import type { Draft, Landed } from './draft.ts';
import type { Jugs } from './jugs.ts';

/** Heaped, piped and rough batter can be worked up to here. Common practice, no source. */
export const WORKABLE: Stage = 4.5;

/** It pushes aside what is fluid: nothing has to carry it. */
const pushes = (pour: Pour): boolean => !liesOn(pour);

/** How thick the pots of a pour may be. */
function windowOf(step: Pour, landed: readonly Landed[]): { readonly least: Stage; readonly most: Stage } {
  if (step.pattern) {
    const { thinnest = 0, thickest } = KNOW_HOW[step.pattern.place.at];
    return { least: thinnest, most: thickest };
  }
  const { roughMm } = step;
  if (roughMm === undefined) return { least: 0, most: LIES_FLAT };
  const keeps = Math.max(...landed.map(({ layer }) => stageToKeepRidges(roughMm, layer.densityGMl)));
  return { least: Math.min(keeps, WORKABLE), most: WORKABLE };
}

const minutesOf = ({ habits }: Draft, step: Pour, landed: readonly Landed[]): number => {
  const { pattern } = step;
  const jugs = pattern && !isOneJug(pattern.place) ? pattern.rounds.length * roundOf(step).length : 1;
  return landed.reduce(
    (s, { mould, layer }) =>
      s + pourMinutes(habits, step.landing.how, layer.plannedG, mould.use.copies, jugs),
    pattern ? 0 : habits.tapMin,
  );
};

/** A pour: its pots made ready, what has to carry it or be fluid still, and the layers it makes. */
export function addPour(draft: Draft, jugs: Jugs, { id, step }: ActOf<'pour'>): void {
  const { plan, habits } = draft;
  const pots = potsOf(step);
  const landed = draft.landed(step);
  if (landed.length === 0) return;
  const places = landed.map((l) => l.place);
  const fluid = draft.fluidIn(places);
  const alone = !step.pattern && !step.ombre ? step.pot : undefined;
  // on its own colour there is nothing to break through to
  const by = draft.lastIn(places).filter((l) => alone === undefined || !draft.isOf(l, alone));
  const onFluid = pushes(step) && fluid.length > 0;
  const window = windowOf(step, landed);
  const rounds = step.pattern?.rounds.length ?? 1;
  const stage = Math.max(...landed.map(({ layer }) => stageToCarry(step.landing.fallMm, layer.densityGMl)));
  const prepares = pots.flatMap((pot) => jugs.prepares(pot, step));
  const cup = pots.flatMap((pot) => jugs.cups(pot));
  const lays = places.map((place) => draft.layerIn(place, alone));
  draft.add(
    {
      does: 'pour',
      // into the warm cupboard and out of it again
      minutes: minutesOf(draft, step, landed) + (plan.clock.warm ? habits.tiltMin : 0),
      pots: pots.map((p) => draft.numberOf(p)),
      window,
      lastAt: (rounds - 1) / rounds,
      lays,
      ...(step.atMin === undefined ? {} : { at: step.atMin }),
      ...(by.length > 0 && !onFluid ? { carried: { by, stage } } : {}),
      ...(onFluid ? { fluid: { layers: fluid, most: Math.max(LIES_FLAT, window.most) } } : {}),
      ...(prepares.length > 0 ? { prepares } : {}),
      ...(cup.length > 0
        ? { cup: { quickens: cup, minutes: CUP_MIN + habits.scentMin, adds: SCENT_STIRS } }
        : {}),
    },
    aboutStep(id, step),
  );
  // what is heaped by the spoon is thick enough to stay
  if (step.roughMm !== undefined) draft.sets(step);
}
