import { Download } from 'lucide-react';
import { useId, useState } from 'react';
import { fileStem } from '../../core/exchange/writePlan.ts';
import { planeFace, type HandCut } from '../../core/face/planeFace.ts';
import { depositColours } from '../../core/ombre/coloursOf.ts';
import { SEEN, useDrawn, useColours, usePresent } from '../parts/usePlan.ts';
import { useSize } from '../parts/useSize.ts';
import { FaceDrawing } from './FaceDrawing.tsx';
import { saveFacePicture } from './saveFacePicture.ts';
import { Button } from '../kit/Button.tsx';

const USUAL: readonly { readonly name: string; readonly cut: Pick<HandCut, 'turnDeg' | 'leanDeg'> }[] = [
  { name: 'Across', cut: { turnDeg: 0, leanDeg: 0 } },
  { name: 'Lengthwise', cut: { turnDeg: 90, leanDeg: 0 } },
  { name: 'Parallel to the floor', cut: { turnDeg: 0, leanDeg: 90 } },
];

interface SlideProps {
  readonly label: string;
  readonly value: number;
  readonly least: number;
  readonly most: number;
  readonly step: number;
  readonly shown: string;
  readonly onValue: (value: number) => void;
}

function Slide({ label, value, least, most, step, shown, onValue }: SlideProps) {
  const id = useId();
  return (
    <div className="grid grid-cols-[4.5rem_minmax(0,1fr)_3.5rem] items-center gap-2">
      <label htmlFor={id} className="quiet">
        {label}
      </label>
      <input
        id={id}
        type="range"
        min={least}
        max={most}
        step={step}
        value={value}
        aria-valuetext={shown}
        className="w-full accent-(--color-accent)"
        onChange={(event) => onValue(Number(event.target.value))}
      />
      <span className="text-right tabular-nums">{shown}</span>
    </div>
  );
}

/**
 * The loaf cut by hand: the cut moved through it, turned and leant over, and its face looked at square on.
 */
export function PlaneView() {
  const { name } = usePresent();
  const { computed } = useDrawn(...SEEN);
  const colours = useColours();
  const [ref, { width, height }] = useSize<HTMLDivElement>();
  const [cut, setCut] = useState<HandCut>({ turnDeg: 0, leanDeg: 0, at: 0.5 });
  const face = planeFace(computed, cut);
  return (
    <div ref={ref} className="flex min-h-0 flex-1 flex-col items-center gap-2 p-4">
      <div className="flex flex-wrap justify-center gap-1.5">
        {USUAL.map((u) => (
          <Button
            key={u.name}
            aria-pressed={u.cut.turnDeg === cut.turnDeg && u.cut.leanDeg === cut.leanDeg}
            onClick={() => setCut({ ...cut, ...u.cut })}
          >
            {u.name}
          </Button>
        ))}
        <Button
          icon={Download}
          onClick={() => void saveFacePicture(face, depositColours(colours), fileStem(`${name} cut`, 'cut'))}
        >
          Picture, .png
        </Button>
      </div>
      {width > 0 && (
        <FaceDrawing
          face={face}
          colours={colours}
          top={false}
          width={width - 40}
          height={Math.max(80, height - 190)}
        />
      )}
      <div className="grid w-full max-w-md gap-1 text-sm">
        <Slide
          label="Move it"
          least={0}
          most={1}
          step={0.01}
          value={cut.at}
          shown={`${Math.round(cut.at * 100)} %`}
          onValue={(at) => setCut({ ...cut, at })}
        />
        <Slide
          label="Turn it"
          least={0}
          most={180}
          step={5}
          value={cut.turnDeg}
          shown={`${cut.turnDeg}°`}
          onValue={(turnDeg) => setCut({ ...cut, turnDeg })}
        />
        <Slide
          label="Lean it"
          least={0}
          most={90}
          step={5}
          value={cut.leanDeg}
          shown={`${cut.leanDeg}°`}
          onValue={(leanDeg) => setCut({ ...cut, leanDeg })}
        />
      </div>
    </div>
  );
}
