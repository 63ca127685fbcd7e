import { useEffect, useState, type ReactNode } from 'react';
import { selectWork } from '../../store/computed.ts';
import { useAppSelector } from '../../store/store.ts';
import { clockClient } from './clockClient.ts';
import { OutlookContext, type PlanOutlook } from './outlookContext.ts';

/** So long nothing changes before the odds are asked for, ms: not while a line is dragged. */
const STILL_MS = 250;

/** Works out apart from the page how the open plan will go, whenever it has changed. */
export function OutlookProvider({ children }: { readonly children: ReactNode }) {
  const plan = useAppSelector(selectWork);
  const [known, setKnown] = useState<PlanOutlook>();
  useEffect(() => {
    if (!plan) return undefined;
    let gone = false;
    let stop: (() => void) | undefined;
    const timer = setTimeout(() => {
      const job = clockClient.ask('outlook', plan, {
        key: 'outlook',
        onProgress: ({ partial }) => {
          if (partial && !gone) setKnown({ plan, outlook: partial });
        },
      });
      ({ stop } = job);
      void job.outcome.then((outcome) => {
        if (gone || outcome.kind !== 'done') return;
        setKnown(outcome.value && { plan, outlook: outcome.value });
      });
    }, STILL_MS);
    return () => {
      gone = true;
      clearTimeout(timer);
      stop?.();
    };
  }, [plan]);
  return <OutlookContext value={known}>{children}</OutlookContext>;
}
