import type { PotId } from '../validate/ids.ts';
import { potBesidePours } from '../plan/held.ts';
import { isFrom, leadPot, poursFrom } from '../plan/sources.ts';
import { fail, ok, type Result } from '../result/result.ts';
import type { Plan, Pot } from '../plan/planSchema.ts';
import { layPlan } from '../fill/layPlan.ts';
import { freshId } from './freshId.ts';

/** Colours for new pots, in the order they are offered: upland stone and moor. */
export const POT_COLOURS: readonly { readonly name: string; readonly colour: string }[] = [
  { name: 'Chalk', colour: '#ece4d2' },
  { name: 'Slate', colour: '#5f6c78' },
  { name: 'Weir copper', colour: '#b5663a' },
  { name: 'Moss', colour: '#77854f' },
  { name: 'Heather', colour: '#94719c' },
  { name: 'Peat', colour: '#4b3a30' },
  { name: 'Bracken', colour: '#b98b3e' },
  { name: 'Pool green', colour: '#5f8f81' },
  { name: 'Lichen', colour: '#cdc48d' },
  { name: 'Granite', colour: '#a9a39b' },
];

function freeLetter(pots: readonly Pot[]): string {
  const taken = new Set(pots.map((p) => p.letter));
  for (const digit of ['', '2', '3'])
    for (let code = 65; code < 91; code += 1) {
      const letter = String.fromCharCode(code) + digit;
      if (!taken.has(letter)) return letter;
    }
  return 'Z9';
}

/** The next pot that neither the loaf's batch nor the one that is piped on it has. */
export function newPot(plan: Pick<Plan, 'pots' | 'second'>, prefix: string): Pot {
  const taken = [...plan.pots, ...(plan.second?.pots ?? [])];
  const names = new Set(taken.map((p) => p.name));
  const look = POT_COLOURS.find((c) => !names.has(c.name)) ?? { name: 'New pot', colour: '#c9c0b2' };
  return { id: freshId(prefix, taken), letter: freeLetter(taken), ...look, stage: 1, colorants: [] };
}

export function addPot(plan: Plan): { readonly plan: Plan; readonly potId: PotId } {
  const pot = newPot(plan, 'p');
  return { plan: { ...plan, pots: [...plan.pots, pot] }, potId: pot.id };
}

export const updatePot = (plan: Plan, potId: PotId, change: Partial<Omit<Pot, 'id'>>): Plan => ({
  ...plan,
  pots: plan.pots.map((p) => (p.id === potId ? { ...p, ...change } : p)),
});

export const isPoured = (plan: Plan, potId: PotId): boolean => plan.steps.some((s) => isFrom(s, potId));

/** It goes onto the loaf beside its pours: heaped on top, or into the hollows of a mat. */
const isHeaped = (plan: Plan, potId: PotId): boolean => plan.steps.some((s) => potBesidePours(s) === potId);

/**
 * Take out a pot that nothing is poured from, and nothing heaped; with it goes what it held back. Otherwise
 * the plan as it was.
 */
export function removePot(plan: Plan, potId: PotId): Plan {
  if (isPoured(plan, potId) || isHeaped(plan, potId) || plan.pots.length === 1) return plan;
  return keepPots(
    plan,
    plan.pots.filter((p) => p.id !== potId),
  );
}

/** The pot in a jug of its own, or in the one that another leaves empty. */
export function inJug(pot: Pot, jugOf: string | undefined): Pot {
  const { jugOf: _jug, ...own } = pot;
  return jugOf === undefined ? own : { ...own, jugOf };
}

/**
 * Only these pots stay: what the others held back goes with them, and who took their jug gets one of its own.
 */
export function keepPots(plan: Plan, kept: readonly Pot[]): Plan {
  const stays = (id: string | undefined): boolean => kept.some((p) => p.id === id);
  return {
    ...plan,
    pots: kept.map((p) => (p.jugOf === undefined || stays(p.jugOf) ? p : inJug(p, undefined))),
    fill: { ...plan.fill, top: plan.fill.top.filter((t) => stays(t.pot)) },
    steps: plan.steps.filter((s) => {
      const pot = potBesidePours(s);
      return pot === undefined || stays(pot);
    }),
  };
}

/** Hold back `massG` of one pot for the top; 0 takes the entry out. */
export function holdBack(plan: Plan, potId: PotId, massG: number): Plan {
  const others = plan.fill.top.filter((t) => t.pot !== potId);
  const top = massG > 0 ? [...others, { pot: potId, massG }] : others;
  return { ...plan, fill: { ...plan.fill, top } };
}

/**
 * Set the whole top allowance, g: what is held back already keeps its proportions; with nothing held back yet
 * it comes from the pot poured last.
 */
export function setTopAllowance(plan: Plan, totalG: number): Plan {
  const held = plan.fill.top.reduce((s, t) => s + t.massG, 0);
  if (totalG <= 0) return { ...plan, fill: { ...plan.fill, top: [] } };
  const last = plan.steps.findLast((s) => s.kind === 'pour');
  const lastPot = last ? leadPot(last) : plan.pots.at(-1)?.id;
  if (held <= 0) return lastPot === undefined ? plan : holdBack(plan, lastPot, totalG);
  const top = plan.fill.top.map((t) => ({ ...t, massG: (t.massG * totalG) / held }));
  return { ...plan, fill: { ...plan.fill, top } };
}

/** Hold back `totalG` in all, the same from every pot that is poured. */
export function holdBackEvenly(plan: Plan, totalG: number): Plan {
  const poured = plan.pots.filter((p) => isPoured(plan, p.id));
  const top = poured.map((p) => ({ pot: p.id, massG: Math.ceil((totalG * 10) / poured.length) / 10 }));
  return { ...plan, fill: { ...plan.fill, top } };
}

/**
 * Make a pot's pours add up to `percent` of the batter in the mould, in the proportion of their volumes
 * now. The pours become `percent` pours.
 */
export function setPotShare(plan: Plan, potId: PotId, percent: number): Result<Plan> {
  const volumes = new Map(layPlan(plan).stack.layers.map((l) => [l.pour.id, l.volumeMl] as const));
  const own = poursFrom(plan, potId).map((p) => p.id);
  const total = own.reduce((s, id) => s + (volumes.get(id) ?? 0), 0);
  if (own.length === 0 || total <= 0) return fail('pot-not-poured', 'This pot is not poured anywhere yet');
  if (poursFrom(plan, potId).some((p) => p.pattern && p.pattern.then.length > 0))
    return fail(
      'pot-in-rounds',
      'It is poured in rounds with others: change the share of that pour in Design',
    );
  if (percent < 0.1 || percent > 100)
    return fail('share-out-of-range', `${percent} % is outside 0.1 to 100 %`);
  return ok({
    ...plan,
    steps: plan.steps.map((s) =>
      isFrom(s, potId)
        ? { ...s, amount: { kind: 'percent', percent: (percent * (volumes.get(s.id) ?? 0)) / total } }
        : s,
    ),
  });
}
