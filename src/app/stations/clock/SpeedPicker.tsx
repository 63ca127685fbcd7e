import { SPEEDS, type Fragrance } from '../../../core/batter/schema.ts';
import { FACTORS } from '../../../core/clock/scents.ts';
import { updateFragrance } from '../../../core/edit/additions.ts';
import { Picker } from '../../parts/Picker.tsx';
import { useEdit } from '../../parts/usePlan.ts';
import { SPEED_WORDS } from '../../supplies/behaviourWords.ts';

const UNKNOWN = 'unknown';

/** What a fragrance does to the batter's speed, as far as is known before it was tried. */
export function SpeedPicker({ fragrance, label }: { readonly fragrance: Fragrance; readonly label: string }) {
  const edit = useEdit();
  return (
    <Picker
      label={label}
      value={fragrance.speed ?? UNKNOWN}
      options={[
        { value: UNKNOWN, label: 'not known' },
        ...SPEEDS.map((value) => ({ value, label: `${SPEED_WORDS[value]} (× ${FACTORS[value]})` })),
      ]}
      onPick={(next) =>
        edit((p) =>
          updateFragrance(p, fragrance.id, ({ speed: _was, ...was }) =>
            next === UNKNOWN ? was : { ...was, speed: next },
          ),
        )
      }
    />
  );
}
