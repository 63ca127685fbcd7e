/** What the core needs to know of one oil, fat or butter. Saponification values in mg KOH per g. */
export interface Oil {
  readonly id: string;
  readonly name: string;
  readonly svLow: number;
  readonly svHigh: number;
  /** where the range was published, as far as recalled */
  readonly origin: string;
  /** g/ml near 20 C (solid fats: as melted, brought to the same footing) */
  readonly densityGMl: number;
  /** liquid in a cool kitchen: colorants are dispersed in such an oil; absent: not known, taken as solid */
  readonly liquid?: boolean;
}

export const midSv = (oil: Pick<Oil, 'svLow' | 'svHigh'>): number => (oil.svLow + oil.svHigh) / 2;
