/** Edges that repeat: waves, straight teeth, round grooves, round ridges, and square notches. */
export const REPEATED_EDGES = ['waves', 'teeth', 'grooves', 'ridges', 'notches'] as const;

/**
 * The edge of a scraper: mm from the middle of what it is pulled over, and parts of its relief, 0 at its
 * lowest tip.
 */
export type Edge =
  | {
      readonly kind: 'repeated';
      readonly shape: (typeof REPEATED_EDGES)[number];
      readonly pitchMm: number;
      readonly shiftMm: number;
    }
  | {
      readonly kind: 'drawn';
      readonly points: readonly { readonly acrossMm: number; readonly part: number }[];
    };

/** The sides of a notch take up this part of half a pitch: straight up they would tear the batter. */
const NOTCH_SIDE = 0.2;

/**
 * How high an edge that repeats stands at `far` of the way from a tip to half way to the next one, 0 to 1.
 */
function repeatedPart(shape: Extract<Edge, { kind: 'repeated' }>['shape'], far: number): number {
  switch (shape) {
    case 'waves':
      return (1 - Math.cos(Math.PI * far)) / 2;
    case 'teeth':
      return far;
    case 'grooves':
      return 1 - Math.sqrt(Math.max(0, 1 - far * far));
    case 'ridges':
      return Math.sqrt(Math.max(0, 1 - (1 - far) ** 2));
    case 'notches':
      return Math.min(1, Math.max(0, (far - 0.5) / NOTCH_SIDE + 0.5));
  }
}

/**
 * How high an edge stands, as a part of its relief, `acrossMm` from the middle; beyond a drawn one as at its
 * end.
 */
export function partAt(edge: Edge, acrossMm: number): number {
  if (edge.kind === 'repeated') {
    const turns = (acrossMm - edge.shiftMm) / edge.pitchMm;
    return repeatedPart(edge.shape, 2 * Math.abs(turns - Math.round(turns)));
  }
  const { points } = edge;
  const after = points.findIndex((p) => p.acrossMm > acrossMm);
  const [a, b] = after < 0 ? [points.at(-1), undefined] : [points[after - 1], points[after]];
  if (!a || !b) return (a ?? b)?.part ?? 0;
  return a.part + ((b.part - a.part) * (acrossMm - a.acrossMm)) / (b.acrossMm - a.acrossMm);
}

/** Where an edge turns between two places: its tips and ridges, or the points it is drawn through. */
export function turnsOf(edge: Edge, fromMm: number, toMm: number): readonly number[] {
  if (edge.kind === 'drawn') return edge.points.map((p) => p.acrossMm).filter((x) => x > fromMm && x < toMm);
  const half = edge.pitchMm / 2;
  const first = Math.ceil((fromMm - edge.shiftMm) / half);
  const count = Math.max(0, Math.floor((toMm - edge.shiftMm) / half) - first + 1);
  return Array.from({ length: count }, (_, i) => edge.shiftMm + (first + i) * half);
}
