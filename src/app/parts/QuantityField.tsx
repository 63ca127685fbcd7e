import { useId } from 'react';
import { FieldFrame } from './FieldFrame.tsx';
import type { Fault, Result } from '../../core/result/result.ts';
import type { Gesture } from '../../store/gesture.ts';
import { useTyping } from './useTyping.ts';

interface QuantityFieldProps<T> {
  readonly label: string;
  /** shown while the field is not being typed in */
  readonly shown: string;
  readonly parse: (text: string) => Result<T>;
  /** take a value in base units; a fault says why it is refused */
  readonly onValue: (value: T, gesture: Gesture) => Fault | undefined;
  readonly hideLabel?: boolean;
  readonly hint?: string;
  readonly disabled?: boolean;
  readonly className?: string;
}

/** A quantity typed in place: see `useTyping` for what happens while it is typed, refused or escaped from. */
export function QuantityField<T>(props: QuantityFieldProps<T>) {
  const { label, shown, parse, onValue, hideLabel, hint, disabled, className } = props;
  const id = useId();
  const typing = useTyping({
    shown,
    take: (text, gesture) => {
      const read = parse(text);
      return read.ok ? onValue(read.value, gesture) : read.fault;
    },
    complain: 'when left',
  });
  const { fault, bringBack } = typing;
  return (
    <FieldFrame {...{ id, label, hideLabel, className, fault, hint, bringBack }}>
      <input
        id={id}
        className="field text-right"
        disabled={disabled}
        autoComplete="off"
        aria-invalid={fault !== null}
        aria-describedby={fault !== null || hint ? `${id}-say` : undefined}
        {...typing.field}
        onFocus={(event) => {
          typing.field.onFocus();
          event.target.select();
        }}
      />
    </FieldFrame>
  );
}
