import type { ActOf } from '../../day/act.ts';
import { liesOn } from '../../edit/clock.ts';
import { LANDS, pourWindow } from '../../pattern/windows.ts';
import type { StageWindow } from '../../setting/window.ts';
import { potsOf, roundOf } from '../../plan/sources.ts';
import { isOneJug } from '../../ways/ways.ts';
import type { Pour } from '../../plan/stepSchema.ts';
import { stageToCarryWithin, stageToStayApart } from '../../setting/blur.ts';
import { stageToKeepRidges } from '../../setting/ridge.ts';
import type { CourseAct } from '../../timing/course.ts';
import { SOFT } from '../../timing/estimates.ts';
import { CUP_MIN, FINE_MM, pourMinutes, SCENT_STIRS } from '../../plan/habits.ts';
import { aboutStep } from './between.ts';
import type { CourseDraft, Landed } from './draft.ts';
import type { Jugs } from './jugs.ts';

/** It pushes aside what is fluid: nothing has to carry it. */
const pushes = (pour: Pour): boolean => !liesOn(pour);

/** How thick the pots of a pour may be. */
function windowOf({ plan }: CourseDraft, step: Pour, landed: readonly Landed[]): StageWindow {
  const { roughMm, ombre } = step;
  const inOnePot = plan.ombres.some((o) => o.id === ombre?.id && o.school === 'one-pot');
  if (step.pattern || roughMm === undefined) return pourWindow(step, inOnePot);
  const { most } = LANDS.spoon;
  const keeps = Math.max(...landed.map(({ layer }) => stageToKeepRidges(roughMm, layer.densityGMl)));
  return { least: Math.min(keeps, most), most };
}

/**
 * What lies below has to bear a pour, to within the blur that the maker takes; or merely not to run together
 * with it, where that is laid on while it is fluid.
 */
function carriedOn(draft: CourseDraft, step: Pour, landed: readonly Landed[]): Pick<CourseAct, 'carried'> {
  const { blurMm = FINE_MM } = draft.plan.clock;
  const alone = !step.pattern && !step.ombre ? step.pot : undefined;
  const on = landed.flatMap(({ layer, place }) =>
    draft
      .lastIn([place])
      // on its own colour there is nothing to break through to
      .filter((last) => alone === undefined || !draft.isOf(last, alone))
      .map((last) => {
        const meets = {
          ...step.landing,
          densityGMl: layer.densityGMl,
          depthMm: draft.fluidDepth(place),
        };
        const apart = stageToStayApart(Math.min(layer.riseMm, draft.thickness(last)), meets);
        const stage = Math.max(apart, stageToCarryWithin(blurMm, meets));
        return { last, meets, stage, breaks: (step.onFluid ? apart : stage) - SOFT };
      }),
  );
  const [first] = on.toSorted((a, b) => b.meets.depthMm - a.meets.depthMm);
  if (!first) return {};
  const most = (of: 'stage' | 'breaks'): number => Math.max(...on.map((o) => o[of]));
  return {
    carried: {
      by: on.map((o) => o.last),
      breaks: most('breaks'),
      meets: first.meets,
      ...(step.onFluid ? {} : { stage: most('stage') }),
    },
  };
}

const minutesOf = ({ habits }: CourseDraft, step: Pour, landed: readonly Landed[]): number => {
  const { pattern } = step;
  const jugs = pattern && !isOneJug(pattern.place) ? pattern.rounds.length * roundOf(step).length : 1;
  return landed.reduce(
    (s, { mould, layer }) =>
      s + pourMinutes(habits, step.landing.how, layer.plannedG, mould.use.copies, jugs),
    pattern ? 0 : habits.tapMin,
  );
};

/** A pour: its pots made ready, what has to carry it or be fluid still, and the layers it makes. */
export function addPour(draft: CourseDraft, jugs: Jugs, { id, step }: ActOf<'pour'>): void {
  const { plan, habits } = draft;
  const pots = potsOf(step);
  const landed = draft.landed(step);
  if (landed.length === 0) return;
  const places = landed.map((l) => l.place);
  const fluid = draft.fluidIn(places);
  const alone = !step.pattern && !step.ombre ? { plain: step.pot } : {};
  const pushesAside = pushes(step) && fluid.length > 0;
  const window = windowOf(draft, step, landed);
  const carried = pushesAside ? {} : carriedOn(draft, step, landed);
  const rounds = step.pattern?.rounds.length ?? 1;
  const prepares = pots.flatMap((pot) => jugs.prepares(pot, step));
  const cup = pots.flatMap((pot) => jugs.cups(pot));
  const lays = landed.map(({ layer, place }) =>
    draft.layerIn(place, { ...alone, fromMm: layer.offset - layer.riseMm, toMm: layer.offset }),
  );
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
      ...carried,
      ...(pushesAside
        ? { fluid: { layers: fluid, least: 0, most: Math.max(LANDS.stream.most, window.most) } }
        : {}),
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
