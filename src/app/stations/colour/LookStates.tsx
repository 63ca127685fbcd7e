import type { PotId } from '../../../core/validate/ids.ts';
import { useMemo } from 'react';
import { tans } from '../../../core/look/paintbox.ts';
import { plannedHeat, type SoapState } from '../../../core/look/state.ts';
import { coloursOf, type PlanColours } from '../../../core/ombre/coloursOf.ts';
import type { Computed } from '../../../core/computed/compute.ts';
import { NO_COLOUR } from '../../parts/ink.ts';

export interface NamedState {
  readonly name: string;
  readonly colours: PlanColours;
}

/**
 * The plan's colours in every state worth comparing: over time, gelled or not, with its fragrance or without.
 */
export function useStates({ plan, graded }: Pick<Computed, 'plan' | 'graded'>): readonly NamedState[] {
  return useMemo(() => {
    const heat = plannedHeat(plan);
    const cured: SoapState = { age: 'cured', heat, scented: true };
    const states: readonly { readonly name: string; readonly state: SoapState }[] = [
      { name: 'at the pour', state: { ...cured, age: 'pour' } },
      { name: 'at the cut', state: { ...cured, age: 'cut' } },
      { name: 'cured', state: cured },
      heat > 0
        ? { name: 'not gelled', state: { ...cured, heat: 0 } }
        : { name: 'gelled', state: { ...cured, heat: 0.5 } },
      ...(tans(plan) ? [{ name: 'unscented', state: { ...cured, scented: false } }] : []),
    ];
    return states.map(({ name, state }) => ({ name, colours: coloursOf(plan, state, graded) }));
  }, [plan, graded]);
}

/** One pot side by side in all states. */
export function LookStates({
  potId,
  states,
}: {
  readonly potId: PotId;
  readonly states: readonly NamedState[];
}) {
  return (
    <ul className="flex" aria-label="How it will look">
      {states.map(({ name, colours }) => {
        const colour = colours.pots.get(potId) ?? NO_COLOUR;
        return (
          <li key={name} className="grid flex-1 gap-0.5" title={`${name}: ${colour}`}>
            <span
              className={`h-8 border-y border-black/20 ${name === 'cured' ? 'border-x-2 border-x-base-content' : ''}`}
              style={{ background: colour }}
            />
            <span className="quiet text-center text-xs">{name}</span>
          </li>
        );
      })}
    </ul>
  );
}
