import { useEffect, useState } from 'react';
import type { Mould } from '../../core/mould/schema.ts';
import type { Units } from '../../core/plan/planSchema.ts';
import { ask } from '../../store/ask.ts';
import { lastChanged } from '../../store/tables/plans.ts';
import { readStored } from '../../store/tables/storedPlan.ts';
import { unitsUsed } from '../../store/unitsUsed.ts';

interface LastUsed {
  /** of the plan that was changed last */
  readonly mould: Mould | undefined;
  /** and scales, as they were chosen last */
  readonly units: Units | undefined;
}

async function read(): Promise<LastUsed> {
  const units = await unitsUsed();
  try {
    const record = await ask(lastChanged);
    const plan = record && readStored(record.plan, record.version);
    return { units, mould: plan?.ok ? plan.plan.mould : undefined };
  } catch {
    // where storage cannot be read the bar over the page says so; a plan begins in a starter mould
    return { units, mould: undefined };
  }
}

/** The mould and the units that a maker used last; undefined while they are looked up. */
export function useLastUsed(): LastUsed | undefined {
  const [found, setFound] = useState<LastUsed>();
  useEffect(() => {
    let gone = false;
    void read().then((last) => {
      if (!gone) setFound(last);
    });
    return () => {
      gone = true;
    };
  }, []);
  return found;
}
