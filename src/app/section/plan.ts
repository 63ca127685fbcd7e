export type Px = readonly [x: number, y: number];

/** How the loaf is drawn from above. */
export interface Spotted {
  /** px of a place of the plan, mm */
  readonly spot: (p: readonly [number, number]) => Px;
  /** px a mm */
  readonly scale: number;
}

/** Places of the plan as the points of an SVG line. */
export const pointsText = (list: readonly (readonly [number, number])[], spot: Spotted['spot']): string =>
  list
    .map((p) =>
      spot(p)
        .map((v) => v.toFixed(1))
        .join(','),
    )
    .join(' ');
