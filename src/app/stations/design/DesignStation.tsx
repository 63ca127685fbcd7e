import type { StepId } from '../../../core/validate/ids.ts';
import { Plus } from 'lucide-react';
import { evenAll } from '../../../core/edit/even.ts';
import { addPot } from '../../../core/edit/pots.ts';
import { isSimulated } from '../../../core/pattern/blocks.ts';
import { addPour } from '../../../core/edit/pours.ts';
import { beforeSettling } from '../../../core/fill/layers.ts';
import type { ScaledLayer } from '../../../core/weigh/scaled.ts';
import type { Step } from '../../../core/plan/stepSchema.ts';
import { pourChosen } from '../../../store/deskSlice.ts';
import { useAppDispatch, useAppSelector } from '../../../store/store.ts';
import { Group, Station } from '../../parts/Station.tsx';
import { useBench, useMouldUse } from '../../parts/usePlan.ts';
import { BetweenAndAfter } from './BetweenAndAfter.tsx';
import { Follows } from './Follows.tsx';
import { HeldBack } from './HeldBack.tsx';
import { LinePanel } from './line/LinePanel.tsx';
import { LayerList } from './LayerList.tsx';
import { AddPattern } from './pattern/AddPattern.tsx';
import { Otherwise } from './pattern/Otherwise.tsx';
import { PatternPanel } from './pattern/PatternPanel.tsx';
import { StrokePanel } from './pattern/StrokePanel.tsx';
import { WirePanel } from './pattern/WirePanel.tsx';
import { PourPanel } from './PourPanel.tsx';
import { AddTop } from './top/AddTop.tsx';
import { TopPanel } from './top/TopPanel.tsx';
import { RidgesPanel } from './RidgesPanel.tsx';
import { ScrapePanel } from './scrape/ScrapePanel.tsx';
import { SlantAll } from './SlantAll.tsx';
import { Button } from '../../kit/Button.tsx';

interface ChosenProps {
  readonly step: Step | undefined;
  /** the layer that it pours, as it is poured */
  readonly layer: ScaledLayer | undefined;
}

/** The panel of the chosen step; of none, all layers. */
function Chosen({ step, layer }: ChosenProps) {
  switch (step?.kind) {
    case 'stroke':
      return <StrokePanel key={step.id} stroke={step} />;
    case 'wire':
      return <WirePanel key={step.id} wire={step} />;
    case 'scrape':
      return <ScrapePanel key={step.id} scrape={step} />;
    case 'ridges':
      return <RidgesPanel key={step.id} step={step} />;
    case 'top':
      return <TopPanel key={step.id} step={step} />;
    case 'mica':
      return <LinePanel key={step.id} line={step} />;
  }
  if (layer?.pour.pattern)
    return <PatternPanel key={layer.pour.id} layer={layer} pattern={layer.pour.pattern} />;
  if (layer) return <PourPanel key={layer.pour.id} layer={layer} />;
  return (
    <>
      <LayerList />
      <p className="quiet text-sm">
        Choose a layer or a drop to change it. Drag a line in the section to move it.
      </p>
    </>
  );
}

export function DesignStation() {
  const { plan, computed, edit } = useBench('stack');
  const { follows } = useMouldUse();
  const dispatch = useAppDispatch();
  const chosen = useAppSelector((s) => s.desk.chosen);
  const laid = computed.stack.layers.find((l) => l.pour.id === chosen);
  const layer = laid && beforeSettling(laid);
  const step = plan.steps.find((s) => s.id === chosen);
  const add = (): void => {
    let stepId: StepId | undefined;
    edit((p) => {
      const pot = addPot(p);
      const pour = addPour(pot.plan, pot.potId, layer?.pour.compartment);
      stepId = pour.stepId;
      return pour.plan;
    });
    if (stepId !== undefined) dispatch(pourChosen(stepId));
  };
  if (follows)
    return (
      <Station station="design" title="Design">
        <Follows />
        <LayerList />
        <Group title="Held back for the top">
          <HeldBack />
        </Group>
      </Station>
    );
  return (
    <Station station="design" title="Design">
      <Follows />
      <div className="flex flex-wrap gap-2">
        <Button icon={Plus} tone="primary" onClick={add}>
          Layer
        </Button>
        <Button onClick={() => edit(evenAll)}>Even all</Button>
      </div>
      <Chosen step={step} layer={layer} />
      <AddPattern />
      <AddTop />
      {isSimulated(plan) && <Otherwise />}
      <Group title="Held back for the top">
        <HeldBack />
      </Group>
      <SlantAll />
      <BetweenAndAfter />
    </Station>
  );
}
