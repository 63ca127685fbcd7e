import { MOST_POTS } from '../../batter/schema.ts';
import { labOfBody } from '../../colour/body.ts';
import { difference } from '../../colour/difference.ts';
import type { Lab } from '../../colour/lab.ts';
import { LEAST_STEP, stepWord } from '../../colour/thresholds.ts';
import { DILUTED_G_PER_G, fromDilutedStock } from '../../edit/colorants.ts';
import { repot } from '../../edit/repot.ts';
import { LEAST_LAYERS, setLayers, updateOmbre } from '../../edit/ombre.ts';
import { paintsOfOmbre, shadesOf } from '../../ombre/shades.ts';
import { doseIn } from '../../ombre/doseIn.ts';
import type { Mix, Ombre } from '../../plan/ombreSchema.ts';
import { SCALE_STEPS_G, type Plan } from '../../plan/planSchema.ts';
import type { Pour } from '../../plan/stepSchema.ts';
import { differencesOf } from '../../ombre/strip.ts';
import { poursOfOmbre } from '../../ombre/runs.ts';
import { formatShort } from '../../units/format.ts';
import type { Facts } from '../facts.ts';
import type { OmbreLayer } from '../../weigh/ombre/types.ts';
import { note, refuse, remedy, warn, type Remedy, type Warning } from '../warning.ts';
import type { PlanBodies } from '../../ombre/coloursOf.ts';

const aboutOmbre = (plan: Plan, ombre: Ombre): Pick<Warning, 'station' | 'step'> => {
  const [first] = poursOfOmbre(plan, ombre.id);
  return { station: 'colour', ...(first ? { step: first.id } : {}) };
};

/** Steps that read clearly, for the number of layers offered instead. */
const CLEAR_STEP = 2.5;

/** Doses this near to each other are one and the same on the scale, as a part of the larger. */
const SAME_DOSE = 1e-6;

const sameMix = (one: Mix, other: Mix): boolean =>
  one.every(({ colorant, doseGPerKg }) => {
    const there = doseIn(other, colorant);
    return Math.abs(there - doseGPerKg) <= SAME_DOSE * Math.max(there, doseGPerKg);
  });

/**
 * Ways of weighing that are fine enough for the smallest step of an ombre: a finer scale, a diluted stock, or
 * both.
 */
function rescaled(plan: Plan, ombre: Ombre, layers: readonly OmbreLayer[]): Remedy[] {
  const { fineStepG } = plan.units;
  const smallestG = Math.min(
    ...layers.slice(1).flatMap((layer, i) => {
      const before = layers[i];
      if (!before || before.shade.t === layer.shade.t) return [];
      const grams = layer.shade.mix.map(
        ({ colorant, doseGPerKg }) =>
          (Math.abs(doseGPerKg - doseIn(before.shade.mix, colorant)) * layer.plannedG) / 1000,
      );
      return [Math.max(...grams)];
    }),
  );
  const weighTo =
    (step: Plan['units']['fineStepG']) =>
    (p: Plan): Plan => ({ ...p, units: { ...p.units, fineStepG: step } });
  const finer = SCALE_STEPS_G.filter((s) => s < fineStepG);
  const enough = finer.find((s) => s <= smallestG);
  const stockOf = 1 / (1 + DILUTED_G_PER_G);
  const withStock = finer.find((s) => s * stockOf <= smallestG);
  const diluted = ombre.measure === 'stock';
  return [
    ...(enough !== undefined && ombre.measure === 'scale'
      ? [remedy(`Weigh colorants to ${enough} g`, weighTo(enough))]
      : []),
    ...(!diluted && fineStepG * stockOf <= smallestG
      ? [
          remedy(`Draw them from a diluted stock, 1 g in ${DILUTED_G_PER_G} g`, (p: Plan) =>
            fromDilutedStock(p, ombre.id),
          ),
        ]
      : withStock !== undefined
        ? [
            remedy(
              `Draw them from a diluted stock, 1 g in ${DILUTED_G_PER_G} g, on a ${withStock} g scale`,
              (p: Plan) => weighTo(withStock)(fromDilutedStock(p, ombre.id)),
            ),
          ]
        : []),
  ];
}

/**
 * Neighbouring layers that the scale gives the same colorant, though the grading wants a step that is seen.
 */
function roundedAway(
  plan: Plan,
  ombre: Ombre,
  pours: readonly Pour[],
  labs: readonly Lab[],
  weights: Facts['weights'],
): Warning | undefined {
  const layers = weights?.ombres.find((o) => o.ombre.id === ombre.id)?.layers ?? [];
  const paints = paintsOfOmbre(plan, ombre);
  const wantedStep = (one: Mix, other: Mix): number =>
    difference(labOfBody(paints.bodyOf(one)), labOfBody(paints.bodyOf(other)));
  const at = layers.findIndex((layer, i) => {
    const next = layers[i + 1];
    return (
      next &&
      next.shade.t !== layer.shade.t &&
      sameMix(layer.mix, next.mix) &&
      sameMix(next.mix, layer.mix) &&
      wantedStep(layer.shade.mix, next.shade.mix) >= LEAST_STEP
    );
  });
  if (at < 0) return undefined;
  const steps = differencesOf(labs);
  const most = Math.max(...steps);
  const { fineStepG } = plan.units;
  const cures = rescaled(plan, ombre, layers);
  const fewer = Math.max(LEAST_LAYERS, Math.ceil(pours.length * 0.7));
  return warn(
    aboutOmbre(plan, ombre),
    'ombre-steps-equal',
    `Layers ${at + 1} and ${at + 2} of ${ombre.name} take the same colorant once it is weighed to ${ombre.measure === 'spoon' ? 'eighths of a teaspoon' : `${fineStepG} g`}: no step between them, and one elsewhere that is ${stepWord(most)} (${formatShort(most, 1)}).`,
    [
      ...cures,
      ...(fewer < pours.length
        ? [remedy(`Make it ${fewer} layers`, (p: Plan) => setLayers(p, ombre.id, fewer))]
        : []),
    ],
  );
}

/** Steps wanted even differ by more than this part: the way between the ends turns back on itself. */
const UNEVEN = 1.1;

/** Those that take no more pots than a plan has: a long ombre can need one for each layer. */
const within = (plan: Plan, remedies: readonly Remedy[]): readonly Remedy[] =>
  remedies.filter((r) => r.apply(plan).pots.length <= MOST_POTS);

/** An ombre that was to be even to the eye and could not be made so. */
function unevenSteps(plan: Plan, ombre: Ombre): Warning[] {
  if (ombre.spacing.kind !== 'even') return [];
  const paints = paintsOfOmbre(plan, ombre);
  const shades = shadesOf(plan, ombre).filter((s) => s.run === 0);
  const steps = differencesOf(shades.map((s) => labOfBody(paints.bodyOf(s.mix))));
  const [least, most] = [Math.min(...steps), Math.max(...steps)];
  return steps.length < 2 || most <= least * UNEVEN
    ? []
    : [
        note(
          aboutOmbre(plan, ombre),
          'ombre-uneven',
          `${ombre.name} could not be made quite even: its steps go from ${stepWord(least)} (${formatShort(least, 1)}) to ${stepWord(most)} (${formatShort(most, 1)}).`,
        ),
      ];
}

/**
 * A step as weighed that is so many times what it was graded to be, or so much less, is told. A judgement.
 */
const OFF_BY = 1.3;

/** An ombre that is even as it is graded, and not as the scale weighs it. */
function roundedUneven(plan: Plan, ombre: Ombre, weights: Facts['weights']): Warning[] {
  const layers = weights?.ombres.find((o) => o.ombre.id === ombre.id)?.layers ?? [];
  if (ombre.spacing.kind !== 'even' || layers.length === 0) return [];
  const paints = paintsOfOmbre(plan, ombre);
  const labOf = (mix: Mix): Lab => labOfBody(paints.bodyOf(mix));
  const steps = layers.slice(1).flatMap((layer, i) => {
    const before = layers[i];
    if (!before || before.shade.run !== layer.shade.run) return [];
    return [
      {
        graded: difference(labOf(before.shade.mix), labOf(layer.shade.mix)),
        weighed: difference(labOf(before.mix), labOf(layer.mix)),
      },
    ];
  });
  const off = steps.some(({ graded, weighed }) => weighed > graded * OFF_BY || graded > weighed * OFF_BY);
  const [least, most] = [Math.min(...steps.map((s) => s.weighed)), Math.max(...steps.map((s) => s.weighed))];
  if (!off || most <= least * OFF_BY) return [];
  const by = ombre.measure === 'spoon' ? 'eighths of a teaspoon' : `${plan.units.fineStepG} g`;
  return [
    note(
      aboutOmbre(plan, ombre),
      'ombre-weighed-uneven',
      `${ombre.name} is graded evenly, and weighed to ${by} its steps go from ${stepWord(least)} (${formatShort(least, 1)}) to ${stepWord(most)} (${formatShort(most, 1)}).`,
      rescaled(plan, ombre, layers),
    ),
  ];
}

export function ombreWarnings({ plan, weights }: Facts, bodies: PlanBodies): Warning[] {
  return plan.ombres.flatMap((ombre): Warning[] => {
    const pours = poursOfOmbre(plan, ombre.id);
    const about = aboutOmbre(plan, ombre);
    if (pours.length < LEAST_LAYERS)
      return [
        warn(
          about,
          'ombre-too-few',
          `${ombre.name} has ${pours.length === 1 ? 'one layer' : 'no layers'}: an ombre needs two at least.`,
          pours.length === 1
            ? [remedy('Make it five layers', (p) => setLayers(p, ombre.id, 5))]
            : [
                remedy('Remove this ombre', (p) => ({
                  ...p,
                  ombres: p.ombres.filter((o) => o.id !== ombre.id),
                })),
              ],
        ),
      ];
    const fault = weights?.ombres.find((o) => o.ombre.id === ombre.id)?.fault;
    if (fault) {
      const nth = pours.findIndex((p) => p.id === fault.pourId) + 1;
      return [
        refuse(
          { station: 'colour', step: fault.pourId },
          'ombre-impossible',
          `${ombre.name}, layer ${nth}: ${fault.message}.`,
          within(plan, [
            remedy('Give each layer the pot it needs', (p) => repot(p, ombre.id)),
            remedy('Use master blends', (p) => updateOmbre(p, ombre.id, { school: 'master-blends' })),
          ]),
        ),
      ];
    }
    const labs = pours.flatMap((p) => {
      const body = bodies.pours.get(p.id);
      return body ? [labOfBody(body)] : [];
    });
    const steps = differencesOf(labs).filter((_, i) => pours[i + 1]?.ombre?.turn !== 'restart');
    const rounded = roundedAway(plan, ombre, pours, labs, weights);
    if (rounded) return [rounded];
    const least = Math.min(...steps);
    const whole = steps.reduce((a, b) => a + b, 0);
    if (least >= LEAST_STEP) {
      const graded = unevenSteps(plan, ombre);
      return graded.length > 0 ? graded : roundedUneven(plan, ombre, weights);
    }
    const fewer = Math.max(LEAST_LAYERS, Math.floor(whole / CLEAR_STEP) + 1);
    return [
      note(
        about,
        'ombre-steps-close',
        whole < CLEAR_STEP
          ? `The ends of ${ombre.name} are hardly seen apart (${formatShort(whole, 1)}): it will read as one colour. Choose ends further apart.`
          : `No step is seen between two neighbours of ${ombre.name} (${formatShort(least, 1)}; from about ${LEAST_STEP} on one is).`,
        whole >= CLEAR_STEP && fewer < pours.length
          ? [remedy(`Make it ${fewer} layers`, (p) => setLayers(p, ombre.id, fewer))]
          : [],
      ),
    ];
  });
}
