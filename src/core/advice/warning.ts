import type { MouldId, PotId, StepId } from '../validate/ids.ts';
import type { WarningCode } from '../result/warningCodes.ts';
import type { Plan } from '../plan/planSchema.ts';

export type Station = 'mould' | 'design' | 'batter' | 'colour' | 'clock' | 'pour-day' | 'cut';

/**
 * Something the maker should know, where it is. `refuse` means no weights are given until it is put right.
 */
export interface Warning {
  readonly code: WarningCode;
  readonly level: 'refuse' | 'warn' | 'note';
  readonly station: Station;
  readonly message: string;
  /** the mould it is about, where it is not the first */
  readonly mould?: MouldId;
  /** the step or pot it is about */
  readonly step?: StepId;
  readonly pot?: PotId;
  /** it is about the batch that is piped on top */
  readonly ofSecond?: true;
  /** one-press remedies; each says what it does */
  readonly remedies?: readonly Remedy[];
}

export interface Remedy {
  readonly label: string;
  readonly apply: (plan: Plan) => Plan;
}
