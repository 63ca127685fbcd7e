import { pouredPots } from '../../plan/sources.ts';
import type { Finish } from '../../plan/stepSchema.ts';
import { FIRST, mouldNames } from '../../plan/moulds.ts';
import { isCavity } from '../../mould/schema.ts';
import type { MouldFacts } from '../../advice/facts.ts';
import { lowerFirst } from '../../units/words.ts';
import { formatLength } from '../../units/format.ts';
import type { Weights } from '../../weigh/weights.ts';
import type { Computed } from '../compute.ts';
import type { Draft } from './draft.ts';
import { ACT, VESSEL } from '../../weigh/acts.ts';
import { linesOf } from '../lines.ts';
import { combine } from './portions.ts';

const FINISH_WORDS: Readonly<Record<Finish['what'], Omit<Draft, 'chapter' | 'id'>>> = {
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

export function topping(computed: Computed, w: Weights): Draft[] {
  const { plan } = computed;
  const held = w.pots.filter((p) => p.heldBackG > 0);
  if (held.length === 0) return [];
  const jugByJug = plan.divide.kind === 'before-lye' && plan.divide.lye === 'jug-by-jug';
  const poured = pouredPots(plan);
  return [
    ...(jugByJug
      ? held
          .filter((p) => !poured.has(p.pot.id))
          .flatMap((p) => combine(computed, p.pot, w).map((d) => ({ ...d, chapter: 'top' as const })))
      : []),
    {
      id: ACT.top,
      chapter: 'top',
      text: computed.moulds.some((m) => m.use.mould.column)
        ? 'Pull the column straight up, fill the hole with the batter held back, then spoon the rest over the top.'
        : 'Spoon the batter held back over the top; swirl no deeper than 6 mm (1/4 in).',
      lines: linesOf(computed, w, ACT.top).map((l) => {
        const pot = plan.pots.find((p) => p.id === l.pot);
        const into =
          computed.moulds.length > 1
            ? computed.moulds.find((m) => VESSEL.mould(m.use.id) === l.to)
            : undefined;
        const name = into ? (mouldNames(plan).get(into.use.id) ?? '') : '';
        const copies = into?.use.copies ?? 1;
        const where = into ? `, onto ${copies > 1 ? `all ${copies}: ${name}` : name}` : '';
        return { ...l, name: `Held back in pot ${pot?.letter ?? ''}, ${pot?.name ?? ''}${where}` };
      }),
    },
  ];
}

export function finishing({ plan }: Computed): Draft[] {
  return plan.steps.flatMap((s) =>
    s.kind === 'finish'
      ? [{ id: s.id, chapter: 'finish' as const, step: s.id, ...FINISH_WORDS[s.what] }]
      : [],
  );
}

/** What is cut out of a mould, in words: the loaf, its compartments, or a tube's discs; a cavity's bar is only taken out. */
function cutText({ plan, cut, use }: MouldFacts): string {
  if (isCavity(use.mould))
    return `Press ${use.copies === 1 ? 'the bar out of its cavity' : `${use.copies} bars out of their cavities`}. Cure 4 to 6 weeks.`;
  const { length } = plan.units;
  const { copies } = plan.fill;
  const mm = (x: number): string => formatLength(x, length);
  const discs = cut.pieces[0]?.axis === 'z';
  const each = copies > 1 ? ' from each mould' : '';
  const inAll = copies > 1 ? `, ${cut.count * copies} in all from ${copies} moulds` : '';
  const [start, end] = discs ? ['foot', 'top'] : ['near end', 'far end'];
  const pieces = cut.pieces.length > 1 ? `, each of the ${cut.pieces.length} pieces by itself` : '';
  const strips = !discs && plan.cut.strips > 1 ? `, in ${plan.cut.strips} strips across` : '';
  return `Cut ${cut.count} ${discs ? 'discs' : 'bars'} of ${mm(plan.cut.thicknessMm)}${each}${inAll}${pieces}; ${mm(plan.cut.trimStartMm)} trimmed at the ${start} and ${mm(plan.cut.trimEndMm)} at the ${end}${strips}. Cure 4 to 6 weeks.`;
}

export const cutting = (computed: Computed): Draft[] => [
  {
    id: 'unmould',
    chapter: 'cut',
    text: 'Unmould after 18 to 48 h, when it is firm enough not to dent.',
    caution: 'Gloves stay on: fresh soap is still caustic.',
  },
  ...computed.moulds.flatMap((m): Draft[] => {
    const name = computed.moulds.length > 1 ? `${mouldNames(computed.plan).get(m.use.id) ?? ''}: ` : '';
    return m.cut.count > 0
      ? [
          {
            id: m.use.id === FIRST ? 'cut' : `cut:${m.use.id}`,
            chapter: 'cut',
            text: name + (name === '' ? cutText(m) : lowerFirst(cutText(m))),
          },
        ]
      : [];
  }),
];
