import { slice } from '../geometry/clip.ts';
import type { MouldGeometry } from '../mould/geometry.ts';
import { MM3_PER_ML } from '../mould/geometry.ts';
import { axisOfMat, edgeOfMat, hollowAt } from '../mould/mat.ts';
import type { Room } from '../mould/rooms.ts';
import type { Mat } from '../mould/schema.ts';
import { isAbout, partOf, usesOf } from '../plan/moulds.ts';
import type { Plan } from '../plan/planSchema.ts';
import { leadPot, UNTOLD_RIDGES } from '../plan/sources.ts';
import type { Ridges, Step } from '../plan/stepSchema.ts';
import { chordAt, spanOf, type Outline } from './chords.ts';
import type { TopThing } from './laidTop.ts';

/** The flat of the mat in one compartment, in plan. */
export const outlineOnMat = (room: Room): Outline =>
  slice(room.solid, { normal: [0, 0, 1], offset: room.heightMm * 1e-3 }).map(([x, y]) => [x, y] as const);

/** Strips that hollows are added up in, across a mould. */
const STRIPS = 4000;

/**
 * What the hollows of a mat hold under one compartment, mm^3: by their depth and length at the middle of each
 * strip.
 */
export function hollowsMm3(mat: Mat, outline: Outline): number {
  const axis = axisOfMat(mat);
  const [low, high] = spanOf(outline, axis);
  const each = (high - low) / STRIPS;
  let sum = 0;
  for (let i = 0; i < STRIPS; i += 1) {
    const at = low + (i + 0.5) * each;
    const chord = chordAt(outline, axis, at);
    if (chord) sum += hollowAt(mat, at) * (chord[1] - chord[0]) * each;
  }
  return sum;
}

/** The step that fills them, and out of which pot; without one, what is poured first fills them. */
export const ridgesStep = ({ steps, pots }: Pick<Plan, 'steps' | 'pots'>): Ridges => {
  const own = steps.find((s) => s.kind === 'ridges');
  if (own) return own;
  const first = steps.find((s) => s.kind === 'pour');
  return { id: UNTOLD_RIDGES, kind: 'ridges', pot: first ? leadPot(first) : (pots[0]?.id ?? '') };
};

/**
 * The steps in the order they are done: hollows of a mat are filled first, without a step for them out of the
 * jug that is poured first.
 */
export function stepsDone(plan: Plan): readonly Step[] {
  const untold = usesOf(plan).find(
    (u) => u.mould.mat && !plan.steps.some((s) => s.kind === 'ridges' && isAbout(u, s)),
  );
  if (!untold && !plan.steps.some((s) => s.kind === 'ridges')) return plan.steps;
  return [
    ...(untold ? [ridgesStep(partOf(plan, untold.id, 1))] : []),
    ...plan.steps.filter((s) => s.kind === 'ridges'),
    ...plan.steps.filter((s) => s.kind !== 'ridges'),
  ];
}

/** The soap's ridges, one thing under each compartment that anything is poured into. */
export function ridgesUnder(
  mat: Mat,
  geometry: MouldGeometry,
  isFilled: (room: Room) => boolean,
): readonly TopThing[] {
  return geometry.rooms.flatMap((room, nth): TopThing[] => {
    if (!isFilled(room)) return [];
    const outline = outlineOnMat(room);
    const [[x0, x1], [y0, y1]] = [spanOf(outline, 0), spanOf(outline, 1)];
    return [
      {
        form: 'relief',
        axis: axisOfMat(mat),
        edge: edgeOfMat(mat),
        mm: mat.reliefMm,
        x: (x0 + x1) / 2,
        y: (y0 + y1) / 2,
        halfX: (x1 - x0) / 2,
        halfY: (y1 - y0) / 2,
        room: nth,
        volumeMl: hollowsMm3(mat, outline) / MM3_PER_ML,
      },
    ];
  });
}
