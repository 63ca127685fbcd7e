import type { ReactNode } from 'react';
import { withAColumn } from '../../../../core/edit/columns.ts';
import { setPlace } from '../../../../core/edit/pattern.ts';
import type { Pour } from '../../../../core/plan/stepSchema.ts';
import { WAY_KINDS, wayNamed, type Place, type PlaceKind } from '../../../../core/ways/ways.ts';
import type { Gesture } from '../../../../store/gesture.ts';
import { Picker } from '../../../parts/Picker.tsx';
import { useBenchEdit } from '../../../parts/usePlan.ts';
import { WAY_FIELDS } from './wayFields.tsx';
import type { WayFieldsProps } from './wayFieldsProps.ts';

/** In a card's sentence: how a pour that pushes others aside is poured, and where it goes in. */
export function PlaceFields({ pour, place }: { readonly pour: Pour; readonly place: Place }) {
  const edit = useBenchEdit();
  const put = (next: Place, gesture?: Gesture) => edit((p) => setPlace(p, pour.id, next), gesture);
  // a place of one kind is only ever given to the fields of that kind
  const Fields = WAY_FIELDS[place.at] as (props: WayFieldsProps<PlaceKind>) => ReactNode;
  return (
    <>
      <Picker
        label="Way of pouring"
        value={place.at}
        options={WAY_KINDS.map((at) => ({ value: at, label: wayNamed(at).know.name }))}
        onPick={(at) => {
          const { first, column } = wayNamed(at);
          edit((p) => (column ? withAColumn(setPlace(p, pour.id, first)) : setPlace(p, pour.id, first)));
        }}
      />
      <Fields pour={pour} place={place} put={put} />
    </>
  );
}
