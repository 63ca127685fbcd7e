import type { LearnedRate } from '../../../core/clock/learned.ts';
import { FACTORS, scentDoubt, scentSpeed } from '../../../core/clock/scents.ts';
import type { Fragrance } from '../../../core/batter/schema.ts';
import { formatShort } from '../../../core/units/format.ts';
import { plural } from '../../../core/units/words.ts';
import { SpeedPicker } from './SpeedPicker.tsx';
import { StationFold } from '../../parts/StationFold.tsx';
import { SPEED_WORDS } from '../../supplies/behaviourWords.ts';
import { usePlan } from '../../parts/usePlan.ts';
import { useTaught } from './useTaught.ts';

/** What the clock reckons with. */
function reckoned(f: Fragrance, taught: LearnedRate | undefined): string {
  if (taught)
    return `Taught by ${plural(taught.readings, 'reading')}: × ${formatShort(scentSpeed(f).factor * taught.factor, 2)}, where × ${formatShort(scentSpeed(f).factor, 2)} was taken.`;
  if (f.known)
    return `Learned: × ${formatShort(f.known.value, 2)}, from ${plural(f.known.readings, 'reading')}${f.known.rested ? '' : ', before rest was reckoned with: in doubt by more'}. That comes before the guess; “Teach it” forgets it.`;
  return f.speed === undefined
    ? `Taken as × ${scentSpeed(f).factor}, and much in doubt: a small cup tells.`
    : `As fast × ${FACTORS[f.speed]} from the minute it goes in. An estimate.`;
}

/** What each fragrance does to the batter's speed. */
export function ScentSpeeds() {
  const { plan } = usePlan();
  const taught = useTaught();
  const { fragrances } = plan.batter;
  if (fragrances.length === 0) return null;
  return (
    <StationFold
      id="scents"
      title="What the scent does"
      state={fragrances
        .map((f) => `${f.name}: ${f.speed === undefined ? 'not known' : SPEED_WORDS[f.speed]}`)
        .join(', ')}
    >
      {fragrances.map((f) => (
        <div key={f.id} className="grid grid-cols-2 items-end gap-3 sm:grid-cols-3">
          <SpeedPicker fragrance={f} label={f.name} />
          <p className="quiet pb-2 text-sm sm:col-span-2">
            {reckoned(
              f,
              taught.find((l) => l.name === scentDoubt(f.id)),
            )}
          </p>
        </div>
      ))}
    </StationFold>
  );
}
