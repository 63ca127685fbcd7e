import type { ActOf } from '../../day/act.ts';
import { HEAPS, RUNS_IN, STREWN_ON } from '../../pattern/windows.ts';
import { stageToCarry } from '../../setting/carries.ts';
import { RIDGES_MIN, TOP_MIN } from '../../plan/habits.ts';
import { aboutStep } from './between.ts';
import type { CourseDraft } from './draft.ts';
import type { Jugs } from './jugs.ts';

/** What lies on it weighs so much, g/ml. */
const DENSITY = 1;

/** The hollows of a mat are filled, first of all. */
export function addRidges(draft: CourseDraft, jugs: Jugs, { id, step }: ActOf<'fill-ridges'>): void {
  const { pot } = step;
  const prepares = jugs.prepares(pot);
  draft.add(
    {
      does: 'ridges',
      minutes: RIDGES_MIN * draft.countOf(step),
      pots: [draft.numberOf(pot)],
      window: RUNS_IN,
      lays: draft
        .mouldsOf(step)
        .map((m) => draft.layerIn({ mould: m.use.id, room: 0 }, { plain: pot, fromMm: 0, toMm: 0 })),
      ...(prepares.length > 0 ? { prepares } : {}),
    },
    aboutStep(id, step),
  );
}

/** What is put on top, but for what is piped. */
export function addTop(draft: CourseDraft, jugs: Jugs, { id, step }: ActOf<'put-on-top'>): void {
  const { way } = step;
  if (way.top === 'piping') return;
  const base = {
    does: 'top',
    minutes: TOP_MIN[way.top] * draft.countOf(step),
  } as const;
  if (way.top !== 'mound') {
    draft.add(
      { ...base, pots: [], ...draft.on(step, way.top === 'salt' ? STREWN_ON : HEAPS.least) },
      aboutStep(id, step),
    );
    return;
  }
  const prepares = jugs.prepares(way.pot);
  draft.add(
    {
      ...base,
      pots: [draft.numberOf(way.pot)],
      window: HEAPS,
      ...draft.on(step, stageToCarry(way.heightMm, DENSITY)),
      ...(prepares.length > 0 ? { prepares } : {}),
    },
    aboutStep(id, step),
  );
}
