import { useId, useState } from 'react';
import { FieldFrame } from './FieldFrame.tsx';
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
    <FieldFrame id={id} label={label} hideLabel={hideLabel} className={className} fault={fault}>
      <input
        id={id}
        className={`field ${inputClass ?? ''}`}
        value={text ?? value}
        autoComplete="off"
        aria-invalid={fault !== null}
        aria-describedby={fault === null ? undefined : `${id}-say`}
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
    </FieldFrame>
  );
}
