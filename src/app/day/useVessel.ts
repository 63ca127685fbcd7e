import type { Vessel } from '../../core/day/vessel.ts';
import { vesselName } from '../../core/day/vesselName.ts';
import { useDay } from './dayContext.ts';

/** What a vessel is called, of the batch that it is of. */
export function useVesselName(): (vessel: Vessel) => string {
  const { computed } = useDay();
  const second = computed.second?.plan;
  return (vessel) =>
    vessel.ofSecond && second
      ? `${vesselName(second, vessel)} for piping`
      : vesselName(computed.plan, vessel);
}
