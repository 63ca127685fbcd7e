import { useId, useState } from 'react';
import type { Fault } from '../../core/result/result.ts';

interface TextFieldProps {
  readonly label: string;
  readonly value: string;
  readonly onValue: (value: string, gesture: string) => Fault | undefined;
  readonly hideLabel?: boolean;
  readonly className?: string;
  readonly inputClass?: string;
}

/** A line of text, applied as it is typed; what is refused (an empty name) stays in the field with its reason. */
export function TextField({ label, value, onValue, hideLabel, className, inputClass }: TextFieldProps) {
  const id = useId();
  const [text, setText] = useState<string | null>(null);
  const [fault, setFault] = useState<string | null>(null);
  return (
    <div className={`grid gap-0.5 ${className ?? ''}`}>
      <label htmlFor={id} className={hideLabel ? 'sr-only' : 'quiet text-sm'}>
        {label}
      </label>
      <input
        id={id}
        className={`field ${inputClass ?? ''}`}
        value={text ?? value}
        autoComplete="off"
        aria-invalid={fault !== null}
        onChange={(event) => {
          setText(event.target.value);
          setFault(onValue(event.target.value, id)?.message ?? null);
        }}
        onBlur={() => {
          if (fault === null) setText(null);
        }}
        onKeyDown={(event) => {
          if (event.key !== 'Escape') return;
          setText(null);
          setFault(null);
        }}
      />
      {fault !== null && (
        <p role="alert" className="text-sm text-error">
          {fault}
        </p>
      )}
    </div>
  );
}
