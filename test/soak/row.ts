/** One line of the table: what was tried how often, and what was lost or went wrong. */
export interface Row {
  readonly what: string;
  readonly tried: number;
  /** one line each, with its seed */
  readonly lost: readonly string[];
  readonly note?: string;
}
