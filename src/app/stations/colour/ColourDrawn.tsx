import { useRef, useState } from 'react';
import { bestOf, takeFound } from '../../../core/edit/colorants.ts';
import { drawnPots, type FoundColour } from '../../../core/look/matchPots.ts';
import { listed } from '../../../core/units/words.ts';
import { useColorants } from '../../parts/colour/useLibrary.ts';
import { PotBadge } from '../../parts/PotBadge.tsx';
import { usePlan } from '../../parts/usePlan.ts';
import { Button } from '../../kit/Button.tsx';
import { WordButton } from '../../kit/WordButton.tsx';
import { findColours, type Search } from './findColours.ts';
import { MatchWords } from './MatchWords.tsx';

/**
 * Pots that are only drawn: one press finds colorants and doses for all of them, and tells how near each
 * comes. Nothing where there is none.
 */
export function ColourDrawn() {
  const { plan, edit } = usePlan();
  const library = useColorants();
  const [search, setSearch] = useState<Search>();
  const [found, setFound] = useState<readonly FoundColour[]>([]);
  const drawn = drawnPots(plan);
  // undone it is not told of any more
  const told = found.filter((of) => bestOf(of) === undefined || !drawn.some((p) => p.id === of.pot));
  const under = useRef<Search>(undefined);
  const colour = (): void => {
    const wanted = drawn.map((p) => ({ pot: p.id, hex: p.colour ?? '' }));
    const now = findColours({ plan, library, wanted }, 'drawn');
    under.current = now;
    setSearch(now);
    void now.found.then((list) => {
      if (under.current !== now) return;
      setSearch(undefined);
      if (!list) return;
      setFound(list);
      edit((p) => takeFound(p, list));
    });
  };
  return (
    <>
      {drawn.length > 0 && (
        <div className="grid gap-2 rounded-box border border-base-300 p-3">
          <p className="text-sm">
            {drawn.length === 1 ? 'Pot ' : 'Pots '}
            {listed(drawn.map((p) => `${p.letter} ${p.name}`))} {drawn.length === 1 ? 'is' : 'are'} only
            drawn: no colorant is weighed yet.
          </p>
          <p className="flex items-center gap-3">
            {search ? (
              <>
                <span className="quiet text-sm" role="status">
                  Looking through the colorants…
                </span>
                <Button onClick={search.stop}>Stop</Button>
              </>
            ) : (
              <Button tone="primary" onClick={colour}>
                Colour {drawn.length === 1 ? 'it' : 'them'} from the colorants at hand
              </Button>
            )}
          </p>
        </div>
      )}
      {told.length > 0 && (
        <div className="grid gap-2 rounded-box border border-base-300 p-3 text-sm" role="status">
          <p>As drawn, and as it is mixed now, cured. Undo gives it back.</p>
          <ul className="grid gap-2" aria-label="What was found">
            {told.map((of) => {
              const pot = plan.pots.find((p) => p.id === of.pot);
              const best = bestOf(of);
              if (!pot) return null;
              return (
                <li key={of.pot} className="flex flex-wrap items-center gap-2">
                  <PotBadge pot={pot} />
                  {best === undefined ? (
                    'No colorant is at hand that makes it: it stays drawn.'
                  ) : (
                    <MatchWords
                      wanted={of.hex}
                      match={
                        best === 'plain'
                          ? { mix: [], colorants: [], hex: of.plainHex, difference: of.plainAway }
                          : best
                      }
                    />
                  )}
                </li>
              );
            })}
          </ul>
          <p>
            <WordButton onClick={() => setFound([])}>Good</WordButton>
          </p>
        </div>
      )}
    </>
  );
}
