import { Plus } from 'lucide-react';
import { addWirePoint, asLongAsMould, setWireWay, turnWire, updateWire } from '../../../../core/edit/wire.ts';
import { depthAt } from '../../../../core/pattern/depthAt.ts';
import { WIRE, WIRE_NAMES } from '../../../../core/pattern/knowHow.ts';
import { wireLong } from '../../../../core/pattern/moves.ts';
import type { WireWay } from '../../../../core/pattern/wirePath.ts';
import { toldOf } from '../../../../core/pattern/wireTold.ts';
import { lowerFirst } from '../../../../core/units/words.ts';
import type { Wire } from '../../../../core/plan/stepSchema.ts';
import { viewShown } from '../../../../store/deskSlice.ts';
import { useAppDispatch } from '../../../../store/store.ts';
import { Picker } from '../../../parts/Picker.tsx';
import { LengthField } from '../../../parts/quantities.tsx';
import { RunsPicker } from '../../../parts/RunsPicker.tsx';
import { useBench } from '../../../parts/usePlan.ts';
import { More } from '../More.tsx';
import { StepButtons } from './StepButtons.tsx';
import { ToolHead } from './ToolHead.tsx';
import { Button } from '../../../kit/Button.tsx';

const OWN = '';

/** A wire through the section: how thick, how long, and its way. */
export function WirePanel({ wire }: { readonly wire: Wire }) {
  const { computed, edit, show } = useBench('geometry', 'stack');
  const dispatch = useAppDispatch();
  const deep = depthAt(computed, wire);
  const told = toldOf(wire, deep);
  const long = wireLong(wire, computed.geometry.floor);
  return (
    <section aria-label="The wire" className="grid grid-cols-[minmax(0,1fr)] gap-3">
      <ToolHead tool="wire" does="Through the section" />
      <div className="sentence">
        A wire{' '}
        <LengthField
          label="Girth"
          value={wire.girthMm}
          onValue={(girthMm, g) => edit((p) => updateWire(p, wire.id, { girthMm }), g)}
        />
        {' thick with its sleeve and '}
        <LengthField
          label="Length"
          value={long}
          onValue={(longMm, g) => edit((p) => updateWire(p, wire.id, { longMm }), g)}
        />
        {' long, held '}
        <RunsPicker
          label="It lies"
          value={wire.lies}
          onPick={(lies) => {
            edit((p) => turnWire(p, wire.id, lies, deep));
            dispatch(viewShown(lies === 'lengthwise' ? 'section' : 'side'));
          }}
        />
        {', drawn '}
        <Picker
          label="Its way"
          value={OWN}
          options={[
            { value: OWN, label: `through ${wire.points.length} points of its own` },
            ...(Object.keys(WIRE_NAMES) as WireWay[]).map((way) => ({
              value: way,
              label: lowerFirst(WIRE_NAMES[way]),
            })),
          ]}
          onPick={(way) => {
            if (way !== OWN) edit((p) => setWireWay(p, wire.id, way, deep));
          }}
        />
        .
      </div>
      {told && (
        <p role="status">
          <b>
            {show.length(Math.max(0, told.lowestMm))} above the floor at its lowest
            {told.lifts > 0 && `, ${show.length(deep - told.highestMm)} below the top at its highest`}
          </b>
          <span className="quiet"> of {show.length(deep)} batter.</span>
        </p>
      )}
      <More know={WIRE}>
        <p className="quiet text-sm">
          Drag its points in the section, or move them with the arrow keys; Delete takes one out. The first is
          where it goes in.
        </p>
        <div className="flex flex-wrap gap-1.5">
          <Button
            icon={Plus}
            onClick={() => edit((p) => addWirePoint(p, wire.id, Math.floor(wire.points.length / 2) - 1))}
          >
            A point half way
          </Button>
          {wire.longMm !== undefined && (
            <Button onClick={() => edit((p) => asLongAsMould(p, wire.id))}>As long as the mould</Button>
          )}
        </div>
        <StepButtons stepId={wire.id} />
      </More>
    </section>
  );
}
