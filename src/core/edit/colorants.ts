import { potNamed } from '../plan/sources.ts';
import type { OmbreId, PotId } from '../validate/ids.ts';
import { CARRIER_DENSITY } from '../colorant/dispersion.ts';
import type { Colorant, PlanColorant } from '../colorant/schema.ts';
import { SHOWS } from '../colour/thresholds.ts';
import type { ColourMatch } from '../look/matchColour.ts';
import type { FoundColour } from '../look/matchPots.ts';
import type { Mix } from '../plan/ombreSchema.ts';
import type { Plan } from '../plan/planSchema.ts';
import { freshId } from './freshId.ts';
import { updatePot } from './pots.ts';

/** Take the plan's own copy of a colorant of the library; the one it has of that id is brought up to date. */
export function takeColorant(plan: Plan, { id, name, nature }: Colorant): Plan {
  const copy: PlanColorant = { id, name, nature };
  return plan.colorants.some((c) => c.id === id)
    ? { ...plan, colorants: plan.colorants.map((c) => (c.id === id ? copy : c)) }
    : { ...plan, colorants: [...plan.colorants, copy] };
}

export const renameColorant = (plan: Plan, id: string, name: string): Plan => ({
  ...plan,
  colorants: plan.colorants.map((c) => (c.id === id ? { ...c, name } : c)),
});

/** Describe a colorant of the plan as one of the library is: its pots and ombres take that one instead. */
export function describeAs(plan: Plan, id: string, known: Colorant): Plan {
  const swap = (mix: Mix): Mix => {
    const has = mix.some((m) => m.colorant === known.id);
    return mix.flatMap((m) => {
      if (m.colorant !== id) return [m];
      return has && id !== known.id ? [] : [{ ...m, colorant: known.id }];
    });
  };
  return withoutUnused({
    ...takeColorant(plan, known),
    pots: plan.pots.map((p) => ({ ...p, colorants: swap(p.colorants) })),
    ...(plan.second
      ? {
          second: {
            ...plan.second,
            pots: plan.second.pots.map((p) => ({ ...p, colorants: swap(p.colorants) })),
          },
        }
      : {}),
    ombres: plan.ombres.map((o) => ({ ...o, from: swap(o.from), to: swap(o.to) })),
    steps: plan.steps.map((s) => (s.kind === 'mica' && s.colorant === id ? { ...s, colorant: known.id } : s)),
  });
}

/** Take out what no pot, no ombre and no line between layers names any more. */
export function withoutUnused(plan: Plan): Plan {
  const used = new Set([
    ...[...plan.pots, ...(plan.second?.pots ?? [])].flatMap((p) => p.colorants.map((c) => c.colorant)),
    ...plan.ombres.flatMap((o) => [...o.from, ...o.to].map((c) => c.colorant)),
    ...plan.steps.flatMap((s) => (s.kind === 'mica' ? [s.colorant] : [])),
  ]);
  const colorants = plan.colorants.filter((c) => used.has(c.id));
  return colorants.length === plan.colorants.length ? plan : { ...plan, colorants };
}

/** A mix with a colorant at a dose; it is put in when it is not there yet. */
export const withDose = (mix: Mix, colorant: string, doseGPerKg: number): Mix =>
  mix.some((m) => m.colorant === colorant)
    ? mix.map((m) => (m.colorant === colorant ? { ...m, doseGPerKg } : m))
    : [...mix, { colorant, doseGPerKg }];

/**
 * Put a colorant of the library into a pot at its stated dose. A pot that was drawn in a colour given by hand
 * shows at once what it makes.
 */
export function addToPot(plan: Plan, potId: PotId, colorant: Colorant): Plan {
  const taken = takeColorant(plan, colorant);
  return mixPot(setDose(taken, potId, colorant.id, colorant.nature.doseGPerKg), potId);
}

/**
 * Put a colorant that is not in the library into a pot, by its name alone. The pot is drawn in the colour
 * given by hand.
 */
export function addNamed(plan: Plan, potId: PotId, name: string): Plan {
  const id = freshId('k', plan.colorants);
  return {
    ...plan,
    colorants: [...plan.colorants, { id, name: name.slice(0, 60) }],
    pots: plan.pots.map((p) => (p.id === potId ? { ...p, colorants: withDose(p.colorants, id, 3) } : p)),
  };
}

export const setDose = (plan: Plan, potId: PotId, colorant: string, doseGPerKg: number): Plan => {
  const pot = potNamed(plan, potId);
  return pot ? updatePot(plan, potId, { colorants: withDose(pot.colorants, colorant, doseGPerKg) }) : plan;
};

export const takeFromPot = (plan: Plan, potId: PotId, colorant: string): Plan => {
  const pot = potNamed(plan, potId);
  return pot
    ? withoutUnused(
        updatePot(plan, potId, { colorants: pot.colorants.filter((c) => c.colorant !== colorant) }),
      )
    : plan;
};

/**
 * Colorants and doses that were found for a colour, in place of what the pot had; it is drawn as they mix.
 */
export function takeMatch(
  plan: Plan,
  potId: PotId,
  { colorants, mix }: { readonly colorants: readonly Colorant[]; readonly mix: Mix },
): Plan {
  const taken = colorants.reduce(
    (p, c) => (p.colorants.some((own) => own.id === c.id) ? p : takeColorant(p, c)),
    plan,
  );
  return withoutUnused(mixPot(updatePot(taken, potId, { colorants: mix }), potId));
}

/** Plain soap that is as near to what is wanted as this needs no colorant, CIEDE2000. A judgement. */
const NEAR_ENOUGH = SHOWS;

/**
 * What a pot is to take of what was found for it: the best match, or nothing where plain soap does as well.
 */
export const bestOf = ({ plainAway, matches }: FoundColour): ColourMatch | 'plain' | undefined => {
  const [best] = matches;
  return plainAway <= Math.max(NEAR_ENOUGH, best?.difference ?? 0) ? 'plain' : best;
};

/** Give every pot the best of what was found for it; one that nothing was found for stays as it is drawn. */
export const takeFound = (plan: Plan, found: readonly FoundColour[]): Plan =>
  found.reduce((now, of) => {
    const best = bestOf(of);
    if (best === undefined) return now;
    return best === 'plain' ? mixPot(now, of.pot) : takeMatch(now, of.pot, best);
  }, plan);

/** A diluted stock: so many grams of carrier to a gram of powder. */
export const DILUTED_G_PER_G = 10;

/**
 * Draw an ombre's colorants from diluted stocks: the fine scale then weighs less powder with each of its
 * steps.
 */
export function fromDilutedStock(plan: Plan, ombreId: OmbreId): Plan {
  const ombre = plan.ombres.find((o) => o.id === ombreId);
  if (!ombre) return plan;
  const graded = new Set([...ombre.from, ...ombre.to].map((m) => m.colorant));
  return {
    ...plan,
    ombres: plan.ombres.map((o) => (o === ombre ? { ...o, measure: 'stock' } : o)),
    colorants: plan.colorants.map((c) => {
      if (!c.nature || !graded.has(c.id)) return c;
      const wanted = Math.round((DILUTED_G_PER_G / CARRIER_DENSITY[c.nature.carrier]) * 100) / 100;
      return { ...c, nature: { ...c.nature, carrierMlPerG: Math.max(c.nature.carrierMlPerG, wanted) } };
    }),
  };
}

/** The pot looks as its colorants make it; a colour given by hand is dropped. */
export const mixPot = (plan: Plan, potId: PotId): Plan => ({
  ...plan,
  pots: plan.pots.map((p) => {
    if (p.id !== potId) return p;
    const { colour: _colour, ...rest } = p;
    return rest;
  }),
});
