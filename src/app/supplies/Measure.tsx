import { unitWritten } from '../../core/units/factors.ts';
import { formatShort } from '../../core/units/format.ts';
import { parseAs } from '../../core/units/parseQuantity.ts';
import type { Fault } from '../../core/result/result.ts';
import type { Gesture } from '../../store/gesture.ts';
import { QuantityField } from '../parts/QuantityField.tsx';

interface MeasureProps {
  readonly label: string;
  readonly unit: 'mm' | 'g' | 'ml';
  readonly value: number;
  readonly onValue: (value: number, gesture: Gesture) => Fault | undefined;
}

/** A size, weight or volume outside any plan: shown in metric units; inches and ounces are understood. */
export function Measure({ unit, value, ...rest }: MeasureProps) {
  const record = unitWritten(unit);
  if (!record) throw new RangeError(`no unit ${unit}`);
  return (
    <QuantityField
      {...rest}
      shown={`${formatShort(value, 2)} ${unit}`}
      parse={(text) => parseAs(text, record)}
    />
  );
}
