import type { Slice } from '../cut/slice.ts';
import { planedSolid } from '../cut/planed.ts';
import type { SingleBar } from '../cut/singleBars.ts';
import { isCavity } from '../mould/schema.ts';
import { corners } from '../geometry/polyhedron.ts';
import type { Vec3 } from '../geometry/vec.ts';
import type { ViewPoint } from '../mould/sectionView.ts';
import { bodiesOf } from '../pattern/blocks.ts';
import { roomOf, solidOf, type Body } from '../pattern/body.ts';
import type { Millimetres } from '../units/quantity.ts';
import { faceAt, faceLevel, type Band, type Face } from './face.ts';
import { framed, type FramedFace } from './framed.ts';
import { topOf } from './top.ts';
import { mirrored, standsOnItsTop, turnedOver, undersideOf } from './turnedOver.ts';
import type { LaidFace } from './laid.ts';

export const SIDES = ['near', 'far', 'top'] as const;
export type Side = (typeof SIDES)[number];

/** A disc of a standing tube has no top, and a slice parallel to the floor has two faces to look at. */
export const sidesOf = ({ place: { piece, slice } }: SingleBar): readonly Side[] =>
  piece.axis === 'z' || slice?.by === 'floor' ? ['near', 'far'] : SIDES;

/** A face is looked at this far inside its cut, mm. */
const INSIDE = 0.01;

/** The part of an outline at h >= `low`, or with `keep` -1 at h <= `low`. */
function beyond(outline: readonly ViewPoint[], low: Millimetres, keep: 1 | -1): readonly ViewPoint[] {
  const inside = (p: ViewPoint): number => keep * (p.h - low);
  return outline.flatMap((p, i): ViewPoint[] => {
    const q = outline[(i + 1) % outline.length] as ViewPoint;
    const [a, b] = [inside(p), inside(q)];
    const crossing = a * b < 0 ? [{ h: low, z: p.z + ((q.z - p.z) * a) / (a - b) }] : [];
    return a >= 0 ? [p, ...crossing] : crossing;
  });
}

const turned = (points: readonly ViewPoint[]): readonly ViewPoint[] =>
  points.map(({ h, z }) => ({ h: z, z: h }));

const onward = (from: Vec3, way: Vec3, by: number): Vec3 => [
  from[0] + way[0] * by,
  from[1] + way[1] * by,
  from[2] + way[2] * by,
];

interface Stretch {
  readonly from: Millimetres;
  readonly to: Millimetres;
  /** what it is drawn about */
  readonly middle: Millimetres;
}

/** What of a face lies in a stretch across it. */
const within = (face: Face, { from, to, middle }: Stretch): Face =>
  face.flatMap((band): Band[] => {
    const outline = beyond(beyond(band.outline, from, 1), to, -1);
    if (outline.length < 3) return [];
    const shifted = { ...band, outline: outline.map((p) => ({ h: p.h - middle, z: p.z })) };
    const { swirl } = band;
    return [
      swirl
        ? { ...shifted, swirl: { ...swirl, origin: onward(swirl.origin, swirl.across, middle) } }
        : shifted,
    ];
  });

/** With across for up and up for across. */
const lain = (band: Band): Band => ({
  ...band,
  outline: turned(band.outline),
  ...(band.swirl ? { swirl: { ...band.swirl, across: band.swirl.up, up: band.swirl.across } } : {}),
});

/** Seen from above what was along the loaf goes up the picture, the near end at its foot. */
const along = (face: Face, stretch: Stretch): Face => {
  return within(face.map(lain), stretch).map(lain);
};

/** A place along an axis, or as near to it as anything is left: an end can be planed off. */
function inside(bodies: readonly Body[], axis: 0 | 1 | 2, at: Millimetres): Millimetres {
  const all = bodies.flatMap((b) => corners(solidOf(b)).map((p) => p[axis]));
  if (all.length === 0) return at;
  return Math.min(Math.max(...all) - INSIDE, Math.max(Math.min(...all) + INSIDE, at));
}

/**
 * The two faces of a slice of a block: `near` is the one below, or on the left, as it is seen with the slice
 * turned over.
 */
function sideOfSlice(
  bodies: readonly Body[],
  { from, to, middle }: Stretch,
  across: Stretch & { readonly half: Millimetres },
  slice: Slice,
  side: Exclude<Side, 'top'>,
  headMm: Millimetres,
): FramedFace {
  const axis = slice.by === 'floor' ? 2 : 0;
  const at = inside(bodies, axis, side === 'near' ? slice.fromMm + INSIDE : slice.toMm - INSIDE);
  const turnedOver = (face: Face): Face => (side === 'near' ? mirrored(face) : face);
  if (slice.by === 'floor') {
    const level = along(within(faceLevel(bodies, at), across), { from, to, middle });
    const half = (to - from) / 2;
    return framed({
      face: turnedOver(level),
      left: 0 - across.half,
      right: across.half,
      foot: -half,
      head: half,
    });
  }
  const behind = (side === 'near' ? -1 : 1) * (slice.toMm - slice.fromMm);
  const upright = within(faceAt(bodies, 'side', at, behind), { from, to, middle });
  return framed({
    face: turnedOver(upright),
    left: from - middle,
    right: to - middle,
    foot: 0,
    head: headMm,
  });
}

/**
 * What is left of a body once its mould faces are planed off; a cavity's bar is not cut, and so not planed.
 */
function planedBody(body: Body, { cut: { planeMm }, mould }: LaidFace['plan']): Body {
  if (planeMm === undefined || isCavity(mould)) return body;
  const solid = planedSolid(roomOf(body), planeMm, solidOf(body));
  return body.kind === 'layer'
    ? { kind: 'layer', layer: { ...body.layer, solid } }
    : { kind: 'block', block: { ...body.block, solid } };
}

/**
 * A side of one bar as it stands: the near and the far cut as they are looked at with the bar turned towards
 * one, the far one mirrored; the top from above, its near cut at the foot. A disc of a standing tube has its
 * foot for near, its head for far, and no top.
 */
export function sideOfBar(laid: LaidFace, bar: SingleBar, side: Side): FramedFace {
  const { geometry, fill, plan } = laid;
  const room = geometry.rooms[bar.place.piece.room];
  const bodies = bodiesOf(laid)
    .filter((b) => roomOf(b) === room)
    .map((b) => planedBody(b, plan));
  const { piece, startMm, endMm } = bar.place;
  const [start, end] = [piece.fromMm + startMm, piece.fromMm + endMm];
  const half = bar.widthMm / 2;
  const across: Stretch = { from: bar.fromMm, to: bar.toMm, middle: bar.leftMm + half };
  const over = standsOnItsTop(plan);
  const asItStands = (face: FramedFace): FramedFace => (over ? turnedOver(face) : face);
  if (side === 'top') {
    const deep = (end - start) / 2;
    const seen = over ? undersideOf(bodies) : topOf(bodies);
    const top = along(within(seen, across), { from: start, to: end, middle: (start + end) / 2 });
    const face = piece.axis === 'z' ? [] : over ? mirrored(top) : top;
    return framed({ face, left: -half, right: half, foot: -deep, head: deep });
  }
  const { slice } = bar.place;
  if (slice) {
    const block: Stretch = { from: start, to: end, middle: (start + end) / 2 };
    const face = sideOfSlice(bodies, block, { ...across, half }, slice, side, fill.heightMm);
    return slice.by === 'lengthwise' ? asItStands(face) : face;
  }
  const at = inside(bodies, piece.axis === 'z' ? 2 : 1, side === 'near' ? start + INSIDE : end - INSIDE);
  const behind = (side === 'near' ? 1 : -1) * (end - start);
  const face = within(
    piece.axis === 'z' ? faceLevel(bodies, at) : faceAt(bodies, 'section', at, behind),
    across,
  );
  // the near cut of a loaf and the head of a disc are looked at as they are laid out
  const shown = (side === 'near') === (piece.axis === 'y') ? face : mirrored(face);
  const [foot, head] = piece.axis === 'z' ? [-half, half] : [0, fill.heightMm];
  const whole = framed({ face: shown, left: -half, right: half, foot, head });
  return piece.axis === 'z' ? whole : asItStands(whole);
}
