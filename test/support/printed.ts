import { AS_PLANNED, type HappenedByPour } from '../../src/core/batch/happened.ts';
import type { Plan } from '../../src/core/plan/planSchema.ts';
import { computePlan } from '../../src/core/computed/compute.ts';
import { sheetJson } from '../../src/core/sheet/sheetJson.ts';
import type { PrintedTask } from './recount.ts';

/** What the headless sheet prints, as far as tests ask. */
export interface Sheet {
  readonly batter: {
    readonly mass_g: number;
    readonly oils_g: number;
    readonly alkali_g: number;
    readonly fragrances: readonly { readonly id: string; readonly mass_g: number }[];
    readonly superfat_percent: number;
    readonly oils: readonly { oil: string; mass_g: number; for_colorants_g: number }[];
  };
  readonly pots: readonly {
    readonly id: string;
    readonly mass_g: number;
    readonly superfat_percent: number;
    readonly least_superfat_percent: number;
    readonly water_percent_of_oils: number;
    readonly jug: Readonly<Record<string, number>>;
  }[];
  readonly steps: readonly { readonly id: string; readonly kind: string; readonly mass_g?: number }[];
  /** the batch that is piped on top */
  readonly second?: Sheet;
  readonly procedure: readonly PrintedTask[];
  readonly warnings: readonly { readonly code: string; readonly level: string }[];
}

/** Odds of few samples: what is looked at here is not how sure they are. */
export const printed = (plan: Plan, happened: HappenedByPour = AS_PLANNED): Sheet =>
  sheetJson(computePlan(plan, happened), 40) as Sheet;
