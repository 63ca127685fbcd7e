import { habitsOf, USUAL } from '../../../core/plan/habits.ts';
import { setClock, setPace, setPourPace } from '../../../core/edit/clock.ts';
import type { Pace } from '../../../core/plan/clockSchema.ts';
import { StationFold } from '../../parts/StationFold.tsx';
import { FigureField } from '../../parts/quantities.tsx';
import { usePlan } from '../../parts/usePlan.ts';
import { Button } from '../../kit/Button.tsx';

const MINUTES: readonly { readonly key: Exclude<keyof Pace, 'pourMin'>; readonly label: string }[] = [
  { key: 'divideMin', label: 'Share out, each jug' },
  { key: 'colourMin', label: 'Colour a jug' },
  { key: 'scentMin', label: 'Scent a jug' },
  { key: 'makeMin', label: 'Make a portion' },
  { key: 'tapMin', label: 'Tap level' },
  { key: 'tiltMin', label: 'Turn the mould' },
  { key: 'scrapeMin', label: 'Scrape' },
];

const POURS = [
  { how: 'stream', label: 'Pour 425 g in a stream' },
  { how: 'low', label: 'Pour 425 g low' },
  { how: 'spatula', label: 'Pour 425 g over a spatula' },
  { how: 'spoon', label: 'Spoon 425 g' },
] as const;

/** How long this maker takes. */
export function HandPace() {
  const { plan, edit } = usePlan();
  const habits = habitsOf(plan.clock);
  const given = plan.clock.pace !== undefined;
  return (
    <StationFold id="pace" title="How long you take" state={given ? 'your own times' : 'as is usual'}>
      <div className="grid grid-cols-[repeat(auto-fit,minmax(8.5rem,1fr))] items-end gap-3">
        {POURS.map(({ how, label }) => (
          <FigureField
            key={how}
            label={label}
            suffix="min"
            value={habits.pourMin[how]}
            onValue={(minutes, g) =>
              edit((p) => setPourPace(p, how, minutes === USUAL.pourMin[how] ? undefined : minutes), g)
            }
          />
        ))}
        {MINUTES.map(({ key, label }) => (
          <FigureField
            key={key}
            label={label}
            suffix="min"
            value={habits[key]}
            onValue={(minutes, g) => edit((p) => setPace(p, { [key]: minutes }), g)}
          />
        ))}
      </div>
      {given && (
        <p>
          <Button onClick={() => edit((p) => setClock(p, { pace: undefined }))}>As is usual</Button>
        </p>
      )}
    </StationFold>
  );
}
