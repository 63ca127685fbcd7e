import type { OmbreWeights } from '../../weigh/ombre/types.ts';
import type { PotWeight, Weights } from '../../weigh/weights.ts';
import type { Computed } from '../compute.ts';
import { pottingOrder } from '../mixing.ts';
import type { Plan, Pot } from '../../plan/planSchema.ts';
import type { Line } from '../procedure.ts';
import { dispersedLines, drawLines, schoolOf, startLines, stocks } from './colours.ts';
import { coarse, fine, potName, type Draft } from './draft.ts';

function traceAdditives(w: Weights): Draft[] {
  const atTrace = w.additives.filter((a) => a.into === 'trace');
  return atTrace.length > 0
    ? [{ chapter: 'emulsify', text: 'Stir in at light trace.', lines: atTrace.map(fine) }]
    : [];
}

/** Pots in the order to colour them with one whisk. */
function inWhiskOrder(computed: Computed, w: Weights): readonly PotWeight[] {
  const order = pottingOrder(computed, w).map((s) => s.pot.id);
  return w.pots.toSorted((a, b) => order.indexOf(a.pot.id) - order.indexOf(b.pot.id));
}

function divideText({ pot, colorants }: PotWeight, school: OmbreWeights['school'] | undefined): string {
  if (school === 'master-blends') return `Blend ${potName(pot)} from the stocks.`;
  const coloured = colorants.length > 0 && school !== 'one-pot';
  return `Weigh out ${potName(pot)}${coloured ? ', and stir in its dispersed colorant' : ''}.`;
}

function batterLines(computed: Computed, w: Weights, p: PotWeight): readonly Line[] {
  const school = schoolOf(w, p.pot.id);
  if (school === 'master-blends') return drawLines(w, p.pot.id);
  if (school === 'one-pot') return startLines(w, p.pot.id) ?? [];
  return [
    { name: 'Batter', massG: p.batterG, fine: false, pot: p.pot.id },
    ...dispersedLines(computed, p.colorants),
  ];
}

/** A pot that is mixed in the jug of another is weighed out once that one is empty, just before it is poured. */
export const waitsForJug = (plan: Plan, pot: Pot): boolean =>
  pot.jugOf !== undefined && plan.steps.some((s) => s.kind === 'pour' && s.pot === pot.id);

/** One pot weighed out of the batch, coloured and scented. */
export function weighOut(computed: Computed, w: Weights, p: PotWeight): Draft {
  const { plan } = computed;
  const { fragrance } = plan.batter;
  const before = plan.pots.find((q) => q.id === p.pot.jugOf);
  const into = before ? ` Into the jug of pot ${before.letter}, emptied and wiped out.` : '';
  return {
    chapter: 'divide',
    pot: p.pot.id,
    text: divideText(p, schoolOf(w, p.pot.id)) + into,
    lines: [
      ...batterLines(computed, w, p),
      ...(w.fragranceG > 0 && fragrance?.when === 'pot'
        ? [{ name: fragrance.name, massG: p.portion.fragranceG, fine: true }]
        : []),
    ],
  };
}

/** One batch, emulsified and then divided into its pots. */
export function oneBatch(computed: Computed, w: Weights): Draft[] {
  const { plan } = computed;
  const scentWhole = w.fragranceG > 0 && plan.batter.fragrance?.when === 'batch';
  return [
    {
      chapter: 'emulsify',
      text: 'Pour the cooled lye solution into the oils and blend in short bursts to a stable emulsion.',
      lines: [
        { name: 'Lye solution, all of it', massG: w.solutionG, fine: false },
        ...w.partLiquids.map(coarse),
      ],
      caution: 'Keep the blender head under the surface: spatters burn.',
    },
    ...traceAdditives(w),
    ...(scentWhole
      ? [
          {
            chapter: 'emulsify' as const,
            text: 'Stir in the fragrance.',
            lines: [{ name: plan.batter.fragrance?.name ?? 'Fragrance', massG: w.fragranceG, fine: true }],
          },
        ]
      : []),
    ...stocks(computed, w),
    ...inWhiskOrder(computed, w)
      .filter((p) => p.batterG > 0 && !waitsForJug(plan, p.pot))
      .map((p) => weighOut(computed, w, p)),
    ...(w.spareG > 0
      ? [
          {
            chapter: 'divide' as const,
            text: 'Batter that goes into no pour: keep a small mould ready for it.',
            lines: [{ name: 'Spare batter', massG: w.spareG, fine: false }],
          },
        ]
      : []),
  ];
}
