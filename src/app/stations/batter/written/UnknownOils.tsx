import { OIL_LIBRARY } from '../../../../core/batter/oilLibrary.ts';
import { Picker } from '../../../parts/Picker.tsx';

export const LEFT_OUT = 'left-out';
const ASK = '';

interface UnknownOilsProps {
  readonly names: readonly string[];
  readonly answers: Readonly<Record<string, string>>;
  readonly onAnswer: (name: string, answer: string) => void;
}

/** Names of a written recipe that no oil of the library goes by: which one is it? */
export function UnknownOils({ names, answers, onAnswer }: UnknownOilsProps) {
  return (
    <div className="grid grid-cols-2 gap-3">
      {names.map((name) => (
        <Picker
          key={name}
          label={`Which oil is “${name}”?`}
          value={answers[name] ?? ASK}
          options={[
            { value: ASK, label: 'Choose…' },
            ...OIL_LIBRARY.map((o) => ({ value: o.id, label: o.name })),
            { value: LEFT_OUT, label: 'no oil: leave it out' },
          ]}
          onPick={(answer) => onAnswer(name, answer)}
        />
      ))}
    </div>
  );
}
