/** What a thing on the scale counts as in the balance of a jug. */
export type SubstanceKind =
  | 'oil'
  | 'late-oil'
  | 'lye'
  | 'water'
  | 'liquid'
  | 'dissolved'
  | 'additive'
  | 'colorant'
  | 'carrier'
  | 'fragrance';

/** One thing that is weighed out, with everything a balance asks of it. All per gram of it. */
export interface Substance {
  readonly id: string;
  /** the oil's line, the addition or the colorant that it is */
  readonly of: string;
  readonly name: string;
  readonly kind: SubstanceKind;
  readonly densityGMl: number;
  /** pure NaOH that it can use up, g/g; 0 for what does not saponify */
  readonly needsNaoh: number;
  /** pure NaOH that it brings, g/g */
  readonly bringsNaoh: number;
  /** water that it brings, g/g */
  readonly water: number;
}
