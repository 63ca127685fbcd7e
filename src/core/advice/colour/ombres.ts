import { labOfBody } from '../../colour/body.ts';
import { LEAST_STEP } from '../../colour/thresholds.ts';
import { repot } from '../../edit/repot.ts';
import { LEAST_LAYERS, setLayers, updateOmbre } from '../../edit/ombre.ts';
import { differencesOf } from '../../ombre/strip.ts';
import { poursOfOmbre } from '../../ombre/runs.ts';
import { formatShort } from '../../units/format.ts';
import type { Facts } from '../facts.ts';
import type { Warning } from '../warning.ts';
import type { PlanBodies } from '../../ombre/coloursOf.ts';

/** Steps that read clearly, for the number of layers offered instead. */
const CLEAR_STEP = 2.5;

export function ombreWarnings({ plan, weights }: Facts, bodies: PlanBodies): Warning[] {
  return plan.ombres.flatMap((ombre): Warning[] => {
    const pours = poursOfOmbre(plan, ombre.id);
    const first = pours[0];
    const about = { station: 'colour', ...(first ? { step: first.id } : {}) } as const;
    if (pours.length < LEAST_LAYERS)
      return [
        {
          ...about,
          code: 'ombre-too-few',
          level: 'warn',
          message: `${ombre.name} has ${pours.length === 1 ? 'one layer' : 'no layers'}: an ombre needs two at least.`,
          remedies:
            pours.length === 1
              ? [{ label: 'Make it five layers', apply: (p) => setLayers(p, ombre.id, 5) }]
              : [
                  {
                    label: 'Remove this ombre',
                    apply: (p) => ({ ...p, ombres: p.ombres.filter((o) => o.id !== ombre.id) }),
                  },
                ],
        },
      ];
    const fault = weights?.ombres.find((o) => o.ombre.id === ombre.id)?.fault;
    if (fault) {
      const nth = pours.findIndex((p) => p.id === fault.pourId) + 1;
      return [
        {
          code: 'ombre-impossible',
          level: 'refuse',
          station: 'colour',
          step: fault.pourId,
          message: `${ombre.name}, layer ${nth}: ${fault.message}.`,
          remedies: [
            { label: 'Give each layer the pot it needs', apply: (p) => repot(p, ombre.id) },
            {
              label: 'Use master blends',
              apply: (p) => updateOmbre(p, ombre.id, { school: 'master-blends' }),
            },
          ],
        },
      ];
    }
    const labs = pours.flatMap((p) => {
      const body = bodies.pours.get(p.id);
      return body ? [labOfBody(body)] : [];
    });
    const steps = differencesOf(labs).filter((_, i) => pours[i + 1]?.ombre?.turn !== 'restart');
    const least = Math.min(...steps);
    const whole = steps.reduce((a, b) => a + b, 0);
    if (least >= LEAST_STEP) return [];
    const fewer = Math.max(LEAST_LAYERS, Math.floor(whole / CLEAR_STEP) + 1);
    return [
      {
        ...about,
        code: 'ombre-steps-close',
        level: 'note',
        message:
          whole < CLEAR_STEP
            ? `The ends of ${ombre.name} differ by only ${formatShort(whole, 1)}: it will read as one colour. Choose ends further apart.`
            : `Two neighbours of ${ombre.name} differ by only ${formatShort(least, 1)}: below about ${LEAST_STEP} no step is seen.`,
        ...(whole >= CLEAR_STEP && fewer < pours.length
          ? {
              remedies: [{ label: `Make it ${fewer} layers`, apply: (p) => setLayers(p, ombre.id, fewer) }],
            }
          : {}),
      },
    ];
  });
}
