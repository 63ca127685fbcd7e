import { addScrape } from '../../../../core/edit/scrape.ts';
import type { ScaledLayer } from '../../../../core/weigh/scaled.ts';
import { canBeScraped } from '../../../../core/pattern/blocks.ts';
import { scrapesOf } from '../../../../core/plan/scrapes.ts';
import type { StepId } from '../../../../core/validate/ids.ts';
import { pourChosen, viewShown } from '../../../../store/deskSlice.ts';
import { useAppDispatch } from '../../../../store/store.ts';
import { useBench } from '../../../parts/usePlan.ts';
import { Button } from '../../../kit/Button.tsx';

/** Scrapes a layer to a profile, or goes to its scraping where there is one. */
export function ScrapeIt({ layer }: { readonly layer: ScaledLayer }) {
  const { plan, computed, edit } = useBench('stack');
  const dispatch = useAppDispatch();
  const scrape = scrapesOf(plan).get(layer.pour.id);
  if (!scrape && !canBeScraped(computed, layer)) return null;
  const add = (): void => {
    let id: StepId | undefined = scrape?.id;
    if (id === undefined)
      edit((p) => {
        const made = addScrape(p, layer);
        id = made.stepId;
        return made.plan;
      });
    if (id === undefined) return;
    dispatch(pourChosen(id));
    dispatch(viewShown(scrape?.pulled === 'crosswise' ? 'side' : 'section'));
  };
  return (
    <Button className="justify-self-start" onClick={add}>
      {scrape ? 'How it is scraped' : 'Scrape it to a profile'}
    </Button>
  );
}
