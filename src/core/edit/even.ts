import type { StepId } from '../validate/ids.ts';
import { levelProfile } from '../mould/levelProfile.ts';
import { MM3_PER_ML } from '../mould/geometry.ts';
import type { Room } from '../mould/rooms.ts';
import { isLevel } from '../mould/tilt.ts';
import type { Millilitres, Millimetres } from '../units/quantity.ts';
import { layPlan } from '../fill/layPlan.ts';
import type { PouredLayer } from '../fill/layers.ts';
import { poursOf } from '../plan/pours.ts';
import type { Plan } from '../plan/planSchema.ts';

/**
 * Share the room between the chosen pours so that they look even: equal thickness where every pour is level,
 * equal volume where the mould is tilted. Locked pours keep what they have. The pours become `rest` pours
 * whose parts are their volumes in ml, so the design keeps its proportions when the mould changes.
 */
function even(plan: Plan, firstPour: number): Plan {
  const { geometry, fill, stack } = layPlan(plan);
  const { layers } = stack;
  const parts = new Map(
    geometry.rooms.flatMap((room) =>
      evenRoom(
        room,
        layers.filter((l) => l.room === room),
        (l) => l.nth >= firstPour && !l.pour.locked,
        fill.heightMm,
      ),
    ),
  );
  if (parts.size === 0) return plan;
  return {
    ...plan,
    steps: plan.steps.map((s) => {
      if (s.kind !== 'pour') return s;
      const own = parts.get(s.id);
      if (own !== undefined) return { ...s, amount: { kind: 'rest', parts: own } };
      // a pour below that shared the rest keeps the volume it has now
      const layer = layers.find((l) => l.pour.id === s.id);
      return s.amount.kind === 'rest' && layer
        ? { ...s, amount: { kind: 'rest', parts: layer.volumeMl } }
        : s;
    }),
  };
}

/**
 * The volumes, ml by step id, that make the free layers of one compartment even. None when there is no room.
 */
function evenRoom(
  room: Room,
  layers: readonly PouredLayer[],
  isFree: (layer: PouredLayer) => boolean,
  heightMm: Millimetres,
): (readonly [string, Millilitres])[] {
  const profile = levelProfile(room);
  const level = layers.every((l) => isLevel(l.tilt));
  const free = layers.filter(isFree);
  const size = (l: PouredLayer): number => (level ? l.riseMm : l.volumeMl);
  const kept = layers.reduce((s, l) => s + (isFree(l) ? 0 : size(l)), 0);
  const whole = level ? heightMm : profile.volumeBelow(heightMm) / MM3_PER_ML;
  const each = (whole - kept) / free.length;
  if (free.length === 0 || each <= 0) return [];
  let height = 0;
  return layers.flatMap((layer): (readonly [string, Millilitres])[] => {
    const from = height;
    height += isFree(layer) ? each : layer.riseMm;
    if (!isFree(layer)) return [];
    const slabMl = (profile.volumeBelow(height) - profile.volumeBelow(from)) / MM3_PER_ML;
    return [[layer.pour.id, level ? slabMl : each]];
  });
}

export const evenAll = (plan: Plan): Plan => even(plan, 0);

/** Even out this pour and every pour above it. */
export const evenFrom = (plan: Plan, stepId: StepId): Plan =>
  even(
    plan,
    poursOf(plan).findIndex((p) => p.pour.id === stepId),
  );
