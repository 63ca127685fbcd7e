import { MOST_POTS, type Dose } from '../batter/schema.ts';
import type { Plan, Pot } from '../plan/planSchema.ts';
import type { PotId } from '../validate/ids.ts';
import { newPot } from './pots.ts';

const dosesOf = ({ batter }: Plan): readonly Dose[] =>
  [...batter.additives, ...batter.lateOils, ...batter.fragrances].flatMap((a) => a.doses);

/** What goes into a pot goes into its likes too. */
function dosed(plan: Plan, alike: ReadonlyMap<PotId, readonly PotId[]>): Plan {
  const inAll = <A extends { readonly doses: readonly Dose[] }>(a: A): A => ({
    ...a,
    doses: a.doses.map((d) =>
      d.pots ? { ...d, pots: d.pots.flatMap((p) => [p, ...(alike.get(p) ?? [])]) } : d,
    ),
  });
  const { additives, lateOils, fragrances } = plan.batter;
  return {
    ...plan,
    batter: {
      ...plan.batter,
      additives: additives.map(inAll),
      lateOils: lateOils.map(inAll),
      fragrances: fragrances.map(inAll),
    },
  };
}

/**
 * The pots that plain pours draw on more than once, as far as nothing is stirred into what is left of them on
 * the way.
 */
function drawnOften(plan: Plan): ReadonlySet<PotId> {
  const onTheWay = new Set(dosesOf(plan).flatMap((d) => (d.fromPour === undefined ? [] : (d.pots ?? []))));
  const pours = plan.steps.filter((s) => s.kind === 'pour');
  return new Set(
    plan.pots
      .filter(({ id }) => !onTheWay.has(id))
      .filter(({ id }) => pours.filter((s) => !s.pattern && !s.ombre && s.pot === id).length > 1)
      .map((p) => p.id),
  );
}

export const hasJugsDrawnOften = (plan: Plan): boolean => drawnOften(plan).size > 0;

/**
 * Every level pour out of a jug of its own: one that takes from a pot that was poured before gets another of
 * its colour, as long as there may be more of them.
 */
export function jugEach(plan: Plan): Plan {
  const often = drawnOften(plan);
  const seen = new Set<PotId>();
  const alike = new Map<PotId, PotId[]>();
  const pots: Pot[] = [...plan.pots];
  const steps = plan.steps.map((s) => {
    if (s.kind !== 'pour' || s.pattern || s.ombre || !often.has(s.pot)) return s;
    const of = pots.find((p) => p.id === s.pot);
    if (!of || !seen.has(s.pot) || pots.length >= MOST_POTS) {
      seen.add(s.pot);
      return s;
    }
    const { id, letter } = newPot({ ...plan, pots }, 'p');
    const nth = pots.filter((p) => p.name.startsWith(of.name)).length + 1;
    pots.push({ ...of, id, letter, name: `${of.name} ${nth}` });
    alike.set(s.pot, [...(alike.get(s.pot) ?? []), id]);
    return { ...s, pot: id };
  });
  return dosed({ ...plan, pots, steps }, alike);
}
