import type { MouldId, PotId, StepId } from '../validate/ids.ts';
import type { WarningCode } from '../result/warningCodes.ts';
import type { Plan } from '../plan/planSchema.ts';
import type { Task } from '../task/task.ts';

export type Station = 'mould' | 'design' | 'batter' | 'colour' | 'clock' | 'sheet' | 'cut';

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
  /** its remedies looked for ahead, where that takes a while: whoever asks for them first ends it */
  readonly seeking?: Task<never, void>;
}

export interface Remedy {
  readonly label: string;
  readonly apply: (plan: Plan) => Plan;
}

/** What a warning is about: where it is told, and of what. */
type About = Omit<Warning, 'code' | 'level' | 'message' | 'remedies'>;

type Tell = (about: About, code: WarningCode, message: string, remedies?: readonly Remedy[]) => Warning;

const at =
  (level: Warning['level']): Tell =>
  (about, code, message, remedies = []) => ({
    ...about,
    code,
    level,
    message,
    ...(remedies.length > 0 ? { remedies } : {}),
  });

export const refuse = at('refuse');
export const warn = at('warn');
export const note = at('note');

export const remedy = (label: string, apply: Remedy['apply']): Remedy => ({ label, apply });
