import { evenAll } from '../../../core/edit/even.ts';
import { beforeSettling } from '../../../core/fill/layers.ts';
import { isSimulated } from '../../../core/pattern/blocks.ts';
import type { Step } from '../../../core/plan/stepSchema.ts';
import type { ScaledLayer } from '../../../core/weigh/scaled.ts';
import { useAppSelector } from '../../../store/store.ts';
import { Button } from '../../kit/Button.tsx';
import { Fold } from '../../kit/Fold.tsx';
import { Station } from '../../parts/Station.tsx';
import { useBench, useMouldUse } from '../../parts/usePlan.ts';
import { FinishPanel, PullPanel } from './EndPanel.tsx';
import { Follows } from './Follows.tsx';
import { HeldBack } from './HeldBack.tsx';
import { LayerList } from './LayerList.tsx';
import { LinePanel } from './line/LinePanel.tsx';
import { Otherwise } from './pattern/Otherwise.tsx';
import { PatternPanel } from './pattern/PatternPanel.tsx';
import { StrokePanel } from './pattern/StrokePanel.tsx';
import { WirePanel } from './pattern/WirePanel.tsx';
import { PourPanel } from './PourPanel.tsx';
import { RidgesPanel } from './RidgesPanel.tsx';
import { ScrapePanel } from './scrape/ScrapePanel.tsx';
import { SlantAll } from './SlantAll.tsx';
import { TiltPanel } from './TiltPanel.tsx';
import { TopPanel } from './top/TopPanel.tsx';
import { WaitPanel } from './WaitPanel.tsx';

interface ChosenProps {
  readonly step: Step;
  /** the layer that it pours, as it is poured */
  readonly layer: ScaledLayer | undefined;
}

/** The card of the chosen step. */
function Chosen({ step, layer }: ChosenProps) {
  switch (step.kind) {
    case 'pour':
      if (!layer) return null;
      return layer.pour.pattern ? (
        <PatternPanel layer={layer} pattern={layer.pour.pattern} />
      ) : (
        <PourPanel layer={layer} />
      );
    case 'tilt':
      return <TiltPanel tilt={step} />;
    case 'wait':
      return <WaitPanel wait={step} />;
    case 'stroke':
      return <StrokePanel stroke={step} />;
    case 'wire':
      return <WirePanel wire={step} />;
    case 'scrape':
      return <ScrapePanel scrape={step} />;
    case 'ridges':
      return <RidgesPanel step={step} />;
    case 'top':
      return <TopPanel step={step} />;
    case 'mica':
      return <LinePanel line={step} />;
    case 'pull':
      return <PullPanel pull={step} />;
    case 'finish':
      return <FinishPanel finish={step} />;
  }
}

/** Nothing is chosen: the layers, and the ways on that are about all of them. */
function AllLayers() {
  const { plan, edit, show } = useBench();
  const { follows } = useMouldUse();
  const held = plan.fill.top.reduce((sum, t) => sum + t.massG, 0);
  return (
    <>
      <LayerList />
      {!follows && (
        <p className="quiet text-sm">
          Choose a layer or a drop to change it, or drag a line in the section. What comes next is added on
          the line of drops, by a plus.
        </p>
      )}
      <div>
        {!follows && (
          <>
            <Button className="mb-3" onClick={() => edit(evenAll)}>
              Even all
            </Button>
            <Fold title="Slants">
              <SlantAll />
            </Fold>
          </>
        )}
        {!follows && isSimulated(plan) && (
          <Fold title="Try it otherwise">
            <Otherwise />
          </Fold>
        )}
        <Fold title="Held back for the top" state={held > 0 ? show.mass(held) : 'nothing'}>
          <HeldBack />
        </Fold>
      </div>
    </>
  );
}

export function DesignStation() {
  const { plan, computed } = useBench('stack');
  const { follows } = useMouldUse();
  const chosen = useAppSelector((s) => s.desk.chosen);
  const laid = computed.stack.layers.find((l) => l.pour.id === chosen);
  const step = follows ? undefined : plan.steps.find((s) => s.id === chosen);
  return (
    <Station station="design" title="Design">
      <Follows />
      {step ? <Chosen key={step.id} step={step} layer={laid && beforeSettling(laid)} /> : <AllLayers />}
    </Station>
  );
}
