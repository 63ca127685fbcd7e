import { readAsPlanned, type ReadingSeen } from '../../../core/clock/readings.ts';
import type { PotHistory } from '../../../core/plan/clockSchema.ts';
import type { Plan } from '../../../core/plan/planSchema.ts';
import { formatClock, formatPercent, formatTemperature } from '../../../core/units/format.ts';
import { usePlan } from '../../parts/usePlan.ts';
import { Button } from '../../kit/Button.tsx';

/**
 * What a pot was like that was looked at: its temperature and lye, and from when on each fragrance was in it.
 */
function words({ batter, units }: Plan, { batterC, lyePercent, spells }: PotHistory): string {
  const scents = new Map(spells.toReversed().flatMap((s) => s.fragrances.map((f) => [f.id, s.min] as const)));
  const scented = [...scents].map(
    ([id, min]) => `“${batter.fragrances.find((f) => f.id === id)?.name ?? id}” in from ${formatClock(min)}`,
  );
  return [
    `batter at ${formatTemperature(batterC, units.temperature)}`,
    `lye of ${formatPercent(lyePercent, 1)}`,
    ...(scented.length > 0 ? scented : ['no fragrance in it yet']),
  ].join(', ');
}

/**
 * Readings are of the batter that they were taken of: what that was, and what to do where the plan is another
 * by now.
 */
export function TakenAt({ readings }: { readonly readings: readonly ReadingSeen[] }) {
  const { plan, computed, edit } = usePlan('moulds', 'recipes');
  const others = readings.filter((r) => !r.asPlanned && r.history);
  const last = others.at(-1) ?? readings.findLast((r) => r.history);
  if (!last?.history) return null;
  const letter = plan.pots.find((p) => p.id === last.reading.pot)?.letter ?? '';
  const was = `pot ${letter}: ${words(plan, last.history)}`;
  if (others.length === 0)
    return (
      <p className="quiet text-sm">
        Read as of batter as it is planned ({was}); they stay so when the plan changes.
      </p>
    );
  return (
    <div className="flex flex-wrap items-center gap-3">
      <p className="max-w-prose text-sm">
        The plan was changed after these readings. They are still read as of what was in the jugs then ({was}
        ).
      </p>
      <Button onClick={() => edit((p) => readAsPlanned(p, computed))}>
        They are of the plan as it is now
      </Button>
    </div>
  );
}
