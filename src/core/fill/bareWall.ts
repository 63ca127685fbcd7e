import { openProfile } from '../geometry/openProfile.ts';
import { dot, type Vec3 } from '../geometry/vec.ts';
import { MM3_PER_ML } from '../mould/geometry.ts';
import type { Room } from '../mould/rooms.ts';
import { surfaceAcross, viewPolygon, type View, type ViewPoint } from '../mould/sectionView.ts';
import type { Layer } from '../mould/stack.ts';
import type { Wall } from '../plan/stepSchema.ts';
import type { Millilitres, Millimetres } from '../units/quantity.ts';
import { wallPoint } from './wallPoints.ts';

export interface BareWall {
  readonly wall: Wall;
  /** how far from the wall the surface ends, measured level at the middle of the mould */
  readonly gapMm: Millimetres;
  /** batter that would just bring it to the wall */
  readonly missingMl: Millilitres;
}

/** Ends nearer to a wall than this have reached it. */
const REACHED_MM = 0.5;

const SIDES: readonly { readonly view: View; readonly walls: readonly [Wall, Wall] }[] = [
  { view: 'section', walls: ['left', 'right'] },
  { view: 'side', walls: ['near', 'far'] },
];

const inSpace = (view: View, at: number, p: ViewPoint): Vec3 =>
  view === 'section' ? [p.h, at, p.z] : [at, p.h, p.z];
const along = (view: View, p: Vec3): number => (view === 'section' ? p[0] : p[1]);

/**
 * The walls that a pour's surface does not come to, seen in the middle section and the middle side view: it
 * ends on the floor or on the slope of an earlier layer.
 */
export function bareWalls(room: Room, layer: Layer): BareWall[] {
  return SIDES.flatMap(({ view, walls }) => {
    const at = view === 'section' ? room.middle.y : room.middle.x;
    const open = viewPolygon(layer.space, view, at);
    const ends = surfaceAcross(open, view, layer.up, layer.offset, at);
    if (!ends) return [];
    return walls.flatMap((wall, i): BareWall[] => {
      const end = ends[i] as ViewPoint;
      const gapMm = Math.abs(along(view, wallPoint(room, wall, Math.max(0, end.z))) - end.h);
      if (gapMm <= REACHED_MM) return [];
      const onWall = open.filter((p) => {
        const there = along(view, wallPoint(room, wall, Math.max(0, p.z)));
        return Math.abs(there - p.h) < 1e-6;
      });
      const reaching = Math.min(...onWall.map((p) => dot(layer.up, inSpace(view, at, p))));
      if (!Number.isFinite(reaching)) return [];
      const wanted =
        openProfile([{ solid: layer.space, blocked: layer.blocked }], layer.up).volumeBelow(reaching) /
        MM3_PER_ML;
      return wanted > layer.volumeMl ? [{ wall, gapMm, missingMl: wanted - layer.volumeMl }] : [];
    });
  });
}
