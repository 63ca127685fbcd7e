import { useState } from 'react';
import { chevrons, levelAll, zigzag, type Along } from '../../../core/edit/tilt.ts';
import { STEEPEST_DEG } from '../../../core/mould/tilt.ts';
import type { Fault } from '../../../core/result/result.ts';
import { Choice } from '../../kit/Choice.tsx';
import { FigureField } from '../../parts/quantities.tsx';
import { useBench } from '../../parts/usePlan.ts';
import { useTyped } from '../../parts/useTyped.ts';
import { Button } from '../../kit/Button.tsx';

const tooSteep = (d: number): Fault | undefined =>
  d > 0 && d <= STEEPEST_DEG
    ? undefined
    : { code: 'too-steep', message: `${d}° is outside 0 to ${STEEPEST_DEG}°` };

/** One command for a whole loaf of slants. */
export function SlantAll() {
  const { computed, edit } = useBench('stack');
  const [degrees, setDegrees] = useTyped<number>(12, tooSteep);
  const [along, setAlong] = useState<Along>('edge');
  const { layers } = computed.stack;
  return (
    <>
      <div className="grid grid-cols-[6rem_1fr] items-end gap-2">
        <FigureField label="Angle" suffix="°" value={degrees} onValue={setDegrees} />
        <Choice
          legend="Propped along"
          value={along}
          options={[
            { value: 'edge', label: 'long edge' },
            { value: 'end', label: 'an end' },
          ]}
          onChoose={setAlong}
        />
      </div>
      <div className="flex flex-wrap gap-1.5">
        <Button onClick={() => edit((p) => zigzag(p, layers, along, degrees))}>Zigzag</Button>
        <Button onClick={() => edit((p) => chevrons(p, layers, along, degrees))}>Chevrons</Button>
        <Button onClick={() => edit((p) => levelAll(p, layers))}>All level</Button>
      </div>
    </>
  );
}
