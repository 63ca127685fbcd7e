import type { PouredLayer } from '../fill/layers.ts';
import type { Plan } from '../plan/planSchema.ts';
import type { Amount } from '../plan/stepSchema.ts';

/** No layer is dragged thinner than this, ml. */
const LEAST_ML = 1;

/** The same kind of amount, holding `volumeMl`; `fillMl` is the batter that goes into the mould. */
function amountFor(
  old: Amount,
  volumeMl: number,
  riseMm: number,
  densityGMl: number,
  fillMl: number,
): Amount {
  const { kind } = old;
  switch (kind) {
    case 'height':
      return { kind, heightMm: riseMm };
    case 'mass':
      return { kind, massG: volumeMl * densityGMl };
    case 'line':
      // the mark it comes to follows from the mass
      return { kind: 'mass', massG: volumeMl * densityGMl };
    case 'percent':
      return { kind, percent: (volumeMl / fillMl) * 100 };
    case 'rest':
      return { kind, parts: volumeMl };
  }
}

interface LineMove {
  readonly layers: readonly PouredLayer[];
  /** position of the pour whose upper line moves */
  readonly index: number;
  /** by how much its surface rises, mm square to itself, and the volume that takes, ml; negative lowers it */
  readonly byMm: number;
  readonly byMl: number;
  readonly fillMl: number;
}

/** The first unlocked pour above the line: what the layer below gains, this one gives. */
const giverOf = ({ layers, index }: LineMove): number =>
  layers.findIndex((l, i) => i > index && l.room === layers[index]?.room && !l.pour.locked);

export const canMoveLine = (layers: readonly PouredLayer[], index: number): boolean =>
  layers[index]?.pour.locked === false &&
  layers.some((l, i) => i > index && l.room === layers[index]?.room && !l.pour.locked);

/** Whether a pour is the uppermost of its compartment: its line is the fill. */
export const isUppermost = (layers: readonly PouredLayer[], index: number): boolean =>
  !layers.some((l, i) => i > index && l.room === layers[index]?.room);

/**
 * Move the line on top of a pour: it takes `byMl` from the next unlocked pour above (or gives it); every
 * other pour keeps its volume. Each pour keeps the kind of amount it has; `rest` pours are frozen at their
 * present proportions. Held so that neither layer gets thinner than 1 ml. The plan as it was when nothing can
 * give.
 */
export function moveLine(plan: Plan, move: LineMove): Plan {
  const { layers, index } = move;
  const taker = layers[index];
  const giver = layers[giverOf(move)];
  if (!taker || !giver || taker.pour.locked || move.byMl === 0) return plan;
  const by = Math.min(giver.volumeMl - LEAST_ML, Math.max(LEAST_ML - taker.volumeMl, move.byMl));
  const rise = (layer: PouredLayer, change: number): number =>
    Math.max(0.1, layer.riseMm + (move.byMm * change) / move.byMl);
  const wanted = new Map([
    [taker.pour.id, { volumeMl: taker.volumeMl + by, riseMm: rise(taker, by) }],
    [giver.pour.id, { volumeMl: giver.volumeMl - by, riseMm: rise(giver, -by) }],
  ]);
  return {
    ...plan,
    steps: plan.steps.map((s) => {
      if (s.kind !== 'pour') return s;
      const layer = layers.find((l) => l.pour.id === s.id);
      const now = wanted.get(s.id) ?? layer;
      if (!now || (!wanted.has(s.id) && s.amount.kind !== 'rest')) return s;
      return {
        ...s,
        amount: amountFor(s.amount, now.volumeMl, now.riseMm, layer?.densityGMl ?? 1, move.fillMl),
      };
    }),
  };
}

/** Lock a pour at what it takes now, or let it go. A `rest` pour is fixed at its present mass. */
export function toggleLock(plan: Plan, layer: PouredLayer): Plan {
  return {
    ...plan,
    steps: plan.steps.map((s) => {
      if (s.kind !== 'pour' || s.id !== layer.pour.id) return s;
      const fixed: Amount =
        s.amount.kind === 'rest' ? { kind: 'mass', massG: layer.volumeMl * layer.densityGMl } : s.amount;
      return { ...s, locked: !s.locked, amount: s.locked ? s.amount : fixed };
    }),
  };
}
