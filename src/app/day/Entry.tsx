import { useId, useState, type SyntheticEvent } from 'react';
import type { Fault, Result } from '../../core/result/result.ts';
import { Press } from './Press.tsx';
import { FieldFrame } from '../parts/FieldFrame.tsx';

interface EntryProps<T> {
  readonly label: string;
  /** what the button says */
  readonly take: string;
  readonly parse: (text: string) => Result<T>;
  /** a fault says why it is refused: what was typed stays */
  readonly onTake: (value: T) => Promise<Fault | undefined>;
}

/** A figure typed and then taken: nothing of it counts before. What is refused stays as it was typed. */
export function Entry<T>({ label, take, parse, onTake }: EntryProps<T>) {
  const id = useId();
  const [text, setText] = useState('');
  const [fault, setFault] = useState<string | null>(null);
  const submit = (event: SyntheticEvent): void => {
    event.preventDefault();
    const read = parse(text);
    if (!read.ok) {
      setFault(read.fault.message);
      return;
    }
    void onTake(read.value).then((refused) => {
      setFault(refused?.message ?? null);
      if (!refused) setText('');
    });
  };
  return (
    <form onSubmit={submit} className="flex items-end gap-2">
      <FieldFrame id={id} label={label} fault={fault} className="min-w-0 flex-1">
        <input
          id={id}
          className="field h-14 min-w-0 text-right text-2xl"
          inputMode="decimal"
          autoComplete="off"
          value={text}
          aria-invalid={fault !== null}
          aria-describedby={fault === null ? undefined : `${id}-say`}
          onChange={(event) => {
            setText(event.target.value);
            setFault(null);
          }}
        />
      </FieldFrame>
      <Press type="submit">{take}</Press>
    </form>
  );
}
