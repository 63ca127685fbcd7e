import type { Divider } from '../../../core/mould/schema.ts';
import { Group } from '../../parts/Station.tsx';
import { FigureField, LengthField } from '../../parts/quantities.tsx';
import { useBench } from '../../parts/usePlan.ts';
import type { Gesture } from '../../../store/gesture.ts';
import { ColumnFields } from './ColumnFields.tsx';
import { Button } from '../../kit/Button.tsx';
import { RunsChoice } from '../../kit/RunsChoice.tsx';

/** Walls evenly spaced over `whole` mm, for this many compartments. */
const evenly = (compartments: number, whole: number): number[] =>
  Array.from({ length: compartments - 1 }, (_, i) => Math.round((whole * (i + 1) * 10) / compartments) / 10);

function DividerFields() {
  const { plan, computed, edit } = useBench('geometry');
  const { divider } = plan.mould;
  const { floor } = computed.geometry;
  const whole = (runs: Divider['runs']): number => (runs === 'lengthwise' ? floor.width : floor.length);
  const put = (next: Divider | undefined, gesture?: Gesture) =>
    edit((p) => {
      const { divider: _old, ...mould } = p.mould;
      return { ...p, mould: next ? { ...mould, divider: next } : mould };
    }, gesture);
  const first: Divider = { runs: 'lengthwise', atMm: evenly(2, floor.width), thicknessMm: 2 };
  return (
    <Group
      title="Divider"
      aside={
        <Button onClick={() => put(divider ? undefined : first)}>
          {divider ? 'Take it out' : 'Put one in'}
        </Button>
      }
    >
      {divider ? (
        <>
          <RunsChoice
            legend="Runs"
            hideLegend
            value={divider.runs}
            onChoose={(runs) => put({ ...divider, runs, atMm: evenly(divider.atMm.length + 1, whole(runs)) })}
          />
          <div className="grid grid-cols-2 gap-3">
            <FigureField
              label="Compartments"
              suffix=""
              value={divider.atMm.length + 1}
              onValue={(n, g) =>
                Number.isInteger(n) && n >= 2 && n <= 12
                  ? put({ ...divider, atMm: evenly(n, whole(divider.runs)) }, g)
                  : { code: 'compartments', message: `${n} is not 2 to 12 compartments` }
              }
            />
            <LengthField
              label="Thickness"
              value={divider.thicknessMm}
              onValue={(thicknessMm, g) => put({ ...divider, thicknessMm }, g)}
            />
            {divider.atMm.map((at, i) => (
              <LengthField
                key={i}
                label={`Wall ${i + 1}, from the ${divider.runs === 'lengthwise' ? 'left' : 'near end'}`}
                value={at}
                onValue={(mm, g) => put({ ...divider, atMm: divider.atMm.with(i, mm) }, g)}
              />
            ))}
          </div>
        </>
      ) : (
        <p className="quiet text-sm">None: the mould is one.</p>
      )}
    </Group>
  );
}

/** What stands in the mould while it is poured. */
export function InsideThings() {
  return (
    <>
      <DividerFields />
      <ColumnFields />
    </>
  );
}
