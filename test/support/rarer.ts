import { blendPot, loosenPot, setClock } from '../../src/core/edit/clock.ts';
import { freshId } from '../../src/core/edit/freshId.ts';
import { setCopies } from '../../src/core/edit/moulds.ts';
import { FIRST } from '../../src/core/plan/moulds.ts';
import type { Runs } from '../../src/core/mould/runs.ts';
import type { TopWay } from '../../src/core/plan/topSchema.ts';
import type { Plan } from '../../src/core/plan/planSchema.ts';
import type { Finish, Scrape } from '../../src/core/plan/stepSchema.ts';
import { addTop, setTop } from '../../src/core/edit/tops.ts';
import { FIRST_MAT, onMat } from '../../src/core/edit/mat.ts';
import { fragrance } from './additions.ts';
import { boxPlan, pour, rest } from './plans.ts';

type Change = (plan: Plan) => Plan;

const finished =
  (what: Finish['what']): Change =>
  (p) => ({
    ...p,
    steps: [
      ...p.steps.filter((s) => s.kind !== 'finish'),
      { id: freshId('f', p.steps), kind: 'finish', what },
    ],
  });

const cutAs =
  (cut: Partial<Plan['cut']>): Change =>
  (p) => {
    const { way: _way, onSide: _side, ...plain } = p.cut;
    return { ...p, cut: { ...plain, ...cut } };
  };

const scented: Change = (p) => ({
  ...p,
  batter: {
    ...p.batter,
    fragrances: [fragrance(2.5, { id: 'rare', speed: 'quickens', vanillinPercent: 8, limitPercent: 3 })],
  },
});

const coarse: Change = (p) => ({ ...p, units: { ...p.units, scaleStepG: 5, fineStepG: 0.5 } });

const temperatures =
  (oilsC: number, lyeC: number): Change =>
  (p) => ({
    ...p,
    batter: { ...p.batter, temperatures: { ...p.batter.temperatures, oilsC, lyeC } },
  });

const ofPot =
  (nth: number, change: (plan: Plan, id: string) => Plan): Change =>
  (p) =>
    change(p, (p.pots[nth] ?? p.pots[0])!.id);

/**
 * What makers set more rarely, a few things at a time: what differs from the usual in one way only is found
 * nowhere else.
 */
const SETS: readonly (readonly Change[])[] = [
  [
    (p) => setClock(p, { warm: true, stirrer: 'stick-blender', start: 0.4, keeping: 'clock' }),
    ofPot(0, (p, id) => blendPot(p, id, 1.9)),
    finished('warm-oven'),
    coarse,
  ],
  [
    (p) => setClock(p, { batterC: 46, colouring: 'each', blurMm: 5 }),
    ofPot(1, (p, id) => loosenPot(p, id, true)),
    scented,
    finished('oven-held'),
    (p) => setCopies(p, FIRST, 2),
  ],
  [
    (p) => setClock(p, { perMinute: 0.03, pace: { pourMin: { stream: 2.2 }, colourMin: 3, divideMin: 1.5 } }),
    temperatures(28, 35),
    cutAs({ way: { by: 'lengthwise', longMm: 80 }, planeMm: 1 }),
    finished('leave-cool'),
  ],
  [
    temperatures(52, 58),
    cutAs({ onSide: true, kerfMm: 2, trimStartMm: 7, trimEndMm: 4, strips: 1 }),
    (p) => ({ ...p, fill: { ...p.fill, overagePercent: 6 } }),
    finished('insulate'),
  ],
];

/** A plan with some of what is set more rarely. */
export const withRarer = (plan: Plan, nth: number): Plan =>
  (SETS[nth % SETS.length] ?? []).reduce((p, change) => change(p), plan);

/** A loaf whose right third is parted off, each part with two layers. */
const parted = (plan: Plan): Plan => ({
  ...plan,
  mould: {
    ...plan.mould,
    shape: {
      kind: 'tapered',
      floorLengthMm: 150,
      floorWidthMm: 76,
      rimLengthMm: 158,
      rimWidthMm: 84,
      heightMm: 62,
    },
    divider: { runs: 'lengthwise', atMm: [48], thicknessMm: 3 },
  },
  steps: [0, 0, 1, 1].map((compartment, i) => ({
    ...pour(`s${i + 1}`, i % 2 === 0 ? 'p1' : 'p2', rest(i === 2 ? 2 : 1)),
    compartment,
  })),
});

/** A level layer over a slanted one, scraped so deep that its edge goes into what slants. */
const scrapedOverSlant = (pulled: Runs): Plan => {
  const plan = parted(boxPlan([]));
  const [first, second, ...rest] = plan.steps;
  return {
    ...plan,
    mould: { ...plan.mould, divider: undefined },
    steps: [
      { id: 't1', kind: 'tilt', rollDeg: 7, pitchDeg: 3 },
      first!,
      { id: 't2', kind: 'tilt', rollDeg: 0, pitchDeg: 0 },
      second!,
      {
        id: 'r1',
        kind: 'scrape',
        pulled,
        edge: { kind: 'repeated', shape: 'teeth', pitchMm: 18, shiftMm: 4 },
        reliefMm: 11,
        depthMm: 13,
        to: 'spare',
      },
      ...rest.map((s) => ({ ...s, compartment: 0 })),
    ],
  };
};

/** A layer scraped, and one over it that is scraped into its teeth. */
const scrapedTwice = (): Plan => {
  const plan = scrapedOverSlant('lengthwise');
  const over: Scrape = { ...plan.steps.find((s) => s.kind === 'scrape')!, reliefMm: 20, depthMm: 18 };
  const edge: Scrape['edge'] = { kind: 'repeated', shape: 'teeth', pitchMm: 18, shiftMm: 13 };
  const under: Scrape = { ...over, id: 'r0', edge, depthMm: 12, to: 'next' };
  return {
    ...plan,
    steps: plan.steps.flatMap((s): Plan['steps'] => {
      if (s.kind === 'tilt') return [];
      if (s.kind === 'scrape') return [over];
      return s.id === 's1' ? [s, under] : [s];
    }),
  };
};

const crosswise = (top: 'mound' | 'mat'): Plan => {
  if (top === 'mat') {
    const plan = onMat(parted(boxPlan([])));
    return { ...plan, mould: { ...plan.mould, mat: { ...FIRST_MAT, runs: 'crosswise' } } };
  }
  const { plan, stepId } = addTop(parted(boxPlan([])), top);
  const way = plan.steps.find((s) => s.kind === 'top')!.way as Extract<TopWay, { top: 'mound' }>;
  return setTop(plan, stepId, { ...way, runs: 'crosswise', offMm: 9 });
};

/** Each thing on top, or under, of a loaf in two parts; and what lies the other way or over a slant. */
export const rareLoaves: readonly (readonly [string, () => Plan])[] = [
  ...(['mound', 'dents', 'piping', 'pieces', 'straws', 'salt'] as const).map(
    (top) => [`parted-${top}`, () => addTop(parted(boxPlan([])), top).plan] as const,
  ),
  ['parted-mat', () => onMat(parted(boxPlan([])))],
  ['crosswise-mound', () => crosswise('mound')],
  ['crosswise-mat', () => crosswise('mat')],
  ['scraped-over-slant', () => scrapedOverSlant('lengthwise')],
  ['scraped-twice', scrapedTwice],
  ['scraped-over-slant-across', () => scrapedOverSlant('crosswise')],
];
