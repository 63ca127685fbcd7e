import { POT_COLOURS } from '../../core/edit/pots.ts';

/** Which of the first colours new pots are to have; one at least. */
export function Colours({
  names,
  onChoose,
}: {
  readonly names: readonly string[];
  readonly onChoose: (names: readonly string[]) => void;
}) {
  return (
    <fieldset className="grid gap-0.5">
      <legend className="quiet text-sm">Colours</legend>
      <div className="flex flex-wrap gap-1.5">
        {POT_COLOURS.map((c) => {
          const on = names.includes(c.name);
          return (
            <button
              key={c.name}
              type="button"
              aria-pressed={on}
              aria-label={c.name}
              title={c.name}
              className={`size-9 cursor-pointer rounded-full ${on ? 'border-[3px] border-base-content outline-2 outline-offset-1 outline-base-content' : 'border border-black/25'}`}
              style={{ background: c.colour }}
              onClick={() => {
                const next = on ? names.filter((n) => n !== c.name) : [...names, c.name];
                if (next.length > 0) onChoose(next);
              }}
            />
          );
        })}
      </div>
    </fieldset>
  );
}
