import { stagePhrase } from '../../core/setting/stage.ts';
import type { Stage } from '../../core/units/quantity.ts';
import { Picker } from './Picker.tsx';

interface StagePickerProps {
  readonly label: string;
  readonly value: Stage;
  readonly least?: Stage;
  readonly most?: Stage;
  readonly onPick: (stage: Stage) => void;
  readonly hideLabel?: boolean;
  readonly className?: string;
}

/** How thick, in words: every half stage, and the one that it is. */
export function StagePicker({ value, least = 0, most = 5, onPick, ...rest }: StagePickerProps) {
  const halves = Array.from({ length: Math.round((most - least) * 2) + 1 }, (_, i) => least + i / 2);
  return (
    <Picker
      {...rest}
      value={String(value)}
      options={[...new Set([...halves, value])]
        .toSorted((a, b) => a - b)
        .map((stage) => ({ value: String(stage), label: stagePhrase(stage) }))}
      onPick={(stage) => onPick(Number(stage))}
    />
  );
}
