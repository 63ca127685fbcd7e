import { useState } from 'react';
import * as v from 'valibot';
import { customOilSchema, type RecipeOil } from '../../../core/batter/schema.ts';
import { Button } from '../../kit/Button.tsx';

type Custom = NonNullable<RecipeOil['custom']>;

const FIELDS = [
  { key: 'name', label: 'Name' },
  { key: 'svLow', label: 'Lowest, mg KOH/g' },
  { key: 'svHigh', label: 'Highest, mg KOH/g' },
  { key: 'densityGMl', label: 'Density, g/ml' },
] as const;

/** An oil that is not in the library, from the supplier's sheet: its saponification range and density. */
export function OwnOil({ onDone }: { readonly onDone: (custom: Custom | undefined) => void }) {
  const [draft, setDraft] = useState({ name: '', svLow: '', svHigh: '', densityGMl: '0.915' });
  const [faults, setFaults] = useState<Readonly<Record<string, string>>>({});
  const take = (): void => {
    const read = v.safeParse(customOilSchema, {
      name: draft.name,
      svLow: Number(draft.svLow || 'none'),
      svHigh: Number(draft.svHigh || 'none'),
      densityGMl: Number(draft.densityGMl || 'none'),
    });
    if (!read.success)
      setFaults(Object.fromEntries(read.issues.map((i) => [i.path?.[0].key as string, i.message])));
    else if (read.output.svLow > read.output.svHigh) setFaults({ svHigh: 'lower than the lowest' });
    else onDone(read.output);
  };
  return (
    <form
      className="grid gap-3 rounded-box border border-base-300 p-3"
      aria-label="An oil of your own"
      onSubmit={(event) => {
        event.preventDefault();
        take();
      }}
    >
      <div className="grid grid-cols-4 gap-3">
        {FIELDS.map(({ key, label }) => (
          <label key={key} className="grid content-start gap-0.5 text-sm">
            <span className="quiet">{label}</span>
            <input
              className="field text-base"
              value={draft[key]}
              aria-invalid={faults[key] !== undefined}
              onChange={(event) => setDraft({ ...draft, [key]: event.target.value })}
            />
            {faults[key] !== undefined && (
              <span role="alert" className="text-error">
                {faults[key]}
              </span>
            )}
          </label>
        ))}
      </div>
      <p className="flex gap-2">
        <Button tone="primary" type="submit">
          Add this oil
        </Button>
        <Button onClick={() => onDone(undefined)}>Leave it</Button>
      </p>
    </form>
  );
}
