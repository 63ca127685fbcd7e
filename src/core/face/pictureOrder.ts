import { difference } from '../colour/difference.ts';
import { labOfHex } from '../colour/lab.ts';
import { layPlan } from '../fill/layPlan.ts';
import type { LaidMould } from '../fill/laid.ts';
import type { Plan, Pot } from '../plan/planSchema.ts';
import { depositKey, potNamed, roundOf } from '../plan/sources.ts';
import type { Pour } from '../plan/stepSchema.ts';
import type { Task } from '../task/task.ts';
import type { PotId, StepId } from '../validate/ids.ts';
import { sectionAt, topFace } from './loafFaces.ts';
import { countEdges } from './edges.ts';
import { noneReady, readyFrom } from './ready.ts';
import type { FramedFace } from './framed.ts';

/** An order of a round's pots, and how much neighbours differ in the picture that it gives. */
export interface PictureOrder {
  readonly order: readonly PotId[];
  /** the mean of CIEDE2000 over all edges between two of its pots */
  readonly contrast: number;
}

export interface OrderWanted {
  readonly plan: Plan;
  readonly pourId: StepId;
  /** "#rrggbb" by pot */
  readonly colours: ReadonlyMap<string, string>;
}

export interface OrdersFound {
  readonly now: number;
  readonly best: readonly PictureOrder[];
}

/** More difference than this reads as no more contrast. A judgement, no source. */
const ENOUGH = 80;

/**
 * All orders are tried up to so many turns; of more, turns are changed for one another as long as that helps.
 */
const ALL_UP_TO = 7;

/** So many are told of. */
const TOLD = 3;

/**
 * A copy of the plan in which every turn of a round has a pot of its own: what lies beside what does not
 * depend on colours.
 */
function turnsApart(plan: Plan, pour: Pour): { readonly plan: Plan; readonly keys: readonly string[] } {
  const clones = roundOf(pour).flatMap((id, i): Pot[] => {
    const pot = potNamed(plan, id);
    return pot ? [{ ...pot, id: `turn-${i}` }] : [];
  });
  const [first, ...then] = clones.map((c) => c.id);
  const apart: Pour = {
    ...pour,
    pot: first ?? pour.pot,
    ...(pour.pattern ? { pattern: { ...pour.pattern, then } } : {}),
  };
  return {
    plan: {
      ...plan,
      pots: [...plan.pots, ...clones],
      steps: plan.steps.map((s) => (s.id === pour.id ? apart : s)),
    },
    keys: clones.map((c) => depositKey(apart, c.id)),
  };
}

const facesOf = (laid: LaidMould): readonly FramedFace[] => [
  topFace(laid),
  ...[0.25, 0.4, 0.5].map((at) => sectionAt(laid, laid.geometry.most.length * at)),
];

function* permutations(n: number): Iterable<readonly number[]> {
  const list = Array.from({ length: n }, (_, i) => i);
  const counts = new Array<number>(n).fill(0);
  yield [...list];
  for (let i = 0; i < n;) {
    const count = counts[i] ?? 0;
    if (count < i) {
      const from = i % 2 === 0 ? 0 : count;
      [list[from], list[i]] = [list[i] as number, list[from] as number];
      yield [...list];
      counts[i] = count + 1;
      i = 0;
    } else {
      counts[i] = 0;
      i += 1;
    }
  }
}

/** Turns changed for one another in pairs as long as that helps, from one order. */
function climbed(start: readonly number[], scoreOf: (order: readonly number[]) => number): readonly number[] {
  let best = start;
  let most = scoreOf(best);
  for (let better = true; better;) {
    better = false;
    for (let i = 0; i < start.length; i += 1)
      for (let j = i + 1; j < start.length; j += 1) {
        const swapped = best.with(i, best[j] as number).with(j, best[i] as number);
        const score = scoreOf(swapped);
        if (score > most + 1e-9) {
          [best, most, better] = [swapped, score, true];
        }
      }
  }
  return best;
}

/**
 * Orders of a round's pots with the most contrast in this very picture: between those that lie side by side
 * in it, from above and cut, not only one after another in the list.
 */
export function* pictureOrders({ plan, pourId, colours }: OrderWanted): Task<never, OrdersFound> {
  const pour = plan.steps.find((s) => s.id === pourId);
  if (pour?.kind !== 'pour' || !pour.pattern) return { now: 0, best: [] };
  const round = roundOf(pour);
  const n = round.length;
  const apart = turnsApart(plan, pour);
  const [laid] = layPlan(apart.plan).moulds;
  yield { done: 0.1 };
  const ready = readyFrom(noneReady());
  const edges = new Float64Array(n * n);
  for (const [i, face] of facesOf(laid).entries()) {
    countEdges(face, apart.keys, ready, edges);
    yield { done: 0.2 + 0.15 * i };
  }
  const labs = round.map((id) => labOfHex(colours.get(id) ?? '#808080'));
  const apartness = labs.map((a) => labs.map((b) => Math.min(ENOUGH, difference(a, b))));
  const all = edges.reduce((s, e) => s + e, 0);
  /** `order` names, for each turn, which of the round's pots it has */
  const scoreOf = (order: readonly number[]): number => {
    let sum = 0;
    for (let i = 0; i < n; i += 1)
      for (let j = 0; j < n; j += 1)
        sum += (edges[i * n + j] as number) * (apartness[order[i] as number]?.[order[j] as number] ?? 0);
    return all > 0 ? sum / all : 0;
  };
  const asIs = round.map((_, i) => i);
  const found = new Map<string, PictureOrder>();
  const note = (order: readonly number[]): void => {
    const pots = order.map((i) => round[i] as PotId);
    found.set(pots.join(' '), { order: pots, contrast: scoreOf(order) });
  };
  if (n <= ALL_UP_TO) for (const order of permutations(n)) note(order);
  else
    for (let turn = 0; turn < n; turn += 1)
      note(climbed([...asIs.slice(turn), ...asIs.slice(0, turn)], scoreOf));
  const best = [...found.values()].sort((a, b) => b.contrast - a.contrast).slice(0, TOLD);
  return { now: scoreOf(asIs), best };
}
