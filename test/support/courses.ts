import { stageToCarry } from '../../src/core/setting/carries.ts';
import { SOFT } from '../../src/core/timing/estimates.ts';
import type { Course, CourseAct } from '../../src/core/timing/course.ts';

/**
 * 425 g poured so takes so many minutes, and falls so far in effect, mm (models of the trade: common
 * practice, no source).
 */
const LANDS = {
  stream: { minutes: 0.6, fallMm: 50 },
  low: { minutes: 0.8, fallMm: 20 },
  spatula: { minutes: 1.2, fallMm: 7 },
  spoon: { minutes: 2.5, fallMm: 3 },
} as const;

export interface LayersOf {
  readonly pots?: number;
  readonly perMinute?: number;
  readonly start?: number;
  readonly factor?: number;
  readonly scent?: 'none' | 'batch' | 'colour' | 'pour';
  readonly colouring?: 'each' | 'all-first';
  readonly lands?: keyof typeof LANDS;
  readonly blendTo?: number;
  readonly most?: number;
  /** what lies still doubles its strength in so many minutes; absent: it bears as it flows */
  readonly rests?: number;
}

/** Level layers, one pot each: coloured in a minute, which adds a tenth of a stage. */
export function layersOf({
  pots: n = 5,
  perMinute = 0.05,
  start = 1,
  factor = 4,
  scent = 'none',
  colouring = 'each',
  lands = 'spatula',
  blendTo,
  most = 2.4,
  rests,
}: LayersOf): Course {
  const { minutes, fallMm } = LANDS[lands];
  const pots = Array.from({ length: n }, (_, i) => i);
  const quickens = [{ factor, doubt: 1 }];
  const colour = (p: number): CourseAct => ({
    key: `colour ${p}`,
    does: 'colour',
    minutes: 1,
    pots: [p],
    adds: 0.1,
    ...(scent === 'colour' ? { quickens } : {}),
  });
  const prepares = {
    minutes: 0,
    adds: 0,
    quickens: scent === 'pour' ? quickens : [],
    ...(blendTo === undefined ? {} : { blendTo }),
  };
  const pour = (p: number): CourseAct => ({
    key: `pour ${p}`,
    does: 'pour',
    minutes,
    pots: [p],
    window: { least: 0, most },
    lays: [p],
    ...(p > 0
      ? { carried: { by: [p - 1], stage: stageToCarry(fallMm, 1), breaks: stageToCarry(fallMm, 1) - SOFT } }
      : {}),
    ...(scent === 'pour' || blendTo !== undefined ? { prepares: [{ pot: p, ...prepares }] } : {}),
  });
  return {
    pots: pots.map((p) => ({ key: `p${p}`, perMinute, doubt: 0, there: true, start })),
    acts: [
      ...(scent === 'batch'
        ? [{ key: 'scent', does: 'scent', minutes: 0, pots, quickens } as CourseAct]
        : []),
      ...(colouring === 'all-first' ? pots.map(colour) : []),
      ...pots.flatMap((p) => (colouring === 'each' ? [colour(p), pour(p)] : [pour(p)])),
    ],
    doubts: [
      { name: 'recipe', sd: 0.25 },
      { name: 'fragrance', sd: 0.25 },
      ...(rests === undefined ? [] : [{ name: 'rest', sd: 0.5 }]),
    ],
    ...(rests === undefined ? {} : { rest: { tcMin: rests, doubt: 2 } }),
    layers: n,
    inMould: 1,
  };
}
