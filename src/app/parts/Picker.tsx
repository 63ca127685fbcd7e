import { useId } from 'react';
import { FieldFrame } from './FieldFrame.tsx';

interface PickerProps<T extends string> {
  readonly label: string;
  readonly value: T;
  readonly options: readonly { readonly value: T; readonly label: string }[];
  readonly onPick: (value: T) => void;
  readonly hideLabel?: boolean;
  readonly className?: string;
}

/** One of many: a labelled drop-down list. */
export function Picker<T extends string>(props: PickerProps<T>) {
  const { label, value, options, onPick, hideLabel, className } = props;
  const id = useId();
  return (
    <FieldFrame id={id} label={label} hideLabel={hideLabel} className={className}>
      <select id={id} className="field" value={value} onChange={(event) => onPick(event.target.value as T)}>
        {options.map((o) => (
          <option key={o.value} value={o.value}>
            {o.label}
          </option>
        ))}
      </select>
    </FieldFrame>
  );
}
