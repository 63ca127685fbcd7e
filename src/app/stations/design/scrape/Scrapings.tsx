import { updateScrape } from '../../../../core/edit/scrape.ts';
import type { ScaledLayer } from '../../../../core/weigh/scaled.ts';
import { nextPour } from '../../../../core/plan/scrapes.ts';
import { leadPot, potNamed } from '../../../../core/plan/sources.ts';
import type { Scrape } from '../../../../core/plan/stepSchema.ts';
import { Picker } from '../../../parts/Picker.tsx';
import { NO_COLOUR } from '../../../parts/ink.ts';
import { useBench, useColours } from '../../../parts/usePlan.ts';
import { usePotColour } from './usePotColour.ts';

interface ScrapingsProps {
  readonly scrape: Scrape;
  readonly layer: ScaledLayer;
}

/** A colour before and after, side by side. */
const Becomes = ({
  from,
  to,
  letter,
}: {
  readonly from: string;
  readonly to: string;
  readonly letter: string;
}) => (
  <p className="flex items-center gap-2 text-sm">
    <span className="flex overflow-hidden rounded-field border border-black/25" aria-hidden="true">
      <span className="size-7" style={{ background: from }} />
      <span className="size-7" style={{ background: to }} />
    </span>
    <span className="quiet">Jug {letter} as it is mixed, and with the scrapings in it, cured.</span>
  </p>
);

/** In a card's sentence: where the scrapings go. */
export function ScrapingsGo({ scrape, layer }: ScrapingsProps) {
  const { plan, edit } = useBench();
  const next = nextPour(plan, scrape);
  const own = potNamed(plan, leadPot(layer.pour));
  const taker = next && potNamed(plan, leadPot(next));
  return (
    <>
      {' The scrapings go '}
      <Picker
        label="The scrapings go"
        value={scrape.to}
        options={[
          { value: 'spare', label: 'into a spare mould' },
          { value: 'pot', label: `back into jug ${own?.letter ?? ''}` },
          { value: 'next', label: `into jug ${taker?.letter ?? ''} of the next pour` },
        ]}
        onPick={(to) => edit((p) => updateScrape(p, scrape.id, { to }))}
      />
      .
    </>
  );
}

/** How much the scrapings are, and what they do to the jug that takes them. */
export function Scrapings({ scrape, layer }: ScrapingsProps) {
  const { plan, computed, show } = useBench('weights');
  const colours = useColours();
  const next = nextPour(plan, scrape);
  const taker = next && potNamed(plan, leadPot(next));
  const plain = usePotColour(taker);
  const { scraping } = layer;
  const offG = (scraping?.volumeMl ?? 0) * layer.densityGMl;
  return (
    <div className="grid gap-2">
      {scraping && (
        <p role="status">
          <b>{show.mass(offG)} scraped off</b>
          <span className="quiet">
            , {show.mass(layer.pouredG)} stay. Poured to {show.length(scraping.pouredMm)}; the profile stands
            from {show.length(scraping.lowestMm)} to {show.length(scraping.highestMm)} above the floor.{' '}
            {scrape.to === 'spare' && 'That much more is made of it.'}
            {scrape.to === 'pot' && 'They are poured again with what follows out of that jug.'}
            {scrape.to === 'next' && 'That much less is made of what they go into.'}
          </span>
        </p>
      )}
      {scrape.to === 'next' && next && taker && plain !== undefined && (
        <Becomes from={plain} to={colours.pours.get(next.id) ?? NO_COLOUR} letter={taker.letter} />
      )}
      {scrape.to === 'next' && plan.divide.kind === 'before-lye' && computed.weights && (
        <p className="quiet text-sm">
          With lye put to one jug after the other they go into that jug&apos;s oils before its lye, so that
          they are blended in with it.
        </p>
      )}
    </div>
  );
}
