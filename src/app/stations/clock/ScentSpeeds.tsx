import { FACTORS, scentSpeed } from '../../../core/clock/scents.ts';
import { SPEEDS } from '../../../core/batter/schema.ts';
import { updateFragrance } from '../../../core/edit/additions.ts';
import { SPEED_WORDS } from '../../stores/behaviourWords.ts';
import { Picker } from '../../parts/Picker.tsx';
import { Group } from '../../parts/Station.tsx';
import { usePlan } from '../../parts/usePlan.ts';

const UNKNOWN = 'unknown';

/** What each fragrance does to the batter's speed. */
export function ScentSpeeds() {
  const { plan, edit } = usePlan();
  if (plan.batter.fragrances.length === 0) return null;
  return (
    <Group title="What the scent does">
      {plan.batter.fragrances.map((f) => (
        <div key={f.id} className="grid grid-cols-2 items-end gap-3 sm:grid-cols-3">
          <Picker
            label={f.name}
            value={f.speed ?? UNKNOWN}
            options={[
              { value: UNKNOWN, label: 'not known' },
              ...SPEEDS.map((value) => ({ value, label: `${SPEED_WORDS[value]} (× ${FACTORS[value]})` })),
            ]}
            onPick={(next) =>
              edit((p) =>
                updateFragrance(p, f.id, ({ speed: _was, ...was }) =>
                  next === UNKNOWN ? was : { ...was, speed: next },
                ),
              )
            }
          />
          <p className="quiet pb-2 text-sm sm:col-span-2">
            {f.speed === undefined
              ? `Taken as × ${scentSpeed(f).factor}, and much in doubt: a small cup tells.`
              : `As fast × ${FACTORS[f.speed]} from the minute it goes in. An estimate.`}
          </p>
        </div>
      ))}
    </Group>
  );
}
