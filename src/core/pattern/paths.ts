import { rememberedBy } from '../task/remembered.ts';
import type { Box } from '../flow/box.ts';
import type { Spot } from '../flow/spec.ts';
import type { StickPath } from '../plan/patternSchema.ts';

/** A stick stays so far off the walls, mm. */
const OFF_WALL = 4;

/** Between the points of a curve, mm. */
const STEP = 3;

type Path = readonly Spot[];

const turn = (paths: readonly Path[]): readonly Path[] => paths.toReversed().map((p) => p.toReversed());

/** The stretches of a curve that stay inside. */
function inside(points: Iterable<Spot>, { x0, x1, y0, y1 }: Box): readonly Path[] {
  const paths: Spot[][] = [[]];
  for (const p of points) {
    const [x, y] = p;
    if (x >= x0 && x <= x1 && y >= y0 && y <= y1) paths.at(-1)?.push(p);
    else if ((paths.at(-1)?.length ?? 0) > 0) paths.push([]);
  }
  return paths.filter((p) => p.length > 1);
}

/** How far it is from a spot to the edge of a box, one way. */
function toEdge([x, y]: Spot, [c, s]: Spot, { x0, x1, y0, y1 }: Box): number {
  const tx = c > 1e-9 ? (x1 - x) / c : c < -1e-9 ? (x0 - x) / c : Infinity;
  const ty = s > 1e-9 ? (y1 - y) / s : s < -1e-9 ? (y0 - y) / s : Infinity;
  return Math.min(tx, ty);
}

function* spiral([mx, my]: Spot, from: number, to: number, pitch: number): Iterable<Spot> {
  for (let angle = 0, r = from; r < to; r = from + (pitch * angle) / (2 * Math.PI)) {
    yield [mx + r * Math.cos(angle), my + r * Math.sin(angle)];
    angle += STEP / Math.max(STEP, r);
  }
}

function* ring([mx, my]: Spot, r: number): Iterable<Spot> {
  const count = Math.max(8, Math.ceil((2 * Math.PI * r) / STEP));
  for (let i = 0; i <= count; i += 1) {
    const angle = (2 * Math.PI * i) / count;
    yield [mx + r * Math.cos(angle), my + r * Math.sin(angle)];
  }
}

const linesOf = (
  { runs, spacingMm, turns }: Extract<StickPath, { kind: 'lines' }>,
  box: Box,
): readonly Path[] => {
  const long = runs === 'lengthwise';
  const [low, high] = long ? [box.x0, box.x1] : [box.y0, box.y1];
  const [from, to] = long ? [box.y0, box.y1] : [box.x0, box.x1];
  const count = Math.max(1, Math.floor((high - low) / spacingMm));
  const first = (low + high - (count - 1) * spacingMm) / 2;
  return Array.from({ length: count }, (_, i): Path => {
    const at = first + i * spacingMm;
    const [a, b] = turns && i % 2 === 1 ? [to, from] : [from, to];
    return long
      ? [
          [at, a],
          [at, b],
        ]
      : [
          [a, at],
          [b, at],
        ];
  });
};

const known = rememberedBy<readonly Path[]>();

/**
 * The ways of a stick, in order, in a mould whose plan is `box`; `free` is how far from the middle of a fan
 * or spiral a column reaches, mm.
 */
export const pathsOf = (path: StickPath, whole: Box, free: number): readonly Path[] =>
  known(path, JSON.stringify([whole, free]), () => drawnPaths(path, whole, free));

function drawnPaths(path: StickPath, whole: Box, free: number): readonly Path[] {
  const box: Box = {
    x0: whole.x0 + OFF_WALL,
    x1: whole.x1 - OFF_WALL,
    y0: whole.y0 + OFF_WALL,
    y1: whole.y1 - OFF_WALL,
  };
  if (path.kind === 'lines') return linesOf(path, box);
  if (path.kind === 'free') return [path.points.map((p): Spot => [p.xMm, p.yMm])];
  const middle: Spot = [path.about.xMm, path.about.yMm];
  const from = free + OFF_WALL;
  const corners = [box.x0, box.x1].flatMap((x) =>
    [box.y0, box.y1].map((y) => Math.hypot(x - middle[0], y - middle[1])),
  );
  const most = Math.max(...corners);
  if (path.kind === 'spiral') {
    const out = inside(spiral(middle, from, most, path.pitchMm), box);
    return path.way === 'out' ? out : turn(out);
  }
  if (path.kind === 'rings') {
    const count = Math.max(0, Math.floor((most - from) / path.spacingMm));
    return Array.from({ length: count }, (_, i) => from + (i + 1) * path.spacingMm).flatMap((r) =>
      inside(ring(middle, r), box),
    );
  }
  const rays = path.strokes * (path.doubled ? 2 : 1);
  const out = Array.from({ length: rays }, (_, i): Path => {
    const angle = (2 * Math.PI * i) / rays;
    const way: Spot = [Math.cos(angle), Math.sin(angle)];
    const edge = toEdge(middle, way, box);
    const start = path.doubled && i % 2 === 1 ? (from + edge) / 2 : from;
    return edge - start > STEP
      ? [
          [middle[0] + start * way[0], middle[1] + start * way[1]],
          [middle[0] + edge * way[0], middle[1] + edge * way[1]],
        ]
      : [];
  }).filter((p) => p.length > 1);
  return path.way === 'out' ? out : out.map((p) => p.toReversed());
}
