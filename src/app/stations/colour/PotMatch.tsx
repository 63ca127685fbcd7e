import { useEffect, useState } from 'react';
import { takeMatch } from '../../../core/edit/colorants.ts';
import type { FoundColour } from '../../../core/look/matchPots.ts';
import type { Pot } from '../../../core/plan/planSchema.ts';
import { ColourPicker } from '../../parts/colour/ColourPicker.tsx';
import { useColorants } from '../../parts/colour/useLibrary.ts';
import { usePlan } from '../../parts/usePlan.ts';
import { Button } from '../../kit/Button.tsx';
import { WordButton } from '../../kit/WordButton.tsx';
import { findColours } from './findColours.ts';
import { MatchWords } from './MatchWords.tsx';

/** Colorants and doses for a colour that was painted, or taken from a photograph. */
export function PotMatch({ pot, colour }: { readonly pot: Pot; readonly colour: string }) {
  const { plan, edit } = usePlan();
  const library = useColorants();
  const [wanted, setWanted] = useState<string>();
  const [found, setFound] = useState<FoundColour>();
  useEffect(() => {
    if (wanted === undefined) return undefined;
    const search = findColours({ plan, library, wanted: [{ pot: pot.id, hex: wanted }] }, `pot-${pot.id}`);
    void search.found.then((list) => {
      if (list) setFound(list[0]);
    });
    return search.stop;
  }, [plan, library, pot.id, wanted]);
  const pick = (hex: string | undefined): undefined => {
    setWanted(hex);
    return undefined;
  };
  return (
    <>
      {pot.colour !== undefined && (
        <Button onClick={() => pick(colour)}>Find colorants for this colour</Button>
      )}
      <ColourPicker
        label={`Match a colour in pot ${pot.letter}`}
        value={wanted ?? colour}
        onPick={pick}
        className="btn btn-sm"
      >
        Match a colour…
      </ColourPicker>
      {wanted !== undefined && (
        <ul className="grid w-full gap-2" aria-label={`Colorants for ${wanted}`}>
          {found?.hex === wanted
            ? found.matches.map((match) => (
                <li
                  key={match.mix.map((m) => m.colorant).join()}
                  className="flex flex-wrap items-center gap-2 text-sm"
                >
                  <MatchWords wanted={wanted} match={match} />
                  <Button
                    tone="primary"
                    size="tiny"
                    onClick={() => {
                      edit((p) => takeMatch(p, pot.id, match));
                      pick(undefined);
                    }}
                  >
                    Take it
                  </Button>
                </li>
              ))
            : [
                <li key="under-way" className="quiet text-sm">
                  Looking through the colorants…
                </li>,
              ]}
          <li>
            <WordButton className="text-sm" onClick={() => pick(undefined)}>
              Leave it
            </WordButton>
          </li>
        </ul>
      )}
    </>
  );
}
