import { useState } from 'react';
import { setAmount } from '../../../core/edit/pours.ts';
import { propsAt } from '../../../core/edit/prop.ts';
import { setTilt, slopeBetween } from '../../../core/edit/tilt.ts';
import { bareWalls } from '../../../core/fill/bareWall.ts';
import type { ScaledLayer } from '../../../core/weigh/scaled.ts';
import { standsOn, propsFor } from '../../../core/mould/props.ts';
import { steepestTilt, tiltHolds } from '../../../core/mould/spill.ts';
import { isLevel, tiltOfProp } from '../../../core/mould/tilt.ts';
import type { Wall } from '../../../core/plan/stepSchema.ts';
import type { Fault } from '../../../core/result/result.ts';
import { formatLength, formatShort } from '../../../core/units/format.ts';
import { momentShown } from '../../../store/deskSlice.ts';
import { useAppDispatch } from '../../../store/store.ts';
import { Fact } from '../../parts/Fact.tsx';
import { PropFields } from './PropFields.tsx';
import { FigureField, LengthField } from '../../parts/quantities.tsx';
import { useBench } from '../../parts/usePlan.ts';
import { useTyped } from '../../parts/useTyped.ts';
import type { Gesture } from '../../../store/gesture.ts';
import { Button } from '../../kit/Button.tsx';
import { partsOf } from '../../parts/partsOf.ts';

const WALLS: readonly { readonly wall: Wall; readonly label: string }[] = [
  { wall: 'left', label: 'Left wall' },
  { wall: 'right', label: 'Right wall' },
  { wall: 'near', label: 'Near end' },
  { wall: 'far', label: 'Far end' },
];

/** How the mould stands at this pour: by angle, by prop, or by the marks it is poured to. */
export function TiltFields({ layer }: { readonly layer: ScaledLayer }) {
  const { plan, computed, edit, show } = useBench('geometry');
  const dispatch = useAppDispatch();
  const { geometry } = computed;
  const { tilt, pour } = layer;
  const outside = standsOn(plan.mould, geometry);
  const put = propsAt(plan, pour.id);
  const props = put.length > 0 ? [] : propsFor(plan.mould, geometry, tilt);
  const turn = (change: Partial<typeof tilt>, gesture?: Gesture) => {
    dispatch(momentShown('pour'));
    return edit((p) => setTilt(p, pour.id, { ...tilt, ...change }), gesture);
  };
  const byProp =
    (axis: 'rollDeg' | 'pitchDeg', across: number) =>
    (heightMm: number, gesture: Gesture): Fault | undefined => {
      // nothing under it is level: that is said in degrees, so that a prop of 0.5 can be typed
      if (heightMm <= 0)
        return { code: 'no-prop', message: 'a prop is higher than nothing; for level type 0°' };
      const degrees = tiltOfProp(across, heightMm);
      if (degrees === undefined)
        return {
          code: 'prop-too-high',
          message: `${show.length(heightMm)} is higher than the mould is wide`,
        };
      const sign = tilt[axis] < 0 ? -1 : 1;
      return turn({ [axis]: Math.round(sign * degrees * 100) / 100 }, gesture);
    };
  const heights = { left: layer.leftMm, right: layer.rightMm, near: layer.nearMm, far: layer.farMm };
  const short = new Map(bareWalls(layer.room, layer).map((b) => [b.wall, b.gapMm] as const));
  const walls = WALLS.filter(({ wall }) =>
    wall === 'left' || wall === 'right' ? true : tilt.pitchDeg !== 0,
  );
  const field = partsOf(tilt, turn);
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-3">
      <PropFields layer={layer} />
      <div className="grid grid-cols-2 items-start gap-2">
        <FigureField label="Right edge up" suffix="°" {...field('rollDeg')} />
        <FigureField label="Far end up" suffix="°" {...field('pitchDeg')} />
        {put.length === 0 && tilt.rollDeg !== 0 && (
          <LengthField
            label={`Prop, ${tilt.rollDeg > 0 ? 'right' : 'left'} edge`}
            value={props[0]?.heightMm ?? 0}
            hint={formatLength(props[0]?.heightMm ?? 0, plan.units.length === 'mm' ? 'in' : 'mm')}
            onValue={byProp('rollDeg', outside.widthMm)}
          />
        )}
        {put.length === 0 && tilt.pitchDeg !== 0 && (
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
function SlopeBetween({ layer }: { readonly layer: ScaledLayer }) {
  const { computed, edit } = useBench('geometry');
  const dispatch = useAppDispatch();
  const [said, setSaid] = useState<string | null>(null);
  const top = computed.geometry.heightMm;
  const outside = (mm: number): Fault | undefined =>
    mm >= 0 && mm <= top
      ? undefined
      : {
          code: 'outside',
          message: `${formatShort(mm, 1)} mm is not between the floor and the rim (${formatShort(top, 1)} mm)`,
        };
  const [left, setLeft] = useTyped(layer.leftMm, outside);
  const [right, setRight] = useTyped(layer.rightMm, outside);
  const pour = (): void => {
    const fault = edit((p) => slopeBetween(p, layer.room, layer.pour.id, left, right));
    setSaid(fault?.message ?? null);
    if (!fault) dispatch(momentShown('pour'));
  };
  return (
    <details>
      <summary className="cursor-pointer text-sm font-semibold">Pour from a line to a line</summary>
      <div className="mt-2 grid grid-cols-2 items-end gap-2">
        <LengthField label="From, left wall" value={left} onValue={setLeft} />
        <LengthField label="To, right wall" value={right} onValue={setRight} />
        <Button tone="primary" className="col-span-2" onClick={pour}>
          Tilt and pour to these lines
        </Button>
      </div>
      {said !== null && (
        <p role="alert" className="mt-1 text-sm text-error">
          {said}
        </p>
      )}
    </details>
  );
}
