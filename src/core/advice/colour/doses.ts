import { KIND_NAMES } from '../../colorant/schema.ts';
import { labOfBody } from '../../colour/body.ts';
import { chromaOf, labOfHex } from '../../colour/lab.ts';
import { difference } from '../../colour/difference.ts';
import { OPPOSITE, stirredName, wheelApart, wheelOf } from '../../colour/painterWheel.ts';
import { setDose, withDose } from '../../edit/colorants.ts';
import { updateOmbre } from '../../edit/ombre.ts';
import { colorantPart, makeupOf, MOST_COLORANT } from '../../fill/makeup.ts';
import { paintboxOf } from '../../look/paintbox.ts';
import { plannedState } from '../../look/state.ts';
import { gradedPots } from '../../ombre/runs.ts';
import { between } from '../../ombre/shades.ts';
import type { Mix } from '../../plan/ombreSchema.ts';
import type { Plan, Pot } from '../../plan/planSchema.ts';
import { formatPercent, formatShort } from '../../units/format.ts';
import type { Facts } from '../facts.ts';
import { note, refuse, remedy, warn, type Warning } from '../warning.ts';

/** "3.5 g/kg" */
export const figure = (g: number): string => `${formatShort(g, 2)} g/kg`;

/** Doses above what is usual for the colorant, in pots and at the ends of ombres. */
export function overDosed({ plan }: Facts): Warning[] {
  const graded = gradedPots(plan);
  const over = (mix: Mix) =>
    mix.flatMap(({ colorant, doseGPerKg }) => {
      const known = plan.colorants.find((c) => c.id === colorant);
      return known?.nature && doseGPerKg > known.nature.usualGPerKg * 1.001
        ? [{ ...known, nature: known.nature, doseGPerKg }]
        : [];
    });
  const about = (where: string, o: ReturnType<typeof over>[number]): string =>
    `${where} takes ${figure(o.doseGPerKg)} of ${o.name}: more than the usual ${figure(o.nature.usualGPerKg)} of this ${KIND_NAMES[o.nature.kind]} may colour the lather, bleed or speckle. Ask the supplier’s sheet.`;
  return [
    ...plan.pots
      .filter((p) => !graded.has(p.id))
      .flatMap((p) =>
        over(p.colorants).map((o): Warning =>
          warn({ station: 'colour', pot: p.id }, 'over-usual-dose', about(`Pot ${p.letter}`, o), [
            remedy(`Take ${figure(o.nature.usualGPerKg)} in pot ${p.letter}`, (q) =>
              setDose(q, p.id, o.id, o.nature.usualGPerKg),
            ),
          ]),
        ),
      ),
    ...plan.ombres.flatMap((ombre) =>
      (['from', 'to'] as const).flatMap((end) =>
        over(ombre[end]).map((o): Warning =>
          warn(
            { station: 'colour' },
            'over-usual-dose',
            about(`The ${end === 'from' ? 'first' : 'last'} layer of ${ombre.name}`, o),
            [
              remedy(
                `Take ${figure(o.nature.usualGPerKg)} at the ${end === 'from' ? 'first' : 'last'} layer`,
                (q) => updateOmbre(q, ombre.id, { [end]: withDose(ombre[end], o.id, o.nature.usualGPerKg) }),
              ),
            ],
          ),
        ),
      ),
    ),
  ];
}

/** Pots and ends of ombres that would be more colorant than batter. */
export function mostlyColorant({ plan, recipe, recipes }: Facts): Warning[] {
  const graded = gradedPots(plan);
  const partIn = (mix: Mix, pot?: string): number =>
    colorantPart(makeupOf(plan, pot === undefined ? recipe : recipes.ofPot(pot), mix));
  const refusal = (where: string, mix: Mix, about: Partial<Warning>): Warning[] =>
    partIn(mix, about.pot) > MOST_COLORANT
      ? [
          refuse(
            { ...about, station: 'colour' },
            'mostly-colorant',
            `${where} would be ${formatPercent(partIn(mix, about.pot) * 100, 0)} colorant and what it is dispersed in: no batter any more.`,
          ),
        ]
      : [];
  return [
    ...plan.pots
      .filter((p) => !graded.has(p.id))
      .flatMap((p) => refusal(`Pot ${p.letter}`, p.colorants, { pot: p.id })),
    ...plan.ombres.flatMap((o) => [
      ...refusal(`The first layer of ${o.name}`, o.from, {}),
      ...refusal(`The last layer of ${o.name}`, o.to, {}),
    ]),
  ];
}

/**
 * A pot that its colorants' water makes wetter than this, against the batch, is said: times. A judgement, no
 * source.
 */
const WET = 1.2;

/** Pots that clay and the like bring much water to. */
export const wetPots = ({ recipes, weights }: Facts): Warning[] =>
  (weights?.pots ?? []).flatMap(({ pot, waterPercent }): Warning[] => {
    const planned = recipes.ofPot(pot.id)?.schools.percentOfOils ?? 0;
    if (waterPercent === undefined || waterPercent < planned * WET) return [];
    return [
      note(
        { station: 'colour', pot: pot.id },
        'pot-wet',
        `Water of its colorants brings pot ${pot.letter} to ${formatPercent(waterPercent)} of its oils, where the recipe has ${formatPercent(planned)}: it thickens later, stays softer and cures longer.`,
      ),
    ];
  });

/** Pots drawn as they are mixed, ombres' apart. */
export const mixedPots = (plan: Plan): readonly Pot[] => {
  const graded = gradedPots(plan);
  return plan.pots.filter((p) => p.colour === undefined && !graded.has(p.id));
};

/**
 * A colorant counts as one of a mix's colours when it alone would shift the plain soap by this, CIEDE2000.
 */
const COLOURS = 6;

/** A colorant with less chroma than this is no colour on the wheel: white, grey, black. */
const NEUTRAL = 12;

interface Pair {
  readonly names: string;
  readonly apart: number;
  readonly becomes: string;
}

/** The two colorants of a mix that stand furthest apart on the painter's wheel, when they are opposites. */
function opposites(plan: Plan, mix: Mix): Pair | undefined {
  const paints = paintboxOf(plan, plannedState(plan, 'cured'));
  const plain = labOfBody(paints.base);
  const coloured = mix.flatMap((m) => {
    const known = plan.colorants.find((c) => c.id === m.colorant);
    const lab = known?.nature && labOfHex(known.nature.colour);
    if (!lab || chromaOf(lab) < NEUTRAL) return [];
    const shift = difference(plain, labOfBody(paints.bodyOf([m])));
    return shift >= COLOURS ? [{ name: known.name, wheel: wheelOf(lab) }] : [];
  });
  let worst: Pair | undefined;
  for (const [i, one] of coloured.entries())
    for (const other of coloured.slice(i + 1)) {
      const apart = wheelApart(one.wheel, other.wheel);
      if (apart < OPPOSITE || apart <= (worst?.apart ?? 0)) continue;
      worst = {
        names: `${one.name} and ${other.name}`,
        apart,
        becomes: stirredName(one.wheel, other.wheel),
      };
    }
  return worst;
}

const opposite = ({ names, apart, becomes }: Pair): string =>
  `${names} are nearly opposite on the painter’s wheel (${formatShort(apart, 0)}° apart): stirred together they become ${becomes}.`;

/**
 * Colours that are stirred together and take each other's colour away: in a pot, or along an ombre between
 * two of them.
 */
export function mud({ plan }: Facts): Warning[] {
  return [
    ...mixedPots(plan).flatMap((p): Warning[] => {
      const pair = opposites(plan, p.colorants);
      return pair
        ? [
            warn(
              { station: 'colour', pot: p.id },
              'mud-in-pot',
              `Pot ${p.letter}: ${opposite(pair)} Expect mud.`,
            ),
          ]
        : [];
    }),
    ...plan.ombres.flatMap((o): Warning[] => {
      const pair = opposites(plan, between(o.from, o.to, 0.5));
      return pair
        ? [
            warn(
              { station: 'colour' },
              'mud-in-ombre',
              `${o.name}: ${opposite(pair)} The layers between the ends will be mud.`,
            ),
          ]
        : [];
    }),
  ];
}
