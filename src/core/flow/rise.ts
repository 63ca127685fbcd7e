/**
 * How a pour moves what lies below it, up and down, while the surface rises from `from` to `to`: dz/dH = ((z
 * - base)/(H - base))^plunge. A plunge of 1 pushes through the whole depth, a large one lays a sheet on top.
 * Heights are volume-equivalent: the volume below a level over a fixed area, mm, so that a height difference
 * is a volume. Below `base` nothing moves. From memory; the law is this product's own.
 */
export interface Rise {
  readonly from: number;
  readonly to: number;
  /** 1 to 6 for streams; LAID for batter that is laid on top and displaces nothing */
  readonly plunge: number;
  readonly base: number;
}

/** A pour that displaces nothing. */
export const LAID = Infinity;

/**
 * Nearer to 1 than this the limit is used: the powers below lose about 1e-16 / (plunge - 1) relative, so
 * 1e-10 here.
 */
const NEARLY_ONE = 1e-6;

/** Where what lies at `z` after the pour was before it; `z` itself on top of what was laid. */
export function before({ from, to, plunge, base }: Rise, z: number): number {
  if (plunge === LAID) return Math.min(z, from);
  const [h, h0, h1] = [z - base, from - base, to - base];
  if (h <= 0) return z;
  if (h0 <= 0) return base;
  const q = plunge - 1;
  if (q < NEARLY_ONE) return base + (h * h0) / h1;
  // z0^-q = z^-q - H1^-q + H0^-q, divided by z^-q so that nothing overflows
  return base + h * (1 + (h / h0) ** q - (h / h1) ** q) ** (-1 / q);
}

/** Where what lies at `z` before the pour comes to lie. */
export function after({ from, to, plunge, base }: Rise, z: number): number {
  if (plunge === LAID) return z;
  const [h, h0, h1] = [z - base, from - base, to - base];
  if (h <= 0) return z;
  const q = plunge - 1;
  if (q < NEARLY_ONE) return base + (h * h1) / h0;
  return base + h * (1 + (h / h1) ** q - (h / h0) ** q) ** (-1 / q);
}

/**
 * The part of the level at `z` that is new batter once the pour is in, 0 to 1; `z0` is where that level was
 * before.
 */
export function newPart({ from, plunge, base }: Rise, z: number, z0: number): number {
  if (plunge === LAID) return z > from ? 1 : 0;
  if (z <= base) return 0;
  return 1 - ((z0 - base) / (z - base)) ** plunge;
}
