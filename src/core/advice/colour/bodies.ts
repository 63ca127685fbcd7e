import { bodiesOf } from '../../ombre/coloursOf.ts';
import { plannedState, type SoapState } from '../../look/state.ts';
import type { Facts } from '../facts.ts';

/** How the pots and pours of a plan are made up, cured. */
export type Bodies = ReturnType<typeof bodiesOf>;

export const curedBodies = (facts: Facts, change: Partial<SoapState> = {}): Bodies =>
  bodiesOf(facts.plan, { ...plannedState(facts.plan, 'cured'), ...change }, facts.graded);
