import { setPourStage } from '../../../../core/edit/pattern.ts';
import { wayOf } from '../../../../core/ways/ways.ts';
import { setLanding } from '../../../../core/edit/pours.ts';
import type { ScaledLayer } from '../../../../core/weigh/scaled.ts';
import { pourWindow } from '../../../../core/pattern/windows.ts';
import { plungeOf, sinksTo } from '../../../../core/setting/plunge.ts';
import { sinkOf } from '../../../../core/setting/spike.ts';
import { stagePhrase } from '../../../../core/setting/stage.ts';
import { StagePicker } from '../../../parts/StagePicker.tsx';
import { LengthField } from '../../../parts/quantities.tsx';
import { useBench } from '../../../parts/usePlan.ts';

/** How deep a stream goes, said as a maker would. */
function sinking(plunge: number): string {
  const deep = sinksTo(plunge);
  if (deep > 0.46) return 'sinks right through';
  if (deep > 0.34) return 'sinks more than half way';
  if (deep > 0.24) return 'sinks about half way';
  if (deep > 0.16) return 'sinks a little';
  return 'lies on top';
}

/** In a card's sentence: from how high and at what thickness it goes in. By these it plunges or floats. */
export function HowPoured({ layer }: { readonly layer: ScaledLayer }) {
  const { edit } = useBench();
  const { pour } = layer;
  const { stage, alike } = stageOf(layer);
  return (
    <>
      {' from '}
      <LengthField
        label="Poured from"
        value={pour.landing.fallMm}
        onValue={(fallMm, g) => edit((p) => setLanding(p, pour.id, { ...pour.landing, fallMm }), g)}
      />
      {alike ? ', its pots ' : ', its pots on the mean '}
      <StagePicker
        label="Thickness of its pots"
        most={3}
        value={stage}
        onPick={(to) => edit((p) => setPourStage(p, pour, to))}
      />
    </>
  );
}

/** How thick a pour's pots are, on the mean, and whether they are alike. */
function stageOf({ pots }: ScaledLayer): { readonly stage: number; readonly alike: boolean } {
  const stages = pots.map((p) => p.stage);
  const mean = stages.reduce((a, b) => a + b, 0) / Math.max(1, stages.length);
  return { stage: Math.round(mean * 100) / 100, alike: Math.max(...stages) - Math.min(...stages) < 0.05 };
}

/** What becomes of it: how deep it goes, and whether it spreads at all. */
export function WhatItDoes({ layer }: { readonly layer: ScaledLayer }) {
  const { show } = useBench();
  const { pour, densityGMl } = layer;
  const { stage } = stageOf(layer);
  const { fallMm } = pour.landing;
  const way = pour.pattern && wayOf(pour.pattern.place);
  const { most: thickest } = pourWindow(pour, false);
  const sinks = way?.inOneJug
    ? 'lies on what is there'
    : way?.asLines
      ? `sinks ${show.length(Math.round(sinkOf(stage, fallMm, densityGMl)))}`
      : sinking(plungeOf(stage, fallMm, densityGMl));
  return (
    <>
      <p role="status" className="font-bold">
        {way?.asLines ? 'Each line' : 'It'} {sinks}
        <span className="quiet font-normal"> (estimated)</span>
      </p>
      {stage > thickest && (
        <p className="text-sm text-error">
          Thicker than {stagePhrase(thickest)} it hardly spreads: it stays where it is poured.
        </p>
      )}
    </>
  );
}
