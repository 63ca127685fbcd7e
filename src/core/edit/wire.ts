import { mouldGeometry } from '../mould/geometry.ts';
import { roomFor } from '../pattern/wireRoom.ts';
import { usualWay, type WireWay } from '../pattern/wirePath.ts';
import type { Plan } from '../plan/planSchema.ts';
import type { Wire } from '../plan/stepSchema.ts';
import { MOST_WIRE_POINTS, type WirePoint } from '../plan/wireSchema.ts';
import type { Millimetres } from '../units/quantity.ts';
import type { StepId } from '../validate/ids.ts';
import { freshId } from './freshId.ts';
import { insertLate } from './pattern.ts';
import { mapStep } from './step.ts';

/** A sleeved wire's girth, mm: a bare one hardly moves batter. A judgement, no source. */
const FIRST_GIRTH = 6;

/** Between a wire's points its way swings out by at most so much, mm. */
const SWING = 2;

/** A usual way, with each of its points lifted off a floor that rises to the walls. */
function wayIn(
  { mould }: Plan,
  { lies, girthMm }: Pick<Wire, 'lies' | 'girthMm'>,
  way: WireWay,
  deep: Millimetres,
): WirePoint[] {
  const geometry = mouldGeometry(mould);
  const hasRoom = roomFor(geometry, lies);
  const { floor } = geometry;
  const wide = lies === 'lengthwise' ? floor.width : floor.length;
  return usualWay(way, { wide, deep, girthMm }).map((p) => {
    let { heightMm } = p;
    while (heightMm < deep && !hasRoom(p.acrossMm, heightMm, girthMm / 2 + SWING)) heightMm += 1;
    return { ...p, heightMm: Math.max(p.heightMm, Math.min(heightMm, deep)) };
  });
}

/**
 * A wire through what is poured, once all of it is in or right after a step; `deep` is how deep the batter is
 * there.
 */
export function addWire(
  plan: Plan,
  way: WireWay,
  deep: Millimetres,
  afterId?: StepId,
): { readonly plan: Plan; readonly stepId: StepId } {
  const stepId = freshId('w', plan.steps);
  const held = { lies: 'lengthwise', girthMm: FIRST_GIRTH } as const;
  const wire: Wire = { id: stepId, kind: 'wire', ...held, points: wayIn(plan, held, way, deep) };
  return { plan: insertLate(plan, wire, afterId), stepId };
}

const ofWire = (plan: Plan, stepId: StepId, change: (wire: Wire) => Wire): Plan =>
  mapStep(plan, 'wire', stepId, change);

export const updateWire = (plan: Plan, stepId: StepId, change: Partial<Omit<Wire, 'id' | 'kind'>>): Plan =>
  ofWire(plan, stepId, (wire) => ({ ...wire, ...change }));

/** A wire made for this mould. */
export const asLongAsMould = (plan: Plan, stepId: StepId): Plan =>
  ofWire(plan, stepId, ({ longMm: _own, ...wire }) => wire);

/** A usual way in place of its own. */
export const setWireWay = (plan: Plan, stepId: StepId, way: WireWay, deep: Millimetres): Plan =>
  ofWire(plan, stepId, (wire) => ({ ...wire, points: wayIn(plan, wire, way, deep) }));

/** It lies the other way, and goes a usual way there. */
export const turnWire = (plan: Plan, stepId: StepId, lies: Wire['lies'], deep: Millimetres): Plan =>
  ofWire(plan, stepId, (wire) => {
    const turned = { ...wire, lies };
    return { ...turned, points: wayIn(plan, turned, 'waves', deep) };
  });

export const moveWirePoint = (plan: Plan, stepId: StepId, at: number, point: WirePoint): Plan =>
  ofWire(plan, stepId, (wire) => ({
    ...wire,
    points: wire.points.with(at, { ...point, heightMm: Math.max(0, point.heightMm) }),
  }));

/** Another point half way to the next one, or, for the last, from the one before. */
export const addWirePoint = (plan: Plan, stepId: StepId, after: number): Plan =>
  ofWire(plan, stepId, (wire) => {
    const from = Math.min(after, wire.points.length - 2);
    const [a, b] = [wire.points[from], wire.points[from + 1]];
    if (!a || !b || wire.points.length >= MOST_WIRE_POINTS) return wire;
    const point = { acrossMm: (a.acrossMm + b.acrossMm) / 2, heightMm: (a.heightMm + b.heightMm) / 2 };
    return { ...wire, points: wire.points.toSpliced(from + 1, 0, point) };
  });

/** Two points stay. */
export const removeWirePoint = (plan: Plan, stepId: StepId, at: number): Plan =>
  ofWire(plan, stepId, (wire) =>
    wire.points.length > 2 ? { ...wire, points: wire.points.toSpliced(at, 1) } : wire,
  );

/**
 * Everything of its way below a height, but where it comes in and goes out: points above it are brought down
 * to it.
 */
export const keepBelow = (plan: Plan, stepId: StepId, heightMm: Millimetres): Plan =>
  ofWire(plan, stepId, (wire) => ({
    ...wire,
    points: wire.points.map((p, i) =>
      i === 0 || i === wire.points.length - 1 ? p : { ...p, heightMm: Math.min(p.heightMm, heightMm) },
    ),
  }));
