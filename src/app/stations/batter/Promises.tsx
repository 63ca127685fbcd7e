import { recipeLines } from '../../../core/batter/assessed.ts';
import { PROMISES } from '../../../core/batter/schema.ts';
import { Group } from '../../parts/Station.tsx';
import { usePlan } from '../../parts/usePlan.ts';
import { Button } from '../../kit/Button.tsx';
import { WordButton } from '../../kit/WordButton.tsx';

const DAY = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'long', year: 'numeric' });

/**
 * What is promised of the soap; every ingredient is held against it, and the recipe against the one that was
 * assessed.
 */
export function Promises() {
  const { plan, edit } = usePlan();
  const promises = plan.batter.promises ?? [];
  const { assessed } = plan.batter;
  return (
    <Group title="Promised of it">
      <div className="flex flex-wrap gap-2" role="group" aria-label="Promises">
        {PROMISES.map((promise) => {
          const on = promises.includes(promise);
          return (
            <button
              key={promise}
              type="button"
              aria-pressed={on}
              className={`cursor-pointer rounded-full border-2 px-3 py-1 text-sm ${on ? 'border-primary bg-base-100 font-semibold' : 'quiet border-base-300'}`}
              onClick={() =>
                edit((p) => ({
                  ...p,
                  batter: {
                    ...p.batter,
                    promises: PROMISES.filter((x) => (x === promise ? !on : promises.includes(x))),
                  },
                }))
              }
            >
              {promise}
            </button>
          );
        })}
      </div>
      <div className="flex flex-wrap items-center gap-3 text-sm">
        {assessed ? (
          <>
            <span>Assessed for sale on {DAY.format(new Date(assessed.on))}.</span>
            <WordButton
              onClick={() =>
                edit((p) => {
                  const { assessed: _assessed, ...batter } = p.batter;
                  return { ...p, batter };
                })
              }
            >
              Not assessed
            </WordButton>
          </>
        ) : (
          <Button
            onClick={() =>
              edit((p) => ({
                ...p,
                batter: {
                  ...p.batter,
                  assessed: { on: new Date().toISOString(), lines: [...recipeLines(p.batter)] },
                },
              }))
            }
          >
            Assessed for sale as it is now
          </Button>
        )}
      </div>
      <p className="quiet text-sm">
        Held against every ingredient by name, additives and part-liquids too. A name is no proof: the
        suppliers’ papers and the assessor come first.
      </p>
    </Group>
  );
}
