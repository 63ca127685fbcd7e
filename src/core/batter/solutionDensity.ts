/**
 * Density of sodium hydroxide solution at 20 C, g/ml, by mass percent NaOH.
 * Perry's Chemical Engineers' Handbook, table of densities of aqueous inorganic solutions (from memory);
 * the first row is water at 20 C.
 */
const TABLE: readonly (readonly [percent: number, density: number])[] = [
  [0, 0.9982],
  [4, 1.0428],
  [8, 1.0869],
  [12, 1.1309],
  [16, 1.1751],
  [20, 1.2191],
  [24, 1.2629],
  [28, 1.3064],
  [32, 1.349],
  [36, 1.39],
  [40, 1.43],
  [44, 1.4685],
  [48, 1.5065],
  [50, 1.5253],
];

const slopeAt = (i: number): number => {
  const before = TABLE[Math.max(0, i - 1)] as readonly [number, number];
  const after = TABLE[Math.min(TABLE.length - 1, i + 1)] as readonly [number, number];
  return (after[1] - before[1]) / (after[0] - before[0]);
};

/** Smooth through the table (cubic Hermite with central slopes); `percent` is held within 0..50. */
export function solutionDensity(percent: number): number {
  const x = Math.min(50, Math.max(0, percent));
  const i = Math.min(
    TABLE.length - 2,
    TABLE.findLastIndex(([p]) => p <= x),
  );
  const [x0, y0] = TABLE[i] as readonly [number, number];
  const [x1, y1] = TABLE[i + 1] as readonly [number, number];
  const h = x1 - x0;
  const t = (x - x0) / h;
  const t2 = t * t;
  const t3 = t2 * t;
  return (
    y0 * (2 * t3 - 3 * t2 + 1) +
    slopeAt(i) * h * (t3 - 2 * t2 + t) +
    y1 * (3 * t2 - 2 * t3) +
    slopeAt(i + 1) * h * (t3 - t2)
  );
}
