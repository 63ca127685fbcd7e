import type { OmbreId, PotId } from '../validate/ids.ts';
import { outOf, potsOf, poursFrom } from '../plan/sources.ts';
import { runsOf } from '../ombre/runs.ts';
import { shadesOf } from '../ombre/shades.ts';
import type { Ombre } from '../plan/ombreSchema.ts';
import { heldPots } from '../plan/held.ts';
import type { Plan, Pot } from '../plan/planSchema.ts';
import { addPot, keepPots } from './pots.ts';

/** Shades closer than this are the same shade, and can come from the same pot. */
const SAME_SHADE = 1e-9;

/** Pours by the pot they need: one for each run that starts afresh, or one for each different shade. */
function groups(plan: Plan, ombre: Ombre): readonly (readonly string[])[] {
  if (ombre.school === 'one-pot') {
    const result: string[][] = [];
    for (const run of runsOf(plan, ombre.id)) {
      const ids = run.pours.map((p) => p.id);
      const last = result.at(-1);
      if (run.goesOn && last) last.push(...ids);
      else result.push(ids);
    }
    return result;
  }
  const result: { t: number; ids: string[] }[] = [];
  for (const shade of shadesOf(plan, ombre)) {
    const same = result.find((g) => Math.abs(g.t - shade.t) < SAME_SHADE);
    if (same) same.ids.push(shade.pourId);
    else result.push({ t: shade.t, ids: [shade.pourId] });
  }
  return result.map((g) => g.ids);
}

const pouredFrom = (plan: Plan, potId: PotId, except: ReadonlySet<string>): boolean =>
  poursFrom(plan, potId).some((p) => !except.has(p.id)) || heldPots(plan).has(potId);

const nameOf = (ombre: Ombre, nth: number, count: number): string =>
  (count === 1 ? ombre.name : `${ombre.name.slice(0, 56)} ${nth + 1}`).slice(0, 60);

/**
 * Give every layer of an ombre the pot its school asks for. Pots it has already are used again, in their
 * order; new ones are added, and those no longer needed go, unless other pours or the top use them.
 */
export function repot(plan: Plan, ombreId: OmbreId): Plan {
  const ombre = plan.ombres.find((o) => o.id === ombreId);
  if (!ombre) return plan;
  const wanted = groups(plan, ombre);
  const own = new Set(wanted.flat());
  const had = [
    ...new Set(plan.steps.flatMap((s) => (s.kind === 'pour' && own.has(s.id) ? potsOf(s) : []))),
  ].filter((id) => poursFrom(plan, id).every((p) => own.has(p.id)));
  let next = plan;
  const potOf = new Map<string, string>();
  const used: string[] = [];
  wanted.forEach((ids, nth) => {
    let potId = had[nth];
    if (potId === undefined) {
      const added = addPot(next);
      next = added.plan;
      potId = added.potId;
    }
    used.push(potId);
    for (const id of ids) potOf.set(id, potId);
    next = {
      ...next,
      pots: next.pots.map((p): Pot => {
        if (p.id !== potId) return p;
        const { colour: _colour, ...rest } = p;
        const fresh = !had.includes(p.id) || p.colorants.length > 0 || p.colour !== undefined;
        return { ...rest, colorants: [], name: fresh ? nameOf(ombre, nth, wanted.length) : p.name };
      }),
    };
  });
  const spare = had.filter((id) => !used.includes(id) && !pouredFrom(plan, id, own));
  const kept = keepPots(
    next,
    next.pots.filter((p) => !spare.includes(p.id)),
  );
  return {
    ...kept,
    steps: next.steps.map((s) => {
      const pot = s.kind === 'pour' ? potOf.get(s.id) : undefined;
      return s.kind === 'pour' && pot !== undefined ? outOf(s, pot) : s;
    }),
  };
}
