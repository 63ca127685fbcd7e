import type { StickPath } from '../../../../core/plan/patternSchema.ts';
import { Picker } from '../../../parts/Picker.tsx';
import { PATH_NAMES } from './StrokePanel.tsx';

const NONE = '';

interface StickPickerProps {
  readonly label: string;
  readonly onPick: (kind: StickPath['kind']) => void;
}

/** Which way a stick is to be drawn; nothing is picked to begin with. */
export const StickPicker = ({ label, onPick }: StickPickerProps) => (
  <Picker
    label={label}
    value={NONE}
    options={[
      { value: NONE, label: 'which way?' },
      ...(Object.keys(PATH_NAMES) as StickPath['kind'][]).map((kind) => ({
        value: kind,
        label: PATH_NAMES[kind],
      })),
    ]}
    onPick={(kind) => {
      if (kind !== NONE) onPick(kind);
    }}
  />
);
