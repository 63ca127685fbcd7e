import type { Fault } from '../../core/result/result.ts';
import { unitWritten, type UnitRecord } from '../../core/units/factors.ts';
import { formatShort } from '../../core/units/format.ts';
import { parseAs, parseFigure } from '../../core/units/parseQuantity.ts';
import { parseTemperature } from '../../core/units/parseTemperature.ts';
import { QuantityField } from './QuantityField.tsx';
import { usePlan } from './usePlan.ts';
import type { Gesture } from '../../store/gesture.ts';

interface FieldProps {
  readonly label: string;
  readonly value: number;
  readonly onValue: (value: number, gesture: Gesture) => Fault | undefined;
  readonly hideLabel?: boolean;
  readonly hint?: string;
  readonly disabled?: boolean;
  readonly className?: string;
}

const unit = (written: string): UnitRecord => {
  const record = unitWritten(written);
  if (!record) throw new RangeError(`no unit ${written}`);
  return record;
};

/** A length in the plan's unit; any other length unit and fractions are understood. */
export function LengthField({ value, ...rest }: FieldProps) {
  const { plan, show } = usePlan();
  return (
    <QuantityField {...rest} shown={show.length(value)} parse={(t) => parseAs(t, unit(plan.units.length))} />
  );
}

/** A mass in the plan's unit; any other mass unit is understood. */
export function MassField({ value, fine, ...rest }: FieldProps & { readonly fine?: boolean }) {
  const { plan, show } = usePlan();
  return (
    <QuantityField
      {...rest}
      shown={fine ? show.fine(value) : show.mass(value)}
      parse={(t) => parseAs(t, unit(plan.units.mass))}
    />
  );
}

interface PercentProps extends Omit<FieldProps, 'value'> {
  /** undefined: not known yet */
  readonly value: number | undefined;
  readonly decimals?: number;
}

export function PercentField({ value, decimals = 2, ...rest }: PercentProps) {
  return (
    <QuantityField
      {...rest}
      shown={value === undefined ? 'not known yet' : `${formatShort(value, decimals)} %`}
      parse={(t) => parseAs(t, unit('%'))}
    />
  );
}

/** A plain figure with a unit of its own written after it ("g/kg", ": 1", "min"). */
export function FigureField({ value, suffix, ...rest }: FieldProps & { readonly suffix: string }) {
  return (
    <QuantityField
      {...rest}
      shown={`${formatShort(value, 3)} ${suffix}`.trim()}
      parse={(text) => parseFigure(text, suffix)}
    />
  );
}

/** A temperature in the plan's unit; "90 F" and "32 C" are both understood. Base unit: degrees Celsius. */
export function TemperatureField({ value, ...rest }: FieldProps) {
  const { plan, show } = usePlan();
  return (
    <QuantityField
      {...rest}
      shown={show.temperature(value)}
      parse={(text) => parseTemperature(text, plan.units.temperature)}
    />
  );
}
