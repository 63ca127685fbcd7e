import type { Runs } from '../../core/mould/runs.ts';
import { Picker } from './Picker.tsx';

interface RunsPickerProps {
  readonly label: string;
  readonly value: Runs;
  readonly onPick: (runs: Runs) => unknown;
}

/** In a sentence: which way something lies in the mould. */
export const RunsPicker = (props: RunsPickerProps) => (
  <Picker
    {...props}
    options={[
      { value: 'lengthwise', label: 'from end to end' },
      { value: 'crosswise', label: 'from side to side' },
    ]}
  />
);
