import { useState } from 'react';
import { setAmount } from '../../../core/edit/pours.ts';
import { setTilt, slopeBetween } from '../../../core/edit/tilt.ts';
import { bareWalls } from '../../../core/fill/bareWall.ts';
import type { PouredLayer } from '../../../core/fill/layers.ts';
import { standsOn, propsFor } from '../../../core/mould/props.ts';
import { steepestTilt, tiltHolds } from '../../../core/mould/spill.ts';
import { isLevel, tiltOfProp } from '../../../core/mould/tilt.ts';
import type { Wall } from '../../../core/plan/stepSchema.ts';
import { fail } from '../../../core/result/result.ts';
import { formatLength, formatShort } from '../../../core/units/format.ts';
import { momentShown } from '../../../store/deskSlice.ts';
import { useAppDispatch } from '../../../store/store.ts';
import { Fact } from '../../parts/Fact.tsx';
import { FigureField, LengthField } from '../../parts/quantities.tsx';
import { usePlan } from '../../parts/usePlan.ts';

const WALLS: readonly { readonly wall: Wall; readonly label: string }[] = [
  { wall: 'left', label: 'Left wall' },
  { wall: 'right', label: 'Right wall' },
  { wall: 'near', label: 'Near end' },
  { wall: 'far', label: 'Far end' },
];

/** How the mould stands at this pour: by angle, by prop, or by the marks it is poured to. */
export function TiltFields({ layer }: { readonly layer: PouredLayer }) {
  const { plan, computed, edit, show } = usePlan();
  const dispatch = useAppDispatch();
  const { geometry } = computed;
  const { tilt, pour } = layer;
  const outside = standsOn(plan.mould, geometry);
  const props = propsFor(plan.mould, geometry, tilt);
  const turn = (change: Partial<typeof tilt>, gesture?: string) => {
    dispatch(momentShown('pour'));
    return edit((p) => setTilt(p, pour.id, { ...tilt, ...change }), gesture);
  };
  const byProp = (axis: 'rollDeg' | 'pitchDeg', across: number) => (heightMm: number, gesture: string) => {
    const degrees = tiltOfProp(across, heightMm);
    if (degrees === undefined)
      return { code: 'prop-too-high', message: `${show.length(heightMm)} is higher than the mould is wide` };
    const sign = tilt[axis] < 0 ? -1 : 1;
    return turn({ [axis]: Math.round(sign * degrees * 100) / 100 }, gesture);
  };
  const heights = { left: layer.leftMm, right: layer.rightMm, near: layer.nearMm, far: layer.farMm };
  const short = new Map(bareWalls(layer.room, layer).map((b) => [b.wall, b.gapMm] as const));
  const walls = WALLS.filter(({ wall }) =>
    wall === 'left' || wall === 'right' ? true : tilt.pitchDeg !== 0,
  );
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-3">
      <div className="grid grid-cols-2 items-start gap-2">
        <FigureField
          label="Right edge up"
          suffix="°"
          value={tilt.rollDeg}
          onValue={(rollDeg, g) => turn({ rollDeg }, g)}
        />
        <FigureField
          label="Far end up"
          suffix="°"
          value={tilt.pitchDeg}
          onValue={(pitchDeg, g) => turn({ pitchDeg }, g)}
        />
        {tilt.rollDeg !== 0 && (
          <LengthField
            label={`Prop, ${tilt.rollDeg > 0 ? 'right' : 'left'} edge`}
            value={props[0]?.heightMm ?? 0}
            hint={formatLength(props[0]?.heightMm ?? 0, plan.units.length === 'mm' ? 'in' : 'mm')}
            onValue={byProp('rollDeg', outside.widthMm)}
          />
        )}
        {tilt.pitchDeg !== 0 && (
          <LengthField
            label={`Prop, ${tilt.pitchDeg > 0 ? 'far' : 'near'} end`}
            value={props.at(-1)?.heightMm ?? 0}
            hint={formatLength(props.at(-1)?.heightMm ?? 0, plan.units.length === 'mm' ? 'in' : 'mm')}
            onValue={byProp('pitchDeg', outside.lengthMm)}
          />
        )}
        {walls.map(({ wall, label }) => (
          <LengthField
            key={wall}
            label={label}
            value={heights[wall]}
            {...(short.has(wall)
              ? { hint: `does not reach: ends ${show.length(short.get(wall) ?? 0)} short` }
              : {})}
            onValue={(heightMm, g) => edit((p) => setAmount(p, pour.id, { kind: 'line', wall, heightMm }), g)}
          />
        ))}
      </div>
      {!isLevel(tilt) && (
        <dl>
          <Fact name="This tilt holds at most">
            {show.mass(tiltHolds(layer.room, layer, tilt) * layer.densityGMl)}
          </Fact>
          <Fact name="Steepest for this pour">
            {formatShort(steepestTilt(layer.room, layer, tilt, layer.volumeMl), 1)}°
          </Fact>
        </dl>
      )}
      <SlopeBetween layer={layer} />
    </div>
  );
}

/** "From this line on this wall to that line on the other": both heights make the tilt and the amount. */
function SlopeBetween({ layer }: { readonly layer: PouredLayer }) {
  const { plan, computed, edit } = usePlan();
  const dispatch = useAppDispatch();
  const [left, setLeft] = useState(layer.leftMm);
  const [right, setRight] = useState(layer.rightMm);
  const [said, setSaid] = useState<string | null>(null);
  const top = computed.geometry.heightMm;
  const within = (set: (mm: number) => void) => (mm: number) => {
    if (mm < 0 || mm > top) {
      const refused = fail(
        'outside',
        `${formatShort(mm, 1)} mm is not between the floor and the rim (${formatShort(top, 1)} mm)`,
      );
      return refused.ok ? undefined : refused.fault;
    }
    set(mm);
    return undefined;
  };
  const pour = (): void => {
    const sloped = slopeBetween(plan, layer.room, layer.pour.id, left, right);
    const fault = sloped.ok ? edit(() => sloped.value) : sloped.fault;
    setSaid(fault?.message ?? null);
    if (!fault) dispatch(momentShown('pour'));
  };
  return (
    <details>
      <summary className="cursor-pointer text-sm font-semibold">Pour from a line to a line</summary>
      <div className="mt-2 grid grid-cols-2 items-end gap-2">
        <LengthField label="From, left wall" value={left} onValue={within(setLeft)} />
        <LengthField label="To, right wall" value={right} onValue={within(setRight)} />
        <button type="button" className="btn btn-primary btn-sm col-span-2" onClick={pour}>
          Tilt and pour to these lines
        </button>
      </div>
      {said !== null && (
        <p role="alert" className="mt-1 text-sm text-error">
          {said}
        </p>
      )}
    </details>
  );
}
