import { useId, useRef } from 'react';
import { setPourStage } from '../../../../core/edit/pattern.ts';
import { wayOf } from '../../../../core/ways/ways.ts';
import { setLanding } from '../../../../core/edit/pours.ts';
import type { ScaledLayer } from '../../../../core/weigh/scaled.ts';
import { pourWindow } from '../../../../core/pattern/windows.ts';
import { plungeOf, sinksTo } from '../../../../core/setting/plunge.ts';
import { sinkOf } from '../../../../core/setting/spike.ts';
import { stagePhrase } from '../../../../core/setting/stage.ts';
import { Gesture } from '../../../../store/gesture.ts';
import { useBench } from '../../../parts/usePlan.ts';

/** mm: a slider's height grows evenly in its logarithm, from a spoon's to half a metre */
const LEAST = 5;
const MOST = 400;
const STEPS = 100;

const fallAt = (step: number): number => {
  const mm = LEAST * (MOST / LEAST) ** (step / STEPS);
  return mm < 30 ? Math.round(mm) : Math.round(mm / 5) * 5;
};
const stepOf = (fallMm: number): number => (STEPS * Math.log(fallMm / LEAST)) / Math.log(MOST / LEAST);

/** How deep a stream goes, said as a maker would. */
function sinking(plunge: number): string {
  const deep = sinksTo(plunge);
  if (deep > 0.46) return 'sinks right through';
  if (deep > 0.34) return 'sinks more than half way';
  if (deep > 0.24) return 'sinks about half way';
  if (deep > 0.16) return 'sinks a little';
  return 'lies on top';
}

/** A slider that makes one undo step of each pull. */
function Slide({
  label,
  value,
  most,
  step,
  text,
  onValue,
}: {
  readonly label: string;
  readonly value: number;
  readonly most: number;
  readonly step: number;
  readonly text: string;
  readonly onValue: (value: number, gesture: Gesture | undefined) => void;
}) {
  const id = useId();
  const gesture = useRef<Gesture | undefined>(undefined);
  return (
    <div className="grid gap-1">
      <label htmlFor={id} className="quiet text-sm">
        {label}
      </label>
      <input
        id={id}
        type="range"
        min={0}
        max={most}
        step={step}
        value={value}
        aria-valuetext={text}
        className="w-full accent-(--color-accent)"
        onPointerDown={() => {
          gesture.current = new Gesture();
        }}
        onPointerUp={() => {
          gesture.current = undefined;
        }}
        onChange={(event) => onValue(Number(event.target.value), gesture.current)}
      />
    </div>
  );
}

/** From how high and at what thickness a pour goes in: by these it plunges or floats. */
export function HowPoured({ layer }: { readonly layer: ScaledLayer }) {
  const { edit, show } = useBench();
  const { pour, pots, densityGMl } = layer;
  const stages = pots.map((p) => p.stage);
  const stage = stages.reduce((a, b) => a + b, 0) / Math.max(1, stages.length);
  const alike = Math.max(...stages) - Math.min(...stages) < 0.05;
  const { fallMm } = pour.landing;
  const way = pour.pattern && wayOf(pour.pattern.place);
  const { most: thickest } = pourWindow(pour, false);
  const sinks = way?.inOneJug
    ? 'lies on what is there'
    : way?.asLines
      ? `each line sinks ${show.length(Math.round(sinkOf(stage, fallMm, densityGMl)))}`
      : sinking(plungeOf(stage, fallMm, densityGMl));
  return (
    <div className="grid gap-2">
      <Slide
        label="Poured from"
        most={STEPS}
        step={1}
        value={stepOf(Math.min(MOST, Math.max(LEAST, fallMm)))}
        text={show.length(fallMm)}
        onValue={(value, g) =>
          edit((p) => setLanding(p, pour.id, { ...pour.landing, fallMm: fallAt(value) }), g)
        }
      />
      <Slide
        label={alike ? 'Thickness of its pots' : 'Thickness of its pots, on the mean'}
        most={3}
        step={0.1}
        value={stage}
        text={stagePhrase(stage)}
        onValue={(value, g) => edit((p) => setPourStage(p, pour, value), g)}
      />
      <p role="status" className="font-bold">
        {show.length(fallMm)}, {stagePhrase(stage)}: {sinks}
        <span className="quiet font-normal"> (estimated)</span>
      </p>
      {stage > thickest && (
        <p className="text-sm text-error">
          Thicker than {stagePhrase(thickest)} it hardly spreads: it stays where it is poured.
        </p>
      )}
    </div>
  );
}
