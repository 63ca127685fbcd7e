import { layPlan } from '../fill/layPlan.ts';
import { mouldGeometry } from '../mould/geometry.ts';
import type { Mould } from '../mould/schema.ts';
import { tiltHolds } from '../mould/spill.ts';
import { holeMassG } from '../pattern/hole.ts';
import { wayNamed, type Place } from '../ways/ways.ts';
import { SPLIT_JUG, THIN_PERCENT } from '../ways/splitJug.ts';
import type { Plan } from '../plan/planSchema.ts';
import type { Pour } from '../plan/stepSchema.ts';
import type { PotId, StepId } from '../validate/ids.ts';
import { layOnFluid } from './clock.ts';
import { addPattern, addPull, addStroke } from './pattern.ts';
import { plainPour } from './plainPour.ts';
import { holdBackEvenly } from './pots.ts';
import { mapPour } from './pours.ts';
import { propUp } from './prop.ts';
import { settleAtEnd } from './tilt.ts';
import { addWire } from './wire.ts';

export type PushedAside =
  | 'column'
  | 'corner'
  | 'centre-line'
  | 'wall'
  | 'two-sided'
  | 'drops'
  | 'pointed'
  | 'in-the-pot'
  | 'split-jug'
  | 'wire';

/** Drops along a mould, so far apart for its width. */
function alongMould(mould: Mould): Place {
  const { floor } = mouldGeometry(mould);
  const count = Math.max(2, Math.min(7, Math.round(floor.length / (floor.width * 0.45))));
  const apart = floor.length / count;
  return {
    at: 'drops',
    spots: Array.from({ length: count }, (_, i) => ({
      xMm: Math.round(((i % 2 === 0 ? -1 : 1) * floor.width) / 6),
      yMm: Math.round((i + 0.5) * apart - floor.length / 2),
    })),
  };
}

/** What is at hand to put under a corner, mm: a thick spoon, a thin one. Judgements, no source. */
const SPOONS = [12, 8, 5];

/**
 * A corner pour with something under its corner: the highest that does not spill; level where all of them do.
 */
function propped(plan: Plan, stepId: StepId): Plan {
  for (const heightMm of SPOONS) {
    const up = propUp(plan, stepId, [{ name: 'spoon', under: 'left-near', heightMm }]);
    if (!up.ok) continue;
    const [layer] = layPlan(up.value).stack.layers;
    if (layer && tiltHolds(layer.room, layer, layer.tilt) >= layer.volumeMl) return up.value;
  }
  return plan;
}

/**
 * The pots of a layered beginning poured in rounds instead: thin, in a place, with the strokes that usually
 * follow.
 */
export function pushedAside(id: PushedAside, layers: Plan): Plan {
  const plan: Plan = { ...layers, steps: [], pots: layers.pots.map((p) => ({ ...p, stage: 1 })) };
  const [first, ...others] = plan.pots;
  if (!first) return plan;
  const base = (parts: number): Pour => ({ ...plainPour(1, first.id), amount: { kind: 'rest', parts } });
  const lines = others.length > 0 ? others.map((p) => p.id) : [first.id];
  switch (id) {
    case 'column': {
      const poured = addPull(addPattern(plan, wayNamed(id).first).plan);
      const laid = layPlan(poured);
      const held = holdBackEvenly(poured, Math.ceil(holeMassG(laid.stack.layers) * 1.1));
      return addStroke(held, 'fan', Math.max(1, Math.floor(laid.fill.heightMm))).plan;
    }
    case 'corner': {
      const { plan: level, stepId } = addPattern(plan, wayNamed(id).first);
      const poured = propped(level, stepId);
      const drawn = addStroke(poured, 'fan', Math.max(1, Math.floor(layPlan(poured).fill.heightMm))).plan;
      return poured === level ? drawn : settleAtEnd(drawn);
    }
    case 'centre-line':
    case 'wall':
      return addPattern(plan, wayNamed(id === 'wall' ? id : 'line').first).plan;
    case 'two-sided': {
      const thicker = {
        ...plan,
        pots: plan.pots.map((p) => ({ ...p, stage: lines.includes(p.id) ? 1.6 : 1.2 })),
      };
      const { plan: lined, stepId } = addPattern({ ...thicker, steps: [base(48)] }, wayNamed('line').first);
      const stacked = ofRound(lined, stepId, [...lines, ...(others.length > 0 ? [first.id] : [])], 2, 24, 8);
      const last = addPattern(stacked, wayNamed('two-walls').first);
      return ofRound(last.plan, last.stepId, [first.id], 1, 28, 10);
    }
    case 'in-the-pot': {
      // as much of the first as of all its accents
      const { plan: made, stepId } = addPattern(plan, wayNamed(id).first);
      return ofRound(made, stepId, [...lines.map(() => first.id), ...lines], 1, 1, 8);
    }
    case 'split-jug': {
      // of three colours and more the last is a thin line between the wiggles
      const accent = lines.length > 1 ? lines.at(-1) : undefined;
      const place = accent === undefined ? wayNamed(id).first : withAccent(accent);
      const { plan: made, stepId } = addPattern(plan, place);
      return ofRound(made, stepId, [first.id, ...lines.filter((p) => p !== accent)], 1, 1, 20);
    }
    case 'pointed':
      return pointed({ ...plan, pots: plan.pots.map((p) => ({ ...p, stage: POINTED_STAGE })) }, lines);
    case 'wire': {
      const above = layers.steps.filter((s) => s.kind === 'pour').slice(1);
      const stacked = layOnFluid(
        { ...plan, steps: layers.steps },
        above.map((s) => s.id),
        true,
      );
      return addWire(stacked, 'waves', Math.max(1, layPlan(stacked).fill.heightMm)).plan;
    }
    case 'drops': {
      const { plan: dropped, stepId } = addPattern({ ...plan, steps: [base(60)] }, alongMould(plan.mould));
      return ofRound(dropped, stepId, lines, 2, 40, 60);
    }
  }
}

const withAccent = (pot: PotId): Place => ({
  ...SPLIT_JUG.first,
  accent: { pot, percent: THIN_PERCENT },
});

/** Lines sink in as points at this thickness from low down. */
const POINTED_STAGE = 2.2;

/**
 * A base, and each of the other pots in close lines over it: every one of them pushes points into those
 * below.
 */
function pointed(plan: Plan, lines: readonly PotId[]): Plan {
  const first = plan.pots[0]?.id ?? '';
  const base: Pour = { ...plainPour(1, first), amount: { kind: 'rest', parts: 2 } };
  return lines.reduce<Plan>(
    (p, pot) => {
      const { plan: added, stepId } = addPattern(p, wayNamed('close-lines').first);
      return ofRound(added, stepId, [pot], 1, 1.5, 20);
    },
    { ...plan, steps: [base] },
  );
}

/** A pour of these pots, in so many rounds, taking so many parts, from so high. */
const ofRound = (
  plan: Plan,
  stepId: StepId,
  [first, ...then]: readonly PotId[],
  rounds: number,
  parts: number,
  fallMm: number,
): Plan =>
  mapPour(plan, stepId, (p) =>
    p.pattern && first !== undefined
      ? {
          ...p,
          pot: first,
          amount: { kind: 'rest', parts },
          landing: { ...p.landing, fallMm },
          pattern: { ...p.pattern, then, rounds: Array.from({ length: rounds }, () => 1) },
        }
      : p,
  );
