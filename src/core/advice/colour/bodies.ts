import { bodiesOf, type PlanBodies } from '../../ombre/coloursOf.ts';
import { plannedState, type SoapState } from '../../look/state.ts';
import type { Facts } from '../facts.ts';

/** The pots and pours as they would be cured if something went otherwise. */
export const curedIf = (facts: Facts, change: Partial<SoapState>): PlanBodies =>
  bodiesOf(facts.plan, { ...plannedState(facts.plan, 'cured'), ...change }, facts.graded);
