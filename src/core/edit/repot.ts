import type { OmbreId, PotId } from '../validate/ids.ts';
import { outOf, potsOf, poursFrom } from '../plan/sources.ts';
import { runsOf } from '../ombre/runs.ts';
import { isShadeName, shadeNames } from '../ombre/shadeNames.ts';
import { shadesOf } from '../ombre/shades.ts';
import type { Ombre } from '../plan/ombreSchema.ts';
import { heldPots } from '../plan/held.ts';
import type { Plan, Pot } from '../plan/planSchema.ts';
import { addPot, keepPots } from './pots.ts';

/** Shades closer than this are the same shade, and can come from the same pot. */
const SAME_SHADE = 1e-9;

/** What one pot is poured for, and what it is called. */
interface PotWanted {
  readonly pours: readonly string[];
  readonly name: string;
}

/** The pots an ombre needs: one for each run that starts afresh, or one for each different shade. */
function potsWanted(plan: Plan, ombre: Ombre): readonly PotWanted[] {
  if (ombre.school === 'one-pot') {
    const runs: string[][] = [];
    for (const run of runsOf(plan, ombre.id)) {
      const ids = run.pours.map((p) => p.id);
      const last = runs.at(-1);
      if (run.goesOn && last) last.push(...ids);
      else runs.push(ids);
    }
    return runs.map((pours, i) => ({
      pours,
      name: runs.length === 1 ? ombre.name : `${ombre.name.slice(0, 56)} ${i + 1}`,
    }));
  }
  const shades: { t: number; pours: string[] }[] = [];
  for (const shade of shadesOf(plan, ombre)) {
    const same = shades.find((g) => Math.abs(g.t - shade.t) < SAME_SHADE);
    if (same) same.pours.push(shade.pourId);
    else shades.push({ t: shade.t, pours: [shade.pourId] });
  }
  const names = shadeNames(
    plan,
    ombre,
    shades.map((g) => g.t),
  );
  return shades.map(({ pours }, i) => ({ pours, name: names[i] ?? ombre.name }));
}

const pouredFrom = (plan: Plan, potId: PotId, except: ReadonlySet<string>): boolean =>
  poursFrom(plan, potId).some((p) => !except.has(p.id)) || heldPots(plan).has(potId);

/**
 * Give every layer of an ombre the pot its school asks for. Pots it has already are used again, in their
 * order; new ones are added, and those no longer needed go, unless other pours or the top use them.
 */
export function repot(plan: Plan, ombreId: OmbreId): Plan {
  const ombre = plan.ombres.find((o) => o.id === ombreId);
  if (!ombre) return plan;
  const wanted = potsWanted(plan, ombre);
  const own = new Set(wanted.flatMap((w) => w.pours));
  const had = [
    ...new Set(plan.steps.flatMap((s) => (s.kind === 'pour' && own.has(s.id) ? potsOf(s) : []))),
  ].filter((id) => poursFrom(plan, id).every((p) => own.has(p.id)));
  let next = plan;
  const potOf = new Map<string, string>();
  const used: string[] = [];
  wanted.forEach(({ pours, name }, nth) => {
    let potId = had[nth];
    if (potId === undefined) {
      const added = addPot(next);
      next = added.plan;
      potId = added.potId;
    }
    used.push(potId);
    for (const id of pours) potOf.set(id, potId);
    next = {
      ...next,
      pots: next.pots.map((p): Pot => {
        if (p.id !== potId) return p;
        const { colour: _colour, ...rest } = p;
        const fresh = !had.includes(p.id) || p.colorants.length > 0 || p.colour !== undefined;
        // a name that its maker gave it stays
        const ours = fresh || isShadeName(p.name, ombre) || p.name === ombre.name;
        return { ...rest, colorants: [], name: ours ? name : p.name };
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
