import type { Finish } from '../../plan/stepSchema.ts';
import { formatLength } from '../../units/format.ts';
import type { Weights } from '../../weigh/weights.ts';
import type { Computed } from '../compute.ts';
import type { Draft } from './draft.ts';
import { combine } from './portions.ts';

const FINISH_WORDS: Readonly<Record<Finish['what'], Omit<Draft, 'chapter'>>> = {
  mist: {
    text: 'Mist the top lightly with alcohol against soda ash.',
    caution: 'Alcohol mist burns: no flame, no hot oven, no heater near it.',
  },
  insulate: { text: 'Cover and wrap the mould; leave it overnight.' },
  'warm-oven': {
    text: 'Warm the oven to 77 °C (170 °F), switch it OFF, then put the mould in overnight.',
    caution: 'The oven must be off, and no alcohol mist near it while it is warm.',
  },
  'leave-cool': { text: 'Leave the mould open in a cool place or the fridge, so that it does not gel.' },
};

export function topping({ plan }: Computed, w: Weights): Draft[] {
  const held = w.pots.filter((p) => p.heldBackG > 0);
  if (held.length === 0) return [];
  const jugByJug = plan.divide.kind === 'before-lye' && plan.divide.lye === 'jug-by-jug';
  const poured = new Set(plan.steps.flatMap((s) => (s.kind === 'pour' ? [s.pot] : [])));
  return [
    ...(jugByJug
      ? held
          .filter((p) => !poured.has(p.pot.id))
          .map((p) => ({ ...combine(p.pot, w), chapter: 'top' as const }))
      : []),
    {
      chapter: 'top',
      text: plan.mould.column
        ? 'Pull the column straight up, fill the hole with the batter held back, then spoon the rest over the top.'
        : 'Spoon the batter held back over the top; swirl no deeper than 6 mm (1/4 in).',
      lines: held.map((p) => ({
        name: `Held back in pot ${p.pot.letter}, ${p.pot.name}`,
        massG: p.heldBackG,
        fine: false,
        pot: p.pot.id,
      })),
    },
  ];
}

export function finishing({ plan }: Computed): Draft[] {
  return plan.steps.flatMap((s) =>
    s.kind === 'finish' ? [{ chapter: 'finish' as const, step: s.id, ...FINISH_WORDS[s.what] }] : [],
  );
}

export function cutting({ plan, cut }: Computed): Draft[] {
  const { length } = plan.units;
  const bars = cut.count * plan.fill.copies;
  const strips = plan.cut.strips > 1 ? `, in ${plan.cut.strips} strips across` : '';
  return [
    {
      chapter: 'cut',
      text: 'Unmould after 18 to 48 h, when it is firm enough not to dent.',
      caution: 'Gloves stay on: fresh soap is still caustic.',
    },
    ...(bars > 0
      ? [
          {
            chapter: 'cut' as const,
            text: `Cut ${bars} bars of ${formatLength(plan.cut.thicknessMm, length)}, ${formatLength(plan.cut.trimStartMm, length)} trimmed at the near end and ${formatLength(plan.cut.trimEndMm, length)} at the far end${strips}. Cure 4 to 6 weeks.`,
          },
        ]
      : []),
  ];
}
