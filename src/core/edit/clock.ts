import { withWordsOf } from '../plan/words.ts';
import type { Moment } from '../batter/moments.ts';
import { LANDING_FALL_MM, mapPour } from './pours.ts';
import { updateFragrance } from './additions.ts';
import { setTemperatures } from './batter.ts';
import { freshId } from './freshId.ts';
import { recipeOf } from '../batter/recipe.ts';
import type { KnownRate } from '../batter/schema.ts';
import { waterAs } from '../batter/water.ts';
import type { Pace, PlanClock, Reading } from '../plan/clockSchema.ts';
import type { Plan } from '../plan/planSchema.ts';
import { isOneJug } from '../ways/ways.ts';
import type { Pour } from '../plan/stepSchema.ts';
import type { Landing } from '../setting/landing.ts';
import type { Celsius, Minutes, Percent, Stage } from '../units/quantity.ts';
import type { PotId, StepId } from '../validate/ids.ts';

type Change<T> = { readonly [K in keyof T]?: T[K] | undefined };

/** With these fields otherwise; one that is set to nothing is left out. */
const changed = <T extends object>(was: T, change: Change<T>): T =>
  Object.fromEntries(Object.entries({ ...was, ...change }).filter(([, value]) => value !== undefined)) as T;

/** What the timing rests on: a field that is set to nothing is estimated again, or as usual. */
export const setClock = (plan: Plan, change: Change<PlanClock>): Plan => ({
  ...plan,
  clock: changed(plan.clock, change),
});

export const setPace = (plan: Plan, change: Change<Pace>): Plan =>
  setClock(plan, { pace: changed(plan.clock.pace ?? {}, change) });

export const setPourPace = (plan: Plan, how: Landing['how'], pourMin: Minutes | undefined): Plan =>
  setPace(plan, { pourMin: changed(plan.clock.pace?.pourMin ?? {}, { [how]: pourMin }) });

/** A pour is kept at this minute, or is made as soon as it can be. */
export const keepAt = (plan: Plan, stepId: StepId, atMin: Minutes | undefined): Plan =>
  mapPour(plan, stepId, (p) => changed(p, { atMin }));

export const keepNone = (plan: Plan): Plan => ({
  ...plan,
  steps: plan.steps.map((s) => (s.kind === 'pour' ? changed(s, { atMin: undefined }) : s)),
});

export const blendPot = (plan: Plan, id: PotId, blendTo: Stage | undefined): Plan => ({
  ...plan,
  pots: plan.pots.map((p) => (p.id === id ? changed(p, { blendTo }) : p)),
});

export const loosenPot = (plan: Plan, id: PotId, loosened: boolean): Plan => ({
  ...plan,
  pots: plan.pots.map((p) => (p.id === id ? changed(p, { loosened: loosened ? true : undefined }) : p)),
});

/** When every fragrance goes in. */
export const scentAt = (plan: Plan, moment: Moment): Plan =>
  plan.batter.fragrances.reduce(
    (p, f) =>
      updateFragrance(p, f.id, (was) => ({
        ...was,
        doses: was.doses.map(({ fromPour: _from, ...d }) => ({ ...d, moment })),
      })),
    plan,
  );

/** A pour that lies down on what has set. */
export const liesOn = ({ pattern }: Pour): boolean => pattern === undefined || isOneJug(pattern.place);

/** Every pour that lies down on another. */
export const lyingOn = ({ steps }: Pick<Plan, 'steps'>): readonly Pour[] =>
  steps
    .filter((s) => s.kind === 'pour')
    .filter(liesOn)
    .slice(1);

/** How these pours land. */
export const landPours = (plan: Plan, ids: readonly StepId[], how: Landing['how']): Plan => ({
  ...plan,
  steps: plan.steps.map((s) =>
    s.kind === 'pour' && ids.includes(s.id) ? { ...s, landing: { how, fallMm: LANDING_FALL_MM[how] } } : s,
  ),
});

/** These pours are laid on what is fluid below, or wait until it bears them. */
export const layOnFluid = (plan: Plan, ids: readonly StepId[], onFluid: boolean): Plan => ({
  ...plan,
  steps: plan.steps.map((s) =>
    s.kind === 'pour' && ids.includes(s.id) ? changed(s, { onFluid: onFluid ? true : undefined }) : s,
  ),
});

/** How every pour that lies down on another lands. */
export const landAll = (plan: Plan, how: Landing['how']): Plan =>
  landPours(
    plan,
    lyingOn(plan).map((s) => s.id),
    how,
  );

/** Portions made in turn from their own lye; a scent for the whole batch is in their oils then. */
export const inPortions = (plan: Plan): Plan => ({
  ...plan,
  divide: { kind: 'before-lye', lye: 'jug-by-jug' },
  batter: {
    ...plan.batter,
    fragrances: plan.batter.fragrances.map((f) => ({
      ...f,
      doses: f.doses.map((d) =>
        d.moment === 'emulsion' || d.moment === 'trace' ? { ...d, moment: 'oils' as const } : d,
      ),
    })),
  },
});

/** Oils and lye at this temperature. */
export const mixAt = (plan: Plan, celsius: Celsius): Plan =>
  setTemperatures(setClock(plan, { batterC: undefined }), { oilsC: celsius, lyeC: celsius });

/** As much water as makes a lye of this strength, said in the school that the plan has. */
export function lyeOf(plan: Plan, percent: Percent): Plan {
  const water = { school: 'lye-concentration', value: percent } as const;
  const batter = { ...plan.batter, water };
  const schools = recipeOf(batter)?.schools;
  return {
    ...plan,
    batter: { ...batter, water: schools ? waterAs(schools, plan.batter.water.school) : water },
  };
}

/** These pots are blended on to a stage right before they are poured. */
export const blendAll = (plan: Plan, ids: readonly PotId[], blendTo: Stage | undefined): Plan =>
  ids.reduce((p, id) => blendPot(p, id, blendTo), plan);

/** All that is piped is blended on to this stage. */
export const blendPiping = (plan: Plan, blendTo: Stage): Plan =>
  plan.second
    ? { ...plan, second: { ...plan.second, pots: plan.second.pots.map((p) => ({ ...p, blendTo })) } }
    : plan;

/** Another way of doing the plan, found of it as it is: its words stay. */
export const takeWay = (plan: Plan, way: Plan): Plan => ({
  ...withWordsOf(way, plan),
  id: plan.id,
});

/** So thick a pot was at a minute, or its layer; each has one reading at each minute. */
export function addReading(plan: Plan, reading: Omit<Reading, 'id'>): Plan {
  const readings = (plan.clock.readings ?? []).filter(
    (r) => r.pot !== reading.pot || r.min !== reading.min || r.lying !== reading.lying,
  );
  return setClock(plan, {
    readings: [...readings, { ...reading, id: freshId('r', readings) }].toSorted((a, b) => a.min - b.min),
  });
}

export const removeReading = (plan: Plan, id: string): Plan => {
  const readings = plan.clock.readings?.filter((r) => r.id !== id);
  return setClock(plan, { readings: readings?.length ? readings : undefined });
};

/** Whether a rate ('recipe', or a fragrance by its id) is taken from the readings. */
export function learnFrom(plan: Plan, rate: string, wanted: boolean): Plan {
  const others = (plan.clock.refused ?? []).filter((r) => r !== rate);
  const refused = wanted ? others : [...others, rate];
  return setClock(plan, { refused: refused.length > 0 ? refused : undefined });
}

/** These rates are known from now on: of the recipe, of rest, and of fragrances by their ids. */
export const takeKnown = (plan: Plan, rates: ReadonlyMap<string, KnownRate>): Plan => ({
  ...setClock(plan, {
    ...(rates.has('recipe') ? { known: rates.get('recipe'), perMinute: undefined } : {}),
    ...(rates.has('rest') ? { knownRest: rates.get('rest') } : {}),
  }),
  batter: {
    ...plan.batter,
    fragrances: plan.batter.fragrances.map((f) => {
      const known = rates.get(f.id);
      return known ? { ...f, known } : f;
    }),
  },
});

/** What was learned is kept as what is known, and its readings are done with. */
export const keepLearned = (plan: Plan, rates: ReadonlyMap<string, KnownRate>): Plan =>
  setClock(takeKnown(plan, rates), { readings: undefined, refused: undefined });

/** What was learned of a recipe, of rest, or of a fragrance by its id, is forgotten. */
export function forgetLearned(plan: Plan, rate: string): Plan {
  if (rate === 'recipe') return setClock(plan, { known: undefined });
  if (rate === 'rest') return setClock(plan, { knownRest: undefined });
  return updateFragrance(plan, rate, ({ known: _known, ...f }) => f);
}
