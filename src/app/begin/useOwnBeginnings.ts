import { useMemo } from 'react';
import type { Plan } from '../../core/plan/planSchema.ts';
import { readStored } from '../../store/tables/storedPlan.ts';
import { useSupplies } from '../parts/useSupplies.ts';

export interface OwnBeginning {
  readonly id: string;
  readonly name: string;
  readonly plan: Plan;
  readonly remove: () => void;
}

/** The plans that were kept to begin others from, each brought up to date. */
export function useOwnBeginnings(): readonly OwnBeginning[] {
  const kept = useSupplies('beginning');
  return useMemo(
    () =>
      kept.flatMap((seen): OwnBeginning[] => {
        const { id, name, version, plan } = seen.value;
        const read = readStored(plan, version);
        return read.ok
          ? [
              {
                id,
                name,
                plan: read.plan,
                remove: () => {
                  // what storing needs is not needed to show them
                  void import('../../store/keeping/library.ts').then(({ supplyKeeper }) =>
                    supplyKeeper.change(id, seen, null),
                  );
                },
              },
            ]
          : [];
      }),
    [kept],
  );
}
