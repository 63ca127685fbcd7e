import type { ReactNode } from 'react';
import { batchShown } from '../../store/deskSlice.ts';
import { useAppDispatch, useAppSelector } from '../../store/store.ts';
import { Choice } from '../kit/Choice.tsx';
import { OfSecond, usePlan } from './usePlan.ts';

/** Whether the loaf's batch is looked at or the one that is piped on it. Nothing where there is one batch. */
export function WhichBatch() {
  const { computed } = usePlan('second');
  const dispatch = useAppDispatch();
  const batch = useAppSelector((s) => s.desk.batch);
  if (!computed.second) return null;
  return (
    <Choice
      legend="The batch"
      value={batch}
      options={[
        { value: 'loaf', label: 'for the loaf' },
        { value: 'second', label: 'for piping' },
      ]}
      onChoose={(which) => dispatch(batchShown(which))}
    />
  );
}

/** Everything in it is of the batch that is looked at. */
export const BatchSeen = ({ children }: { readonly children: ReactNode }) => (
  <OfSecond value={useAppSelector((s) => s.desk.batch) === 'second'}>{children}</OfSecond>
);
