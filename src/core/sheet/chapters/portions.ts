import { formatMass } from '../../units/format.ts';
import type { Pot } from '../../plan/planSchema.ts';
import { ACT } from '../../weigh/acts.ts';
import type { PotWeight, Weights } from '../../weigh/weights.ts';
import type { Computed } from '../compute.ts';
import { SUPPLY } from '../../ledger/ledger.ts';
import { linesOf } from '../lines.ts';
import type { Line } from '../procedure.ts';
import { schoolOf, stocks } from './colours.ts';
import { potName, type Draft } from './draft.ts';

/** Each pot's own oils, additives, colour and scent ready in its jug before any lye is added. */
export function portions(computed: Computed, w: Weights): Draft[] {
  const jugs = w.pots
    .filter((p) => p.batterG > 0)
    .map((p): Draft => {
      const act = ACT.pot(p.pot.id);
      return {
        id: act,
        chapter: 'divide',
        pot: p.pot.id,
        text: portionText(p, w, linesOf(computed, w, act)),
        lines: linesOf(computed, w, act),
      };
    });
  return [...stocks(computed, w), ...jugs];
}

function portionText({ pot, colorants }: PotWeight, w: Weights, lines: readonly Line[]): string {
  const school = schoolOf(w, pot.id);
  if (school === 'master-blends')
    return `Make ready ${potName(pot)}: into its own jug draw from the stocks of oils, stirred first.`;
  const coloured = colorants.length > 0 && school !== 'one-pot';
  const own = lines.some((l) => l.from === SUPPLY && w.substances.get(l.substance ?? '')?.kind === 'oil');
  return `Make ready ${potName(pot)}: into its own jug weigh ${own ? 'its own oils, melted' : 'the mixed oils'}${coloured ? ', then stir in its dispersed colorant' : ''}.`;
}

/** All portions combined at the start, the largest first. */
export function combineAll(computed: Computed, w: Weights): Draft[] {
  const { plan } = computed;
  if (plan.divide.kind !== 'before-lye' || plan.divide.lye !== 'together') return [];
  return w.pots
    .filter((p) => p.batterG > 0)
    .toSorted((a, b) => b.batterG - a.batterG)
    .flatMap((p) => combine(computed, p.pot, w));
}

/** A one-pot ombre that goes paler again needs plain batter, set aside before the first colour goes in. */
function plainText({ plan }: Computed, lines: readonly Line[]): string {
  const plain = lines.find((l) => l.to.startsWith('plain:'));
  return plain
    ? ` Set ${formatMass(plain.massG, plan.units.mass, plan.units.scaleStepG)} of it aside, plain, before any colour goes in.`
    : '';
}

/** Lye solution weighed into one pot's own oils, and what is stirred in once that holds. */
export function combine(computed: Computed, pot: Pot, w: Weights): Draft[] {
  const act = ACT.combine(pot.id);
  const lines = linesOf(computed, w, act);
  const emulsion = linesOf(computed, w, ACT.potEmulsion(pot.id));
  return [
    {
      id: act,
      chapter: 'emulsify',
      pot: pot.id,
      text: `Stir the lye solution, weigh its part into ${potName(pot)}, and blend to an emulsion.${plainText(computed, lines)}`,
      lines,
      caution: 'The lye solution is caustic: pour low and slowly, gloves and goggles on.',
    },
    ...(emulsion.length > 0
      ? [
          {
            id: ACT.potEmulsion(pot.id),
            chapter: 'emulsify' as const,
            pot: pot.id,
            text: `Stir into ${potName(pot)} as soon as it holds as an emulsion.`,
            lines: emulsion,
          },
        ]
      : []),
  ];
}
