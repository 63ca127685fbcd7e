import { tans } from '../../../core/look/paintbox.ts';
import { lookChanged, type Look } from '../../../store/deskSlice.ts';
import { useAppDispatch, useAppSelector } from '../../../store/store.ts';
import { Picker } from '../../parts/Picker.tsx';
import { usePlan } from '../../parts/usePlan.ts';

const GELLED: readonly { readonly value: Look['gelled']; readonly label: string }[] = [
  { value: 'as-planned', label: 'gelled or not as it is planned' },
  { value: 'yes', label: 'gelled' },
  { value: 'no', label: 'not gelled' },
];

const SCENTED = [
  { value: 'with', label: 'with its fragrance' },
  { value: 'without', label: 'without its fragrance' },
] as const;

const labelOf = <T extends string>(
  list: readonly { readonly value: T; readonly label: string }[],
  value: T,
) => list.find((o) => o.value === value)?.label ?? '';

/** "gelled or not as it is planned" */
export const seenText = ({ gelled, scented }: Look): string =>
  [labelOf(GELLED, gelled), ...(scented ? [] : [labelOf(SCENTED, 'without')])].join(', ');

/**
 * How the loaf is drawn: gelled or not, with a fragrance that tans or without. Changes nothing in the plan;
 * when it is looked at is chosen at the drawing.
 */
export function LookFields() {
  const { plan } = usePlan();
  const look = useAppSelector((s) => s.desk.look);
  const dispatch = useAppDispatch();
  return (
    <div className="sentence">
      The loaf is drawn{' '}
      <Picker
        label="Gel"
        value={look.gelled}
        options={GELLED}
        onPick={(gelled) => dispatch(lookChanged({ gelled }))}
      />
      {tans(plan) && (
        <>
          {', '}
          <Picker
            label="Fragrance"
            value={look.scented ? 'with' : 'without'}
            options={SCENTED}
            onPick={(scent) => dispatch(lookChanged({ scented: scent === 'with' }))}
          />
        </>
      )}
      .
    </div>
  );
}
