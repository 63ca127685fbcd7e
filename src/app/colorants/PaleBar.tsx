import { bodyOfHex, hexOfBody } from '../../core/colour/body.ts';
import { pigmentFor, tint } from '../../core/colour/pigment.ts';
import type { Nature } from '../../core/colorant/schema.ts';
import type { Gesture } from '../../store/gesture.ts';
import type { Fault } from '../../core/result/result.ts';
import { ColourPicker } from '../parts/colour/ColourPicker.tsx';
import { FigureField } from '../parts/quantities.tsx';
import { Button } from '../kit/Button.tsx';

/** A pale bar is tried at this part of the full dose to begin with. */
const FIRST_PART = 0.15;

interface PaleBarProps {
  readonly nature: Nature;
  readonly onKeep: (change: (nature: Nature) => Nature, gesture?: Gesture) => Fault | undefined;
}

/** A second test bar at a pale dose: it bends how strength rises with the dose. */
export function PaleBar({ nature, onKeep }: PaleBarProps) {
  const { pale } = nature;
  if (!pale)
    return (
      <Button
        className="justify-self-start"
        onClick={() => {
          const doseGPerKg = Number((nature.doseGPerKg * FIRST_PART).toPrecision(2));
          const base = bodyOfHex(nature.base);
          const pigment = pigmentFor(nature.colour, nature.doseGPerKg, base);
          const colour = hexOfBody(tint(base, [{ pigment, doseGPerKg }]));
          onKeep((n) => ({ ...n, pale: { doseGPerKg, colour } }));
        }}
      >
        Add a pale test bar
      </Button>
    );
  const put = (part: Partial<typeof pale>, gesture?: Gesture): Fault | undefined =>
    onKeep((n) => (n.pale ? { ...n, pale: { ...n.pale, ...part } } : n), gesture);
  return (
    <div className="flex flex-wrap items-end gap-3">
      <FigureField
        label="Pale bar, at a dose of"
        className="w-36"
        suffix="g/kg"
        value={pale.doseGPerKg}
        onValue={(doseGPerKg, g) => put({ doseGPerKg }, g)}
      />
      <div className="grid gap-0.5">
        <span className="quiet text-sm">Its colour</span>
        <ColourPicker
          label="Colour of the pale bar"
          value={pale.colour}
          onPick={(colour, g) => put({ colour }, g)}
          className="h-9 w-24 cursor-pointer rounded-field border border-black/30"
          style={{ background: pale.colour }}
        >
          {null}
        </ColourPicker>
      </div>
      <Button onClick={() => onKeep(({ pale: _pale, ...without }) => without)}>Leave it out</Button>
      <p className="quiet basis-full text-sm leading-snug">
        Two bars say how pale tints come out; with one, half the dose is taken to have half the strength.
      </p>
    </div>
  );
}
