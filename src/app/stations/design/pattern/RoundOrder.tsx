import { ArrowLeft, ArrowRight, X } from 'lucide-react';
import { useState } from 'react';
import { addPot } from '../../../../core/edit/pots.ts';
import { addTurn, moveTurn, removeTurn } from '../../../../core/edit/pattern.ts';
import { roundOf, potNamed } from '../../../../core/plan/sources.ts';
import { isOneJug } from '../../../../core/ways/ways.ts';
import type { Pour } from '../../../../core/plan/stepSchema.ts';
import { Picker } from '../../../parts/Picker.tsx';
import { PotBadge } from '../../../parts/PotBadge.tsx';
import { useBench } from '../../../parts/usePlan.ts';
import { Button } from '../../../kit/Button.tsx';

const NONE = '';
const NEW_POT = 'a new pot';

/** The pots of one round, in the order they are poured: choose one to move it or to take it out. */
export function RoundOrder({ pour }: { readonly pour: Pour }) {
  const { plan, edit } = useBench();
  const [chosen, setChosen] = useState<number | null>(null);
  const round = roundOf(pour);
  const at = chosen !== null && chosen < round.length ? chosen : null;
  const pot = at === null ? undefined : potNamed(plan, round[at]);
  const move = (by: 1 | -1): void => {
    if (at === null) return;
    edit((p) => moveTurn(p, pour.id, at, by));
    setChosen(at + by);
  };
  const add = (value: string): void => {
    if (value === NONE) return;
    edit((p) => {
      if (value !== NEW_POT) return addTurn(p, pour.id, value);
      const added = addPot(p);
      return addTurn(added.plan, pour.id, added.potId);
    });
  };
  return (
    <div className="grid gap-2">
      <p className="quiet text-sm">
        {pour.pattern && isOneJug(pour.pattern.place)
          ? 'In one jug, by equal parts: a pot can come again'
          : 'One round, in order'}
      </p>
      <ol className="flex flex-wrap gap-1.5">
        {round.map((id, i) => {
          const here = potNamed(plan, id);
          return (
            here && (
              <li key={i}>
                <button
                  type="button"
                  className={`cursor-pointer rounded-full border-2 p-0.5 ${at === i ? 'border-accent' : 'border-transparent'}`}
                  aria-pressed={at === i}
                  aria-label={`Turn ${i + 1}: pot ${here.letter}, ${here.name}`}
                  onClick={() => setChosen(at === i ? null : i)}
                >
                  <PotBadge pot={here} size={34} />
                </button>
              </li>
            )
          );
        })}
      </ol>
      {at !== null && pot && (
        <div className="flex flex-wrap items-center gap-1.5">
          <span className="flex-1 truncate">
            {pot.letter}, {pot.name}
          </span>
          <Button icon={ArrowLeft} disabled={at === 0} onClick={() => move(-1)}>
            Earlier
          </Button>
          <Button icon={ArrowRight} disabled={at === round.length - 1} onClick={() => move(1)}>
            Later
          </Button>
          <Button
            icon={X}
            disabled={round.length === 1}
            onClick={() => {
              edit((p) => removeTurn(p, pour.id, at));
              setChosen(null);
            }}
          >
            Take out
          </Button>
        </div>
      )}
      <Picker
        label="Add a turn"
        value={NONE}
        options={[
          { value: NONE, label: 'of which pot?' },
          ...plan.pots.map((p) => ({ value: p.id, label: `${p.letter}  ${p.name}` })),
          { value: NEW_POT, label: NEW_POT },
        ]}
        onPick={add}
      />
    </div>
  );
}
