import type { Water } from '../../../core/batter/schema.ts';
import type { Fault } from '../../../core/result/result.ts';
import { FigureField, PercentField } from '../../parts/quantities.tsx';
import type { Gesture } from '../../../store/gesture.ts';

export const WATER_SCHOOLS: readonly { readonly value: Water['school']; readonly label: string }[] = [
  { value: 'percent-of-oils', label: '% of oils' },
  { value: 'lye-concentration', label: 'lye concentration' },
  { value: 'water-to-lye', label: 'water : lye' },
];

interface WaterValueProps {
  readonly water: Water;
  readonly onValue: (value: number, gesture: Gesture) => Fault | undefined;
}

/** The figure of a water school, with what it is a figure of. */
export function WaterValue({ water, onValue }: WaterValueProps) {
  if (water.school === 'water-to-lye')
    return <FigureField label="Water to one of lye" suffix=": 1" value={water.value} onValue={onValue} />;
  return (
    <PercentField
      label={water.school === 'percent-of-oils' ? 'Water, of the oils' : 'Lye, of the solution'}
      value={water.value}
      onValue={onValue}
    />
  );
}
