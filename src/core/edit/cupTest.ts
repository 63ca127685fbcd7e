import type { Plan } from '../plan/planSchema.ts';
import { LOAF_CUT } from '../plan/newPlan.ts';
import { setClock } from './clock.ts';

/** Batter in the cup, g: enough to tell its thickness, little to lose. */
const CUP_G = 150;

/** A cup of so many mm, of plastic that lye does nothing to. */
const CUP = { acrossMm: 75, highMm: 80 } as const;

/** What its name begins with. */
export const CUP_NAME = 'Cup test: ';

/**
 * Each that is poured in the plan may be at light; a cup begins there too, so that it is compared with the
 * same.
 */
const START = 1;

/**
 * A small batch of its own that tells how a fragrance behaves, or the recipe without any: the plan's recipe
 * with that fragrance alone, at its dose, in one cup, at the plan's temperatures. It is scented at once, left
 * alone, and looked at three times.
 */
export function cupTest(
  plan: Plan,
  fragranceId: string | undefined,
  at: { readonly id: string; readonly now: string },
): Plan {
  const fragrance = plan.batter.fragrances.find((f) => f.id === fragranceId);
  const { assessed: _assessed, ...batter } = plan.batter;
  const perKg = fragrance?.doses.reduce((s, d) => s + d.gPerKgOils, 0) ?? 0;
  const cup: Plan = {
    ...plan,
    id: at.id,
    created: at.now,
    changed: at.now,
    name: `${CUP_NAME}${fragrance?.name ?? `${plan.name}, unscented`}`.slice(0, 120),
    notes: `${fragrance ? 'Scented at emulsion, then left' : 'Left'} alone. Look at it three times and enter how thick it is under Clock, “Teach it”: for instance at light, medium and thick. Do not stir it between.`,
    mould: {
      name: 'Test cup',
      material: 'plastic',
      shape: { kind: 'tube', stands: 'standing', diameterMm: CUP.acrossMm, lengthMm: CUP.highMm },
      linerMm: 0,
      wallMm: 1,
      bowMm: 0,
    },
    fill: { to: { kind: 'batter', massG: CUP_G }, copies: 1, overagePercent: 5, top: [] },
    others: [],
    ombres: [],
    colorants: [],
    divide: { kind: 'after-emulsion' },
    batter: {
      ...batter,
      additives: [],
      lateOils: [],
      fragrances: fragrance
        ? [{ ...fragrance, doses: [{ id: 'd1', gPerKgOils: perKg, moment: 'emulsion' }] }]
        : [],
    },
    pots: [{ id: 'p1', letter: 'A', name: 'Cup', stage: 1, colorants: [] }],
    steps: [
      {
        id: 's1',
        kind: 'pour',
        pot: 'p1',
        compartment: 0,
        amount: { kind: 'rest', parts: 1 },
        locked: false,
        landing: { how: 'low', fallMm: 20 },
      },
    ],
    // it is not cut, but one disc is what it is
    cut: { ...LOAF_CUT, thicknessMm: 25, trimStartMm: 0, trimEndMm: 0 },
    clock: {},
  };
  const { second: _second, ...plain } = cup;
  const { perMinute, known } = plan.clock;
  return setClock(plain, { start: START, perMinute, known });
}
