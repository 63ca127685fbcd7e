import type { StepId } from '../validate/ids.ts';
import { happenedIn } from '../batch/happened.ts';
import type { AddedColorants, BatchEvent } from '../plan/batchSchema.ts';
import type { Plan } from '../plan/planSchema.ts';
import { freshId } from './freshId.ts';

type Write = (event: { readonly id: string; readonly at: string; readonly pour: StepId }) => BatchEvent;

function written(plan: Plan, pour: string, at: string, write: Write): Plan {
  const { started = at, events = [] } = plan.batch ?? {};
  return { ...plan, batch: { started, events: [...events, write({ id: freshId('e', events), at, pour })] } };
}

const takenBack = (plan: Plan, pour: string, at: string, what: 'poured' | 'added'): Plan =>
  happenedIn(plan).get(pour)?.[what === 'poured' ? 'pouredG' : 'added'] === undefined
    ? plan
    : written(plan, pour, at, (e) => ({ ...e, does: 'as-planned', what }));

/** Write down what was really poured at a layer, g, at the moment `at` (RFC 3339); `undefined` takes back what was written. */
export const notePoured = (plan: Plan, pour: string, massG: number | undefined, at: string): Plan =>
  massG === undefined
    ? takenBack(plan, pour, at, 'poured')
    : written(plan, pour, at, (e) => ({ ...e, does: 'poured', massG }));

/** Write down all that was really stirred in before a layer; `undefined` takes back what was written. */
export const noteAdded = (plan: Plan, pour: string, added: AddedColorants | undefined, at: string): Plan =>
  added === undefined
    ? takenBack(plan, pour, at, 'added')
    : written(plan, pour, at, (e) => ({ ...e, does: 'added', added: [...added] }));

/** All that was written of these pours taken back. */
export const backToPlan = (plan: Plan, pours: readonly string[], at: string): Plan =>
  pours.reduce((now, pour) => takenBack(takenBack(now, pour, at, 'poured'), pour, at, 'added'), plan);
