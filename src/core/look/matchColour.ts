import type { Colorant } from '../colorant/schema.ts';
import { hexOfBody, type Body } from '../colour/body.ts';
import { chromaOf, labOfHex, type Lab } from '../colour/lab.ts';
import { nearestDoses } from '../colour/nearest.ts';
import { OPPOSITE, wheelApart, wheelOf } from '../colour/painterWheel.ts';
import type { Mix } from '../plan/ombreSchema.ts';
import { shiftedPigment } from './shifts.ts';
import type { SoapState } from './state.ts';

/** Colorants at doses that come near a colour. */
export interface ColourMatch {
  readonly colorants: readonly Colorant[];
  readonly mix: Mix;
  /** as it will look, "#rrggbb" */
  readonly hex: string;
  /** CIEDE2000 to the colour wanted */
  readonly difference: number;
}

/** Single colorants that are good enough to be tried with another. */
const TRIED_TOGETHER = 6;

/**
 * A second colorant must bring a colour nearer by this much to be worth its jar, CIEDE2000. A judgement, no
 * source.
 */
const WORTH_ANOTHER = 1;

/** Doses smaller than this are none, g/kg. */
const NO_DOSE = 0.05;

const isWhite = (c: Colorant): boolean => c.nature.kind.startsWith('titanium');

/** Stirred together they take each other's colour away, whatever idealised curves promise. */
function makesMud(one: Colorant, other: Colorant): boolean {
  const [a, b] = [labOfHex(one.nature.colour), labOfHex(other.nature.colour)];
  return chromaOf(a) > 12 && chromaOf(b) > 12 && wheelApart(wheelOf(a), wheelOf(b)) >= OPPOSITE;
}

/**
 * Which colorants, one or two of them at no more than their usual doses, bring a plain batter nearest to a
 * colour: the best first, no colorant leading twice.
 */
export function matchesFor(
  wanted: Lab,
  base: Body,
  colorants: readonly Colorant[],
  state: SoapState,
  most = 3,
): readonly ColourMatch[] {
  const attempt = (chosen: readonly Colorant[]): ColourMatch => {
    const found = nearestDoses(
      wanted,
      base,
      chosen.map((c) => ({ pigment: shiftedPigment(c.nature, state), mostGPerKg: c.nature.usualGPerKg })),
    );
    const doses = chosen.map((c, i) => ({
      colorant: c.id,
      doseGPerKg: Math.round((found.doses[i] ?? 0) * 100) / 100,
    }));
    const mix = doses.filter((d) => d.doseGPerKg >= NO_DOSE);
    return {
      colorants: chosen.filter((c) => mix.some((m) => m.colorant === c.id)),
      mix,
      hex: hexOfBody(found.body),
      difference: found.difference,
    };
  };
  const better = (a: ColourMatch, b: ColourMatch): number =>
    a.difference + a.mix.length * WORTH_ANOTHER - (b.difference + b.mix.length * WORTH_ANOTHER);
  const singles = colorants.map((c) => attempt([c])).toSorted(better);
  const lead = singles.slice(0, TRIED_TOGETHER).flatMap((m) => m.colorants.slice(0, 1));
  const partners = [...new Set([...lead, ...colorants.filter(isWhite)])];
  const pairs = lead.flatMap((one, i) =>
    partners
      .filter((other, k) => other !== one && !(k < i) && !makesMud(one, other))
      .map((other) => attempt([one, other])),
  );
  const seen = new Set<string>();
  return [...singles, ...pairs]
    .filter((m) => m.mix.length > 0)
    .toSorted(better)
    .filter((m) => {
      const key = m.mix[0]?.colorant ?? '';
      if (seen.has(key)) return false;
      seen.add(key);
      return true;
    })
    .slice(0, most);
}
