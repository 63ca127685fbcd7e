import { plural } from '../../core/units/words.ts';
import { Plus, X } from 'lucide-react';
import { useState } from 'react';
import { SPEEDS, type Speed } from '../../core/batter/schema.ts';
import { seenSpeed } from '../../core/supplies/behaviour.ts';
import { TANS, type FragranceStock, type Tan } from '../../core/supplies/schema.ts';
import type { Seen } from '../../store/tables/kind.ts';
import { Picker } from '../parts/Picker.tsx';
import { QuantityField } from '../parts/QuantityField.tsx';
import { PercentField } from '../parts/quantities.tsx';
import { TextField } from '../parts/TextField.tsx';
import { parseFigure } from '../../core/units/parseQuantity.ts';
import { formatShort } from '../../core/units/format.ts';
import { SPEED_WORDS, TAN_WORDS } from './behaviourWords.ts';
import { SupplyCard } from './SupplyCard.tsx';
import { keepOf } from './useKeep.ts';
import { Button } from '../kit/Button.tsx';
import { IconButton } from '../kit/IconButton.tsx';
import { partsOf } from '../parts/partsOf.ts';

const DAY = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short', year: 'numeric' });

const SPEED_OPTIONS = SPEEDS.map((value) => ({ value, label: SPEED_WORDS[value] }));
const TAN_OPTIONS = TANS.map((value) => ({ value, label: TAN_WORDS[value] }));
const UNSAID = 'unsaid';

/** A fragrance by its lot: what its papers say, what its supplier says, what was seen. */
export function FragranceCard({ seen }: { readonly seen: Seen<FragranceStock> }) {
  const f = seen.value;
  const keep = keepOf(seen);
  const called = f.version === undefined ? f.name : `${f.name}, ${f.version}`;
  const { claimed } = f;
  const observed = seenSpeed(f);
  const field = partsOf(f, keep);
  return (
    <SupplyCard seen={seen} name={called} keep={(part, g) => keep(part, g)}>
      <div className="grid grid-cols-2 items-start gap-3 sm:grid-cols-4">
        <TextField
          label="Lot or version"
          value={f.version ?? '–'}
          onValue={(text, g) => keep({ version: text.trim() === '–' ? undefined : text }, g)}
        />
        <QuantityField
          label="Density"
          shown={`${formatShort(f.densityGMl, 3)} g/ml`}
          parse={(text) => parseFigure(text, 'g/ml')}
          onValue={(densityGMl, g) => keep({ densityGMl }, g)}
        />
        <PercentField label="Certificate limit" {...field('limitPercent')} />
        <PercentField label="Vanillin in it" {...field('vanillinPercent')} />
        <Picker
          label="The supplier says"
          className="col-span-2 sm:col-span-2"
          value={claimed?.speed ?? UNSAID}
          options={[{ value: UNSAID, label: 'nothing of its speed' }, ...SPEED_OPTIONS]}
          onPick={(speed) =>
            keep({
              claimed: speed === UNSAID ? undefined : { speed: speed, tan: claimed?.tan ?? 'none' },
            })
          }
        />
        {claimed && (
          <Picker
            label="and that it"
            className="col-span-2"
            value={claimed.tan}
            options={TAN_OPTIONS}
            onPick={(tan) => keep({ claimed: { ...claimed, tan: tan } })}
          />
        )}
      </div>
      {f.observed.length > 0 && (
        <ul className="text-sm" aria-label={`Seen of ${called}`}>
          {f.observed.map((o, i) => (
            <li key={`${o.on}-${i}`} className="flex items-center gap-2">
              <span className="flex-1">
                <span className="quiet">
                  {DAY.format(new Date(o.on))}, in {o.recipe}:
                </span>{' '}
                {SPEED_WORDS[o.speed]}, {TAN_WORDS[o.tan]}
              </span>
              <IconButton
                icon={X}
                size="tiny"
                label={`Take out what was seen in ${o.recipe}`}
                onClick={() => keep({ observed: f.observed.filter((x) => x !== o) })}
              />
            </li>
          ))}
        </ul>
      )}
      {claimed && observed !== undefined && observed !== claimed.speed && (
        <p className="text-sm font-semibold">
          You saw that it {SPEED_WORDS[observed]}; its supplier says that it {SPEED_WORDS[claimed.speed]}.
        </p>
      )}
      {f.known && (
        <p className="flex items-center gap-2 text-sm">
          <span className="flex-1">
            Learned: batter thickens <strong>≈ {formatShort(f.known.value, 2)} times as fast</strong> with it,
            from {plural(f.known.readings, 'reading')}.
          </span>
          <Button size="tiny" onClick={() => keep({ known: undefined })}>
            Forget it
          </Button>
        </p>
      )}
      <Observe called={called} onSeen={(o) => keep({ observed: [...f.observed, o] })} />
    </SupplyCard>
  );
}

interface ObserveProps {
  readonly called: string;
  readonly onSeen: (o: FragranceStock['observed'][number]) => unknown;
}

/** What a fragrance did in a recipe of one's own, written down. */
function Observe({ called, onSeen }: ObserveProps) {
  const [recipe, setRecipe] = useState('');
  const [speed, setSpeed] = useState<Speed>('none');
  const [tan, setTan] = useState<Tan>('none');
  return (
    <form
      className="flex flex-wrap items-end gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        if (recipe.trim() === '') return;
        onSeen({ on: new Date().toISOString(), recipe: recipe.trim().slice(0, 120), speed, tan });
        setRecipe('');
      }}
    >
      <label className="grid min-w-40 flex-1 gap-0.5">
        <span className="quiet text-sm">Seen in which recipe</span>
        <input
          className="field"
          aria-label={`Recipe that ${called} was seen in`}
          value={recipe}
          onChange={(event) => setRecipe(event.target.value)}
        />
      </label>
      <Picker label="it" className="w-60" value={speed} options={SPEED_OPTIONS} onPick={(s) => setSpeed(s)} />
      <Picker label="and" className="w-36" value={tan} options={TAN_OPTIONS} onPick={(t) => setTan(t)} />
      <Button icon={Plus} className="mb-0.5" type="submit" disabled={recipe.trim() === ''}>
        Write it down
      </Button>
    </form>
  );
}
