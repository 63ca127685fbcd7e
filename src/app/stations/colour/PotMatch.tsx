import { useDeferredValue, useMemo, useState } from 'react';
import { labOfHex } from '../../../core/colour/lab.ts';
import { SHOWS } from '../../../core/colour/thresholds.ts';
import { takeMatch } from '../../../core/edit/colorants.ts';
import { matchesFor, type ColourMatch } from '../../../core/look/matchColour.ts';
import { paintboxOf } from '../../../core/look/paintbox.ts';
import { plannedState } from '../../../core/look/state.ts';
import type { Pot } from '../../../core/plan/planSchema.ts';
import { formatShort } from '../../../core/units/format.ts';
import { ColourPicker } from '../../parts/colour/ColourPicker.tsx';
import { useColorants } from '../../parts/colour/useLibrary.ts';
import { usePlan } from '../../parts/usePlan.ts';
import { Button } from '../../kit/Button.tsx';
import { WordButton } from '../../kit/WordButton.tsx';

/** Colorants and doses for a colour that was painted, or taken from a photograph. */
export function PotMatch({ pot, colour }: { readonly pot: Pot; readonly colour: string }) {
  const { plan, edit } = usePlan();
  const library = useColorants();
  const [wanted, setWanted] = useState<string>();
  // the search gives way to the picking of the colour
  const sought = useDeferredValue(wanted);
  const state = plannedState(plan, 'cured');
  const { base } = paintboxOf(plan, state, pot.id);
  const { colorants } = plan;
  const { heat } = state;
  const list = useMemo((): readonly ColourMatch[] => {
    if (sought === undefined) return [];
    const own = colorants.flatMap((c) => (c.nature ? [{ ...c, nature: c.nature }] : []));
    const all = [...own, ...library.filter((c) => !own.some((o) => o.id === c.id))];
    return matchesFor(labOfHex(sought), base, all, { age: 'cured', heat, scented: true });
  }, [sought, base, colorants, library, heat]);
  const pick = (hex: string | undefined): undefined => {
    setWanted(hex);
    return undefined;
  };
  return (
    <div className="grid gap-2">
      <span className="flex flex-wrap gap-2">
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
      </span>
      {wanted !== undefined && (
        <ul className="grid gap-2" aria-label={`Colorants for ${wanted}`}>
          {list.map((match) => (
            <li
              key={match.mix.map((m) => m.colorant).join()}
              className="flex flex-wrap items-center gap-2 text-sm"
            >
              <span className="flex h-8 w-20 overflow-hidden rounded-field" aria-hidden="true">
                <span className="flex-1" style={{ background: wanted }} />
                <span className="flex-1" style={{ background: match.hex }} />
              </span>
              <span className="min-w-40 flex-1 leading-snug">
                {match.mix
                  .map(
                    (m) =>
                      `${formatShort(m.doseGPerKg, 2)} g/kg ${match.colorants.find((c) => c.id === m.colorant)?.name ?? ''}`,
                  )
                  .join(' and ')}
                <span className={match.difference > SHOWS ? 'text-error' : 'quiet'}>
                  {' '}
                  · {formatShort(match.difference, 1)} away
                  {match.difference > SHOWS ? ', which shows' : ''}
                </span>
              </span>
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
          ))}
          <li>
            <WordButton className="text-sm" onClick={() => pick(undefined)}>
              Leave it
            </WordButton>
          </li>
        </ul>
      )}
    </div>
  );
}
