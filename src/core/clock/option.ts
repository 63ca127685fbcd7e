import type { Plan } from '../plan/planSchema.ts';
import type { Stage } from '../units/quantity.ts';

export type LeverId =
  | 'colouring'
  | 'scent'
  | 'landing'
  | 'blend'
  | 'loosen'
  | 'fluid'
  | 'jugs'
  | 'warm'
  | 'portions'
  | 'piping'
  | 'start'
  | 'temperature'
  | 'water';

/** One way that something of a plan could be otherwise, for the sake of its timing. */
export interface Option {
  readonly lever: LeverId;
  /** what is done */
  readonly label: string;
  /** why that helps */
  readonly why: string;
  /** what it costs in trouble, as so many of a hundred odds */
  readonly cost: number;
  readonly apply: (plan: Plan) => Plan;
  /**
   * the jugs or pours that it is done to, where it need not be all of them; done to some alone it is another
   * option
   */
  readonly each?: { readonly ids: readonly string[]; readonly alone: (ids: readonly string[]) => Option };
}

/**
 * An option that changes the batter alone, not the order of work: its rate by a factor, or where it begins.
 */
export interface Rate extends Option {
  readonly faster: number;
  readonly from?: Stage;
}

export interface Levers {
  /** what changes the order of work; each may be left as it is too */
  readonly work: readonly (readonly Option[])[];
  readonly rates: readonly (readonly Rate[])[];
}
