import type { Fault, Result } from '../../../../core/result/result.ts';
import { unitWritten } from '../../../../core/units/factors.ts';
import { parseAs } from '../../../../core/units/parseQuantity.ts';
import { QuantityField } from '../../../parts/QuantityField.tsx';
import type { Gesture } from '../../../../store/gesture.ts';

interface ActualFieldProps {
  readonly label: string;
  /** what was really weighed; undefined: as planned */
  readonly value: number | undefined;
  readonly shown: (massG: number) => string;
  readonly onValue: (value: number | undefined, gesture: Gesture) => Fault | undefined;
}

const GRAM = unitWritten('g');

/** A mass that differed from the plan; emptied, it is as planned again. */
export function ActualField({ label, value, shown, onValue }: ActualFieldProps) {
  const parse = (text: string): Result<number | undefined> => {
    if (text.trim() === '' || text.trim() === '–' || !GRAM) return { ok: true, value: undefined };
    return parseAs(text, GRAM);
  };
  return (
    <QuantityField<number | undefined>
      label={label}
      hideLabel
      className="w-20"
      shown={value === undefined ? '–' : shown(value)}
      parse={parse}
      onValue={onValue}
    />
  );
}
