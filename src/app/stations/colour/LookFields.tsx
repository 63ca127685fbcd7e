import { tans } from '../../../core/look/paintbox.ts';
import { AGES } from '../../../core/look/state.ts';
import { lookChanged, type Look } from '../../../store/deskSlice.ts';
import { useAppDispatch, useAppSelector } from '../../../store/store.ts';
import { Choice } from '../../kit/Choice.tsx';
import { Group } from '../../parts/Station.tsx';
import { usePlan } from '../../parts/usePlan.ts';

const WHEN = { pour: 'at the pour', cut: 'at the cut', cured: 'cured' } as const;

const GELLED: readonly { readonly value: Look['gelled']; readonly label: string }[] = [
  { value: 'as-planned', label: 'as planned' },
  { value: 'yes', label: 'gelled' },
  { value: 'no', label: 'not gelled' },
];

/**
 * How the loaf is drawn: when, gelled or not, with a fragrance that tans or without. Changes nothing in the
 * plan.
 */
export function LookFields() {
  const { plan } = usePlan();
  const look = useAppSelector((s) => s.desk.look);
  const dispatch = useAppDispatch();
  return (
    <Group title="Draw the loaf as it looks">
      <div className="flex flex-wrap gap-3 [&_fieldset]:grow [&_label]:whitespace-nowrap">
        <Choice
          legend="When"
          value={look.when}
          options={AGES.map((value) => ({ value, label: WHEN[value] }))}
          onChoose={(when) => dispatch(lookChanged({ when }))}
        />
        <Choice
          legend="Gel"
          value={look.gelled}
          options={GELLED}
          onChoose={(gelled) => dispatch(lookChanged({ gelled }))}
        />
        {tans(plan) && (
          <Choice
            legend="Fragrance"
            value={look.scented ? 'with' : 'without'}
            options={[
              { value: 'with', label: 'with it' },
              { value: 'without', label: 'without' },
            ]}
            onChoose={(scent) => dispatch(lookChanged({ scented: scent === 'with' }))}
          />
        )}
      </div>
    </Group>
  );
}
