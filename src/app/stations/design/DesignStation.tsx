import type { StepId } from '../../../core/validate/ids.ts';
import { Plus } from 'lucide-react';
import { evenAll } from '../../../core/edit/even.ts';
import { addPot } from '../../../core/edit/pots.ts';
import { isSimulated } from '../../../core/pattern/blocks.ts';
import { addPour } from '../../../core/edit/pours.ts';
import { beforeSettling } from '../../../core/fill/layers.ts';
import { pourChosen } from '../../../store/deskSlice.ts';
import { useAppDispatch, useAppSelector } from '../../../store/store.ts';
import { Group, Station } from '../../parts/Station.tsx';
import { useBench } from '../../parts/usePlan.ts';
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
import { ScrapePanel } from './scrape/ScrapePanel.tsx';
import { SlantAll } from './SlantAll.tsx';

export function DesignStation() {
  const { plan, computed, edit, follows } = useBench();
  const dispatch = useAppDispatch();
  const chosen = useAppSelector((s) => s.desk.chosen);
  const laid = computed.stack.layers.find((l) => l.pour.id === chosen);
  const layer = laid && beforeSettling(laid);
  const stroke = plan.steps.find((s) => s.kind === 'stroke' && s.id === chosen);
  const line = plan.steps.find((s) => s.kind === 'mica' && s.id === chosen);
  const scrape = plan.steps.find((s) => s.kind === 'scrape' && s.id === chosen);
  const wire = plan.steps.find((s) => s.kind === 'wire' && s.id === chosen);
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
        <button type="button" className="btn btn-sm btn-primary" onClick={add}>
          <Plus className="size-4" aria-hidden="true" />
          Layer
        </button>
        <button type="button" className="btn btn-sm" onClick={() => edit(evenAll)}>
          Even all
        </button>
      </div>
      {stroke?.kind === 'stroke' ? (
        <StrokePanel key={stroke.id} stroke={stroke} />
      ) : wire?.kind === 'wire' ? (
        <WirePanel key={wire.id} wire={wire} />
      ) : scrape?.kind === 'scrape' ? (
        <ScrapePanel key={scrape.id} scrape={scrape} />
      ) : line?.kind === 'mica' ? (
        <LinePanel key={line.id} line={line} />
      ) : layer?.pour.pattern ? (
        <PatternPanel key={layer.pour.id} layer={layer} pattern={layer.pour.pattern} />
      ) : layer ? (
        <PourPanel key={layer.pour.id} layer={layer} />
      ) : (
        <>
          <LayerList />
          <p className="quiet text-sm">
            Choose a layer or a drop to change it. Drag a line in the section to move it.
          </p>
        </>
      )}
      <AddPattern />
      {isSimulated(plan) && <Otherwise />}
      <Group title="Held back for the top">
        <HeldBack />
      </Group>
      <SlantAll />
      <BetweenAndAfter />
    </Station>
  );
}
