import type { Ridges, Top } from '../../plan/stepSchema.ts';
import { KEEPS_SHAPE, RUNS_IN, stageToCarry } from '../../setting/carries.ts';
import type { Stage } from '../../units/quantity.ts';
import { RIDGES_MIN, TOP_MIN } from '../habits.ts';
import type { Draft } from './draft.ts';
import type { Jugs } from './jugs.ts';
import { WORKABLE } from './pour.ts';

/** Salt is strewn on what is about medium. Common practice, no source. */
const SALT_LEAST: Stage = 2;

/** What lies on it weighs so much, g/ml. */
const DENSITY = 1;

/** The hollows of a mat are filled, first of all. */
export function addRidges(draft: Draft, jugs: Jugs, step: Ridges): void {
  const { pot } = step;
  jugs.colour(pot);
  const prepares = jugs.prepares(pot);
  draft.add(
    {
      key: `ridges ${step.id}`,
      does: 'ridges',
      minutes: RIDGES_MIN * draft.countOf(step),
      pots: [draft.numberOf(pot)],
      window: { least: 0, most: RUNS_IN },
      lays: draft.mouldsOf(step).map((m) => draft.layerIn(`${m.use.id} 0`, pot)),
      ...(prepares.length > 0 ? { prepares } : {}),
    },
    { step },
  );
}

/** What is put on top, but for what is piped. */
export function addTop(draft: Draft, jugs: Jugs, step: Top): void {
  const { way } = step;
  if (way.top === 'piping') return;
  const base = {
    key: `top ${step.id}`,
    does: 'top',
    minutes: TOP_MIN[way.top] * draft.countOf(step),
  } as const;
  if (way.top !== 'mound') {
    draft.add(
      { ...base, pots: [], ...draft.on(step, way.top === 'salt' ? SALT_LEAST : KEEPS_SHAPE) },
      { step },
    );
    return;
  }
  jugs.colour(way.pot);
  const prepares = jugs.prepares(way.pot);
  draft.add(
    {
      ...base,
      pots: [draft.numberOf(way.pot)],
      window: { least: KEEPS_SHAPE, most: WORKABLE },
      ...draft.on(step, stageToCarry(way.heightMm, DENSITY)),
      ...(prepares.length > 0 ? { prepares } : {}),
    },
    { step },
  );
}
