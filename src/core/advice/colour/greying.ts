import { hexOfBody, labOfBody } from '../../colour/body.ts';
import { hueOf, labOfHex, type Lab } from '../../colour/lab.ts';
import type { Colorant } from '../../colorant/schema.ts';
import { STARTER_COLORANTS } from '../../colorant/starters.ts';
import { takeColorant, withDose } from '../../edit/colorants.ts';
import { updateOmbre } from '../../edit/ombre.ts';
import { updatePot } from '../../edit/pots.ts';
import { paintboxOf, type Paintbox } from '../../look/paintbox.ts';
import { plannedState } from '../../look/state.ts';
import { shadesOf } from '../../ombre/shades.ts';
import type { Mix, Ombre } from '../../plan/ombreSchema.ts';
import type { Plan } from '../../plan/planSchema.ts';
import { formatShort } from '../../units/format.ts';
import type { Facts } from '../facts.ts';
import { remedy, warn, type Warning } from '../warning.ts';
import { figure, mixedPots } from './doses.ts';

/**
 * Purples, by CIE hue: what goes grey on cream when there is little of it, as its yellow cancels them. Blues
 * stay blue.
 */
const GREYS = { from: 300, to: 345 };
/** A pale tint: lighter than this. */
const PALE = 62;
const WHITE_GPERKG = 8;
/** Of an ombre the palest layers are looked at, so many at most. */
const LOOKED_AT = 3;
/** Less purple than this more is not worth a word. */
const WORTH_IT = 2;

/** The same lightness from so much white and as much of the colorant as that takes. */
function withWhite(
  paints: Paintbox,
  colorant: string,
  white: string,
  whiteGPerKg: number,
  lightness: number,
): Mix {
  const mixOf = (doseGPerKg: number): Mix => [
    { colorant, doseGPerKg },
    { colorant: white, doseGPerKg: whiteGPerKg },
  ];
  let low = 0;
  let high = 40;
  for (let i = 0; i < 16; i += 1) {
    const middle = (low + high) / 2;
    if (labOfBody(paints.bodyOf(mixOf(middle)))[0] > lightness) low = middle;
    else high = middle;
  }
  return mixOf(Math.round(low * 100) / 100);
}

/**
 * The most white, by halves, at which neither it nor the colorant goes over what is usual; undefined where
 * none is.
 */
function withinUsual(
  plan: Plan,
  paints: Paintbox,
  colorant: { readonly id: string; readonly usualGPerKg: number },
  white: White,
  lightness: number,
): Mix | undefined {
  const most = white.take(plan).colorants.find((c) => c.id === white.id)?.nature?.usualGPerKg ?? WHITE_GPERKG;
  for (let whiteGPerKg = Math.min(WHITE_GPERKG, most); whiteGPerKg >= 0.5; whiteGPerKg /= 2) {
    const mix = withWhite(paints, colorant.id, white.id, whiteGPerKg, lightness);
    if ((mix[0]?.doseGPerKg ?? 0) <= colorant.usualGPerKg) return mix;
  }
  return undefined;
}

/** A white to recommend: the plan's own, or a starter that is taken along. */
interface White {
  readonly id: string;
  readonly take: (plan: Plan) => Plan;
}

function whiteFor(plan: Plan): White | undefined {
  const own = plan.colorants.find(
    (c) => c.nature?.kind === 'titanium-oil' || c.nature?.kind === 'titanium-water',
  );
  if (own) return { id: own.id, take: (p) => p };
  const starter: Colorant | undefined = STARTER_COLORANTS.find((c) => c.nature.kind === 'titanium-oil');
  return starter && { id: starter.id, take: (p) => takeColorant(p, starter) };
}

/** From so much purple on it is one, L*a*b* units along the colorant's own hue: nothing to warn of. */
const CLEAR_PURPLE = 12;

/** How much purple is left, in words: L*a*b* units along the colorant's own hue. */
const purpleLeft = (units: number): string =>
  units < 1
    ? 'no purple at all'
    : units < 5
      ? 'hardly a purple'
      : units < CLEAR_PURPLE
        ? 'a soft purple'
        : 'a clear purple';

interface Greying {
  /** how much of the colorant's own hue is left, L*a*b* units: as it is, and with white instead of less */
  readonly now: number;
  readonly withWhite: number;
  readonly hex: string;
  readonly cleaner: Mix;
}

/** Whether a mix of one purple colorant is pale from being little, and what white would do for it. */
function greyingOf(plan: Plan, paints: Paintbox, mix: Mix, white: White): Greying | undefined {
  const [only, ...others] = mix.filter((m) => m.doseGPerKg > 0);
  const nature = plan.colorants.find((c) => c.id === only?.colorant)?.nature;
  if (!only || others.length > 0 || !nature) return undefined;
  const hue = hueOf(labOfHex(nature.colour));
  const body = paints.bodyOf(mix);
  const now = labOfBody(body);
  if (hue < GREYS.from || hue > GREYS.to || now[0] < PALE || only.doseGPerKg > nature.doseGPerKg / 2)
    return undefined;
  const known = { id: only.colorant, usualGPerKg: nature.usualGPerKg };
  const cleaner = withinUsual(plan, paints, known, white, now[0]);
  if (!cleaner) return undefined;
  const angle = (hue * Math.PI) / 180;
  const along = ([, a, b]: Lab): number => a * Math.cos(angle) + b * Math.sin(angle);
  const after = along(labOfBody(paints.bodyOf(cleaner)));
  return along(now) >= CLEAR_PURPLE || after < along(now) + WORTH_IT
    ? undefined
    : { now: along(now), withWhite: after, hex: hexOfBody(body), cleaner };
}

/** A pale purple made with little colorant goes grey on cream batter; the same with white stays clean. */
export function greyPurples({ plan }: Facts): Warning[] {
  const white = whiteFor(plan);
  if (!white) return [];
  const whitened = white.take(plan);
  return mixedPots(plan).flatMap((p): Warning[] => {
    const paints = paintboxOf(whitened, plannedState(plan, 'cured'), p.id);
    const grey = greyingOf(plan, paints, p.colorants, white);
    if (!grey) return [];
    return [
      warn(
        { station: 'colour', pot: p.id },
        'pale-purple-greys',
        `Pot ${p.letter} is a pale purple from little colorant: the cream of the batter greys it to ${purpleLeft(grey.now)}. ${figure(grey.cleaner[0]?.doseGPerKg ?? 0)} with ${figure(grey.cleaner[1]?.doseGPerKg ?? 0)} of white is as light and stays ${purpleLeft(grey.withWhite)} (purple ${formatShort(grey.now, 1)} against ${formatShort(grey.withWhite, 1)}).`,
        [
          remedy(`Use white instead of less in pot ${p.letter}`, (q) =>
            updatePot(white.take(q), p.id, { colorants: grey.cleaner }),
          ),
        ],
      ),
    ];
  });
}

const startWhite = (plan: Plan, ombre: Ombre, white: White): Plan =>
  updateOmbre(white.take(plan), ombre.id, {
    from: withDose(ombre.from, white.id, WHITE_GPERKG),
    to: withDose(ombre.to, white.id, WHITE_GPERKG),
  });

/** A purple ombre out of plain batter: its pale layers go grey, out of whitened batter they do not. */
export function greyOmbres({ plan }: Facts): Warning[] {
  const white = whiteFor(plan);
  if (!white) return [];
  const paints = paintboxOf(white.take(plan), plannedState(plan, 'cured'));
  return plan.ombres.flatMap((ombre): Warning[] => {
    const palest = shadesOf(plan, ombre)
      .filter((s) => s.mix.some((m) => m.doseGPerKg > 0))
      .slice(0, LOOKED_AT);
    let grey: { readonly nth: number; readonly found: Greying } | undefined;
    for (const shade of palest) {
      const found = greyingOf(plan, paints, shade.mix, white);
      if (found) grey ??= { nth: shade.nth + 1, found };
      if (grey) break;
    }
    if (!grey) return [];
    const { now, withWhite: whitened } = grey.found;
    return [
      warn(
        { station: 'colour' },
        'pale-purple-greys',
        `The pale layers of ${ombre.name}, from layer ${grey.nth}, are purple from little colorant, which the cream of the batter greys: that layer is ${purpleLeft(now)}; with white it would be ${purpleLeft(whitened)} at the same lightness (purple ${formatShort(now, 1)} against ${formatShort(whitened, 1)}).`,
        [remedy(`Whiten all of it with ${figure(WHITE_GPERKG)}`, (q) => startWhite(q, ombre, white))],
      ),
    ];
  });
}
