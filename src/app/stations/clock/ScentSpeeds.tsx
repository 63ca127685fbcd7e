import { FACTORS, scentSpeed } from '../../../core/clock/scents.ts';
import type { Fragrance } from '../../../core/batter/schema.ts';
import { formatShort } from '../../../core/units/format.ts';
import { plural } from '../../../core/units/words.ts';
import { SpeedPicker } from '../../stores/SpeedPicker.tsx';
import { Group } from '../../parts/Station.tsx';
import { usePlan } from '../../parts/usePlan.ts';

/** What the clock reckons with. */
function reckoned(f: Fragrance): string {
  if (f.known)
    return `Learned: × ${formatShort(f.known.value, 2)}, from ${plural(f.known.readings, 'reading')}. That comes before the guess; “Teach it” forgets it.`;
  return f.speed === undefined
    ? `Taken as × ${scentSpeed(f).factor}, and much in doubt: a small cup tells.`
    : `As fast × ${FACTORS[f.speed]} from the minute it goes in. An estimate.`;
}

/** What each fragrance does to the batter's speed. */
export function ScentSpeeds() {
  const { plan } = usePlan();
  if (plan.batter.fragrances.length === 0) return null;
  return (
    <Group title="What the scent does">
      {plan.batter.fragrances.map((f) => (
        <div key={f.id} className="grid grid-cols-2 items-end gap-3 sm:grid-cols-3">
          <SpeedPicker fragrance={f} label={f.name} />
          <p className="quiet pb-2 text-sm sm:col-span-2">{reckoned(f)}</p>
        </div>
      ))}
    </Group>
  );
}
