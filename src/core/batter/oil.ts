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

/** An oil with the value that is used for it: "Olive oil, 186 mg KOH/g". */
export const withValue = (name: string, svMgG: number): string =>
  `${name}, ${Number(svMgG.toFixed(2))} mg KOH/g`;

/** What a lot of an oil is called: by its value where that is another than the middle of the oil's range. */
export const lotName = (oil: Oil, svMgG: number): string =>
  svMgG === midSv(oil) ? oil.name : withValue(oil.name, svMgG);

export const midSv = (oil: Pick<Oil, 'svLow' | 'svHigh'>): number => (oil.svLow + oil.svHigh) / 2;
