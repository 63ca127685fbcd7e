import { labOfBody } from '../colour/body.ts';
import type { Mix, Ombre } from '../plan/ombreSchema.ts';
import type { Plan } from '../plan/planSchema.ts';
import { paintsOfOmbre } from './shades.ts';

/** Names of pots are no longer than this. */
const LONGEST = 60;

const isWhite = (plan: Pick<Plan, 'colorants'>, mix: Mix): boolean =>
  mix.length > 0 &&
  mix.every((m) => plan.colorants.find((c) => c.id === m.colorant)?.nature?.kind.startsWith('titanium'));

/** What the ends of an ombre are: plain, white, or the paler and the deeper of the two. */
function endWords(plan: Plan, ombre: Ombre): readonly [string, string] {
  const paints = paintsOfOmbre(plan, ombre);
  const [from, to] = [ombre.from, ombre.to].map((mix) => labOfBody(paints.bodyOf(mix))[0]) as [
    number,
    number,
  ];
  const word = (mix: Mix, deeper: boolean): string => {
    if (mix.length === 0) return 'plain';
    if (isWhite(plan, mix)) return 'white';
    return deeper ? 'deep' : 'pale';
  };
  return [word(ombre.from, from < to), word(ombre.to, to <= from)];
}

/**
 * What the pots of an ombre are called, in the order of their shades (0 the first colour, 1 the last): "Moss
 * deep", "Moss mid 1", "Moss white".
 */
export function shadeNames(plan: Plan, ombre: Ombre, shades: readonly number[]): readonly string[] {
  const [first, last] = endWords(plan, ombre);
  const between = shades.filter((t) => t > 0 && t < 1).toSorted((a, b) => a - b);
  return shades.map((t) => {
    const word = t <= 0 ? first : t >= 1 ? last : `mid ${between.indexOf(t) + 1}`;
    return `${ombre.name.slice(0, LONGEST - 1 - word.length)} ${word}`;
  });
}

/** Whether a pot is called as this ombre's pots are, and not by a name that its maker gave it. */
export const isShadeName = (name: string, { name: ombre }: Pick<Ombre, 'name'>): boolean =>
  name.startsWith(ombre.slice(0, LONGEST - 8)) && /^(.* )?(plain|white|pale|deep|mid \d+|\d+)$/.test(name);
