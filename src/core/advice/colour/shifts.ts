import { labOfBody } from '../../colour/body.ts';
import { difference } from '../../colour/difference.ts';
import { SHOWS } from '../../colour/thresholds.ts';
import { mixPot } from '../../edit/colorants.ts';
import { plannedHeat } from '../../look/state.ts';
import { gradedPots } from '../../ombre/runs.ts';
import type { Plan } from '../../plan/planSchema.ts';
import { formatPercent, formatShort } from '../../units/format.ts';
import type { WarningCode } from '../../result/warningCodes.ts';
import type { Facts } from '../facts.ts';
import { note, remedy, warn, type Warning } from '../warning.ts';
import type { PlanBodies } from '../../ombre/coloursOf.ts';
import { curedIf } from './bodies.ts';

/** Each pot's shift between two ways of looking at it, largest first, as "A by 7.2". */
function shifts({ plan }: Facts, one: PlanBodies, other: PlanBodies): readonly string[] {
  return plan.pots
    .flatMap((p) => {
      const a = one.pots.get(p.id);
      const b = other.pots.get(p.id);
      const by = a && b ? difference(labOfBody(a), labOfBody(b)) : 0;
      return by >= SHOWS ? [{ letter: p.letter, by }] : [];
    })
    .sort((a, b) => b.by - a.by)
    .map(({ letter, by }) => `${letter} by ${formatShort(by, 1)}`);
}

export function tanned(facts: Facts): Warning[] {
  const tanning = facts.plan.batter.fragrances.filter(
    (f) => (f.vanillinPercent ?? 0) > 0 && f.doses.some((d) => d.gPerKgOils > 0),
  );
  if (tanning.length === 0) return [];
  const list = shifts(facts, facts.bodies, curedIf(facts, { scented: false }));
  if (list.length === 0) return [];
  return [
    warn(
      { station: 'colour' },
      'fragrance-tans',
      `${tanning.map((f) => `${f.name} (${formatPercent(f.vanillinPercent ?? 0)} vanillin)`).join(' and ')} will tan these pots over the cure: ${list.join(', ')} (a difference of 2 shows). Deep colours hide it. The figures are estimates.`,
    ),
  ];
}

const leaveCool = (plan: Plan): Plan => ({
  ...plan,
  steps: plan.steps.map((s) =>
    s.kind === 'finish' && s.what !== 'mist' && s.what !== 'leave-cool' ? { ...s, what: 'leave-cool' } : s,
  ),
});

/** Colours that pale in a hot oven, where the plan ends in one or in a warm wrap. */
export function paled(facts: Facts): Warning[] {
  const heat = plannedHeat(facts.plan);
  if (heat === 0) return [];
  // gelled either way: only what the heat itself takes is counted
  const list = shifts(facts, facts.bodies, curedIf(facts, { heat: 1e-9 }));
  if (list.length === 0) return [];
  return [
    warn(
      { station: 'colour' },
      'pales-in-heat',
      `${heat === 1 ? 'A warm oven' : 'A warm wrap'} will pale these pots: ${list.join(', ')}. Makers steady a yellow with a little white; a cool place keeps it.`,
      [remedy('Leave the loaf cool instead', leaveCool)],
    ),
  ];
}

/** Bleeding colorants beside lighter layers, and colorants that fade or do not survive. */
export function behaviours({ plan }: Facts): Warning[] {
  const named = (wanted: (n: NonNullable<Plan['colorants'][number]['nature']>) => boolean): string =>
    plan.colorants
      .filter((c) => c.nature && wanted(c.nature))
      .map((c) => c.name)
      .join(', ');
  const told = (code: WarningCode, names: string, text: string): Warning[] =>
    names === '' ? [] : [note({ station: 'colour' }, code, `${names}: ${text}`)];
  return [
    ...told(
      'bleeds',
      named((n) => n.bleeds),
      'bleeds into lighter layers beside it over weeks. Keep pale lines away from it.',
    ),
    ...told(
      'does-not-survive',
      named((n) => n.morph !== undefined && !n.morph.returns),
      'changes for good while the batter is fresh. The bar is drawn with the colour it turns to.',
    ),
  ];
}

/** Colorants nobody described: they add nothing to the colour that is drawn. */
export function undescribed({ plan }: Facts): Warning[] {
  return plan.pots.flatMap((p): Warning[] => {
    const names = p.colorants.flatMap((c) => {
      const known = plan.colorants.find((k) => k.id === c.colorant);
      return known && !known.nature ? [known.name] : [];
    });
    if (p.colour !== undefined || names.length === 0) return [];
    return [
      warn(
        { station: 'colour', pot: p.id },
        'colorant-unknown',
        `${names.join(', ')} in pot ${p.letter} is not described, so it adds nothing to the colour drawn. Choose it from the library, or give the pot a colour by hand.`,
      ),
    ];
  });
}

/** A pot poured by an ombre that also has colorants or a hand-given colour of its own: those do not count. */
export function overruled({ plan }: Facts): Warning[] {
  const graded = gradedPots(plan);
  return plan.pots
    .filter((p) => graded.has(p.id) && (p.colorants.length > 0 || p.colour !== undefined))
    .map((p): Warning =>
      warn(
        { station: 'colour', pot: p.id },
        'graded-pot-has-own',
        `An ombre is poured from pot ${p.letter}, so its own colorants and colour do not count.`,
        [
          remedy(`Empty pot ${p.letter} of its own colorants`, (q) => {
            const mixed = mixPot(q, p.id);
            return {
              ...mixed,
              pots: mixed.pots.map((r) => (r.id === p.id ? { ...r, colorants: [] } : r)),
            };
          }),
        ],
      ),
    );
}
