import { KIND_NAMES } from '../../colorant/schema.ts';
import { hexOfBody, labOfBody } from '../../colour/body.ts';
import { chromaOf, hueOf, labOfHex } from '../../colour/lab.ts';
import { MUD_BELOW } from '../../colour/stirring.ts';
import { setDose, takeColorant, withDose } from '../../edit/colorants.ts';
import { updateOmbre } from '../../edit/ombre.ts';
import { updatePot } from '../../edit/pots.ts';
import { paintboxOf, type Paintbox } from '../../look/paintbox.ts';
import { plannedState } from '../../look/state.ts';
import { STARTER_COLORANTS } from '../../colorant/starters.ts';
import type { Mix } from '../../plan/ombreSchema.ts';
import type { Plan, Pot } from '../../plan/planSchema.ts';
import { formatPercent, formatShort } from '../../units/format.ts';
import type { Facts } from '../facts.ts';
import type { Warning } from '../warning.ts';

const figure = (g: number): string => `${formatShort(g, 2)} g/kg`;

const isWhite = (plan: Plan, id: string): boolean => {
  const kind = plan.colorants.find((c) => c.id === id)?.nature?.kind;
  return kind === 'titanium-oil' || kind === 'titanium-water';
};

/** Doses above what is usual for the colorant, in pots and at the ends of ombres. */
export function overDosed({ plan }: Facts): Warning[] {
  const graded = new Set(plan.steps.flatMap((s) => (s.kind === 'pour' && s.ombre ? [s.pot] : [])));
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
        over(p.colorants).map((o): Warning => ({
          code: 'over-usual-dose',
          level: 'warn',
          station: 'colour',
          pot: p.id,
          message: about(`Pot ${p.letter}`, o),
          remedies: [
            {
              label: `Take ${figure(o.nature.usualGPerKg)} in pot ${p.letter}`,
              apply: (q) => setDose(q, p.id, o.id, o.nature.usualGPerKg),
            },
          ],
        })),
      ),
    ...plan.ombres.flatMap((ombre) =>
      (['from', 'to'] as const).flatMap((end) =>
        over(ombre[end]).map((o): Warning => ({
          code: 'over-usual-dose',
          level: 'warn',
          station: 'colour',
          message: about(`The ${end === 'from' ? 'first' : 'last'} layer of ${ombre.name}`, o),
          remedies: [
            {
              label: `Take ${figure(o.nature.usualGPerKg)} at the ${end === 'from' ? 'first' : 'last'} layer`,
              apply: (q) =>
                updateOmbre(q, ombre.id, { [end]: withDose(ombre[end], o.id, o.nature.usualGPerKg) }),
            },
          ],
        })),
      ),
    ),
  ];
}

const mixedPots = (plan: Plan): readonly Pot[] => {
  const graded = new Set(plan.steps.flatMap((s) => (s.kind === 'pour' && s.ombre ? [s.pot] : [])));
  return plan.pots.filter((p) => p.colour === undefined && !graded.has(p.id));
};

/** A pot whose own colorants take each other's colour away. */
export function mudInPots({ plan }: Facts): Warning[] {
  const paints = paintboxOf(plan, plannedState(plan, 'cured'));
  const chroma = (mix: Mix): number => chromaOf(labOfBody(paints.bodyOf(mix)));
  return mixedPots(plan).flatMap((p): Warning[] => {
    const coloured = p.colorants.filter(
      (c) => plan.colorants.find((k) => k.id === c.colorant)?.nature !== undefined && chroma([c]) >= 12,
    );
    if (coloured.length < 2) return [];
    const duller = Math.min(...coloured.map((c) => chroma([c])));
    const kept = chroma(coloured) / duller;
    if (kept >= MUD_BELOW) return [];
    const names = coloured.map((c) => plan.colorants.find((k) => k.id === c.colorant)?.name ?? '');
    return [
      {
        code: 'mud-in-pot',
        level: 'warn',
        station: 'colour',
        pot: p.id,
        message: `Pot ${p.letter} stirs ${names.join(' and ')} together: they take each other’s colour away and leave ${formatPercent(kept * 100, 0)} of the duller one’s. Expect mud.`,
      },
    ];
  });
}

/** Hues that go grey on cream when there is little of them: the blues, violets and purples that its yellow cancels. */
const GREYS = { from: 270, to: 345 };
/** A pale tint: lighter than this. */
const PALE = 62;
const WHITE_GPERKG = 8;

/** The same lightness from white and as much of the colorant as that takes. */
function withWhite(paints: Paintbox, colorant: string, white: string, lightness: number): Mix {
  const mixOf = (doseGPerKg: number): Mix => [
    { colorant, doseGPerKg },
    { colorant: white, doseGPerKg: WHITE_GPERKG },
  ];
  let low = 0;
  let high = 40;
  for (let i = 0; i < 30; i += 1) {
    const middle = (low + high) / 2;
    if (labOfBody(paints.bodyOf(mixOf(middle)))[0] > lightness) low = middle;
    else high = middle;
  }
  return mixOf(Math.round(low * 100) / 100);
}

/** A pale purple made with little colorant goes grey on cream batter; the same with white stays clean. */
export function greyPurples({ plan }: Facts): Warning[] {
  const white = STARTER_COLORANTS[0];
  if (!white) return [];
  const had = plan.colorants.find((c) => isWhite(plan, c.id));
  const whiteId = had?.id ?? white.id;
  const paints = paintboxOf(had ? plan : takeColorant(plan, white), plannedState(plan, 'cured'));
  return mixedPots(plan).flatMap((p): Warning[] => {
    const [only, ...others] = p.colorants;
    const nature = plan.colorants.find((c) => c.id === only?.colorant)?.nature;
    if (!only || others.length > 0 || !nature) return [];
    const hue = hueOf(labOfHex(nature.colour));
    const now = labOfBody(paints.bodyOf(p.colorants));
    if (hue < GREYS.from || hue > GREYS.to || now[0] < PALE || only.doseGPerKg > nature.doseGPerKg / 2)
      return [];
    const cleaner = withWhite(paints, only.colorant, whiteId, now[0]);
    const after = labOfBody(paints.bodyOf(cleaner));
    const purpleOf = ([, a, b]: readonly [number, number, number]): number => {
      const angle = (hue * Math.PI) / 180;
      return a * Math.cos(angle) + b * Math.sin(angle);
    };
    if (purpleOf(after) < purpleOf(now) + 2) return [];
    const dose = cleaner[0]?.doseGPerKg ?? 0;
    return [
      {
        code: 'pale-purple-greys',
        level: 'warn',
        station: 'colour',
        pot: p.id,
        message: `Pot ${p.letter} is a pale purple from little colorant: the cream of the batter greys it (${formatShort(purpleOf(now), 1)} of purple left, ${hexOfBody(paints.bodyOf(p.colorants))}). ${figure(dose)} with ${figure(WHITE_GPERKG)} of white is as light and keeps ${formatShort(purpleOf(after), 1)}.`,
        remedies: [
          {
            label: `Use white instead of less in pot ${p.letter}`,
            apply: (q) => updatePot(had ? q : takeColorant(q, white), p.id, { colorants: cleaner }),
          },
        ],
      },
    ];
  });
}
