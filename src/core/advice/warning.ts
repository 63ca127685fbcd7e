import type { Plan } from '../plan/planSchema.ts';

export type Station = 'mould' | 'design' | 'batter' | 'colour' | 'pour-day' | 'cut';

/**
 * Something the maker should know, where it is. `refuse` means no weights are given until it is put right.
 */
export interface Warning {
  readonly code: string;
  readonly level: 'refuse' | 'warn' | 'note';
  readonly station: Station;
  readonly message: string;
  /** the step or pot it is about */
  readonly step?: string;
  readonly pot?: string;
  /** one-press remedies; each says what it does */
  readonly remedies?: readonly Remedy[];
}

export interface Remedy {
  readonly label: string;
  readonly apply: (plan: Plan) => Plan;
}
