import { useId, useRef, useState } from 'react';
import { FieldFrame } from './FieldFrame.tsx';
import type { Fault, Result } from '../../core/result/result.ts';

interface QuantityFieldProps<T> {
  readonly label: string;
  /** shown while the field is not being typed in */
  readonly shown: string;
  readonly parse: (text: string) => Result<T>;
  /** take a value in base units; a fault says why it is refused */
  readonly onValue: (value: T, gesture: string) => Fault | undefined;
  readonly hideLabel?: boolean;
  readonly hint?: string;
  readonly disabled?: boolean;
  readonly className?: string;
}

let gestures = 0;

/**
 * A quantity typed in place. Every keystroke that reads as a good value is applied at once, so a reload in
 * mid-edit loses nothing and the drawing follows; all of one visit to the field undoes as one. A value that
 * is refused stays in the field with its reason, the last good one stays in the plan. Escape brings it back.
 */
export function QuantityField<T>(props: QuantityFieldProps<T>) {
  const { label, shown, parse, onValue, hideLabel, hint, disabled, className } = props;
  const id = useId();
  const [text, setText] = useState<string | null>(null);
  const [fault, setFault] = useState<string | null>(null);
  const gesture = useRef('');

  const attempt = (typed: string): Fault | undefined => {
    const read = parse(typed);
    if (!read.ok) return read.fault;
    return onValue(read.value, gesture.current);
  };

  const leave = (): void => {
    if (text === null) return;
    const refused = attempt(text);
    setFault(refused?.message ?? null);
    if (!refused) setText(null);
  };

  return (
    <FieldFrame id={id} label={label} hideLabel={hideLabel} className={className} fault={fault} hint={hint}>
      <input
        id={id}
        className="field text-right"
        disabled={disabled}
        value={text ?? shown}
        autoComplete="off"
        aria-invalid={fault !== null}
        aria-describedby={fault !== null || hint ? `${id}-say` : undefined}
        onFocus={(event) => {
          gestures += 1;
          gesture.current = `field-${gestures}`;
          event.target.select();
        }}
        onChange={(event) => {
          setText(event.target.value);
          setFault(null);
          attempt(event.target.value);
        }}
        onBlur={leave}
        onKeyDown={(event) => {
          if (event.key === 'Enter') leave();
          if (event.key === 'Escape' && text !== null) {
            setText(null);
            setFault(null);
          }
        }}
      />
    </FieldFrame>
  );
}
