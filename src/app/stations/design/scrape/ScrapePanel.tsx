import { Plus } from 'lucide-react';
import { addEdgePoint, setEdgeShape, setRelief, updateScrape } from '../../../../core/edit/scrape.ts';
import { SCRAPER } from '../../../../core/pattern/knowHow.ts';
import { layerUnder } from '../../../../core/plan/scrapes.ts';
import type { Scrape } from '../../../../core/plan/stepSchema.ts';
import { viewShown } from '../../../../store/deskSlice.ts';
import { useAppDispatch } from '../../../../store/store.ts';
import { LengthField } from '../../../parts/quantities.tsx';
import { RunsPicker } from '../../../parts/RunsPicker.tsx';
import { useBench } from '../../../parts/usePlan.ts';
import { More } from '../More.tsx';
import { StepButtons } from '../pattern/StepButtons.tsx';
import { ToolHead } from '../pattern/ToolHead.tsx';
import { EdgeShapes } from './EdgeShapes.tsx';
import { ScraperFiles } from './ScraperFiles.tsx';
import { Scrapings, ScrapingsGo } from './Scrapings.tsx';
import { Button } from '../../../kit/Button.tsx';

/** A layer scraped to a profile: its edge, how deep, which way, and where what is scraped off goes. */
export function ScrapePanel({ scrape }: { readonly scrape: Scrape }) {
  const { plan, computed, edit } = useBench('stack');
  const dispatch = useAppDispatch();
  const { edge } = scrape;
  const pour = layerUnder(plan, scrape);
  const layer = computed.stack.layers.find((l) => l.pour.id === pour?.id);
  return (
    <section aria-label="The scraper" className="grid grid-cols-[minmax(0,1fr)] gap-3">
      <ToolHead tool="scraper" does={layer ? `Over pour ${layer.nth + 1}` : 'Over nothing yet'} />
      <EdgeShapes
        value={edge.kind === 'drawn' ? 'drawn' : edge.shape}
        onChoose={(shape) => edit((p) => setEdgeShape(p, scrape.id, shape))}
      />
      <div className="sentence">
        Pulled{' '}
        <RunsPicker
          label="Pulled"
          value={scrape.pulled}
          onPick={(pulled) => {
            edit((p) => updateScrape(p, scrape.id, { pulled }));
            dispatch(viewShown(pulled === 'lengthwise' ? 'section' : 'side'));
          }}
        />
        {', its tips '}
        <LengthField
          label="Tips go down"
          value={scrape.depthMm}
          onValue={(depthMm, g) => edit((p) => updateScrape(p, scrape.id, { depthMm }), g)}
        />
        {' down, '}
        <LengthField
          label="From tip to ridge"
          value={scrape.reliefMm}
          onValue={(reliefMm, g) => edit((p) => setRelief(p, scrape.id, reliefMm), g)}
        />
        {' from tip to ridge'}
        {edge.kind === 'repeated' && (
          <>
            {', '}
            <LengthField
              label="From tip to tip"
              value={edge.pitchMm}
              onValue={(pitchMm, g) =>
                edit((p) => updateScrape(p, scrape.id, { edge: { ...edge, pitchMm } }), g)
              }
            />
            {' from tip to tip, '}
            <LengthField
              label="Off the middle"
              value={edge.shiftMm}
              onValue={(shiftMm, g) =>
                edit((p) => updateScrape(p, scrape.id, { edge: { ...edge, shiftMm } }), g)
              }
            />
            {' off the middle'}
          </>
        )}
        .{layer && <ScrapingsGo scrape={scrape} layer={layer} />}
      </div>
      {layer && <Scrapings scrape={scrape} layer={layer} />}
      <More know={SCRAPER}>
        {edge.kind === 'drawn' && (
          <>
            <p className="quiet text-sm">
              Drag its points in the section, or move them with the arrow keys; Delete takes one out.
            </p>
            <Button
              icon={Plus}
              className="justify-self-start"
              onClick={() => edit((p) => addEdgePoint(p, scrape.id, Math.floor(edge.points.length / 2) - 1))}
            >
              A point half way
            </Button>
          </>
        )}
        {layer && <ScraperFiles scrape={scrape} layer={layer} />}
        <StepButtons stepId={scrape.id} />
      </More>
    </section>
  );
}
