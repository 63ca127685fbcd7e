import type { OmbreId } from '../../../../core/validate/ids.ts';
import { memo, useState } from 'react';
import { setLevelFor, startOmbre, type OmbreGoes, type OmbreLies } from '../../../../core/edit/ombre.ts';
import { useColorants } from '../../../parts/colour/useLibrary.ts';
import { Picker } from '../../../parts/Picker.tsx';
import { Group } from '../../../parts/Station.tsx';
import type { Edit } from '../../../parts/usePlan.ts';
import { Choice } from '../../../kit/Choice.tsx';
import { Button } from '../../../kit/Button.tsx';

const WAYS: readonly { readonly goes: OmbreGoes; readonly label: string }[] = [
  { goes: 'these-layers', label: 'from the layers there are' },
  { goes: 'whole-loaf', label: 'the whole loaf, 8 new layers' },
  { goes: 'above', label: '8 layers above the others' },
];

interface StartOmbreProps {
  /** there is none in the plan yet */
  readonly first: boolean;
  /** the mould is tilted for some of its layers */
  readonly sloping: boolean;
  /** some layers belong to no ombre */
  readonly free: boolean;
  readonly edit: Edit;
  readonly onStarted: (ombreId: OmbreId) => void;
}

/** Begin an ombre: what it is coloured with, and where in the loaf it goes. */
export const StartOmbre = memo(function StartOmbre({
  first,
  free,
  sloping,
  edit,
  onStarted,
}: StartOmbreProps) {
  const colorants = useColorants();
  const [picked, setPicked] = useState('heather');
  const [lies, setLies] = useState<OmbreLies>('along');
  const colorant = colorants.find((c) => c.id === picked) ?? colorants[0];
  const begin = (goes: OmbreGoes): void => {
    if (!colorant) return;
    let id: string | undefined;
    edit((p) => {
      const started = startOmbre(p, goes, colorant);
      id = started.ombreId;
      return sloping && lies === 'level' ? setLevelFor(started.plan, started.ombreId) : started.plan;
    });
    if (id !== undefined) onStarted(id);
  };
  return (
    <Group title={first ? 'Begin an ombre' : 'Another ombre'}>
      {first && (
        <p className="max-w-prose text-sm leading-snug">
          From plain batter to the colorant’s own colour, in steps that look even. The ends, the school and
          the spacing can all be changed afterwards.
        </p>
      )}
      <div className="flex flex-wrap items-end gap-2">
        <Picker
          label="Coloured with"
          className="w-52"
          value={colorant?.id ?? ''}
          options={colorants.map((c) => ({ value: c.id, label: c.name }))}
          onPick={setPicked}
        />
        {sloping && (
          <Choice
            legend="The mould is tilted: the ombre goes"
            value={lies}
            options={[
              { value: 'along', label: 'along the slope' },
              { value: 'level', label: 'level, set so first' },
            ]}
            onChoose={setLies}
          />
        )}
        {WAYS.filter((w) => (w.goes === 'these-layers' ? free && first : first || w.goes === 'above')).map(
          ({ goes, label }) => (
            <Button className="mb-0.5" key={goes} onClick={() => begin(goes)}>
              {label}
            </Button>
          ),
        )}
      </div>
    </Group>
  );
});
