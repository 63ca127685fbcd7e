import { useId, useState } from 'react';
import { sayOnDay } from '../../store/day.ts';
import { Press } from './Press.tsx';

/** The batch is given up, with the reason: it can be so at any act. */
export function ThrowAway() {
  const [asks, setAsks] = useState(false);
  const [why, setWhy] = useState('');
  const id = useId();
  if (!asks)
    return (
      <Press className="justify-self-start" onClick={() => setAsks(true)}>
        Throw it away…
      </Press>
    );
  return (
    <form
      className="grid gap-2 border-2 border-error p-3"
      onSubmit={(event) => {
        event.preventDefault();
        if (why.trim() !== '') void sayOnDay([{ does: 'thrown-away', reason: why.trim() }]);
      }}
    >
      <label htmlFor={id} className="font-bold">
        Why is it thrown away?
      </label>
      <input
        id={id}
        className="field h-14 text-lg"
        maxLength={400}
        value={why}
        onChange={(event) => setWhy(event.target.value)}
      />
      <p className="text-sm">
        Raw batter and lye are caustic waste: by your local rules, never poured hot down a drain.
      </p>
      <p className="flex gap-2">
        <Press type="submit" disabled={why.trim() === ''}>
          Thrown away
        </Press>
        <Press onClick={() => setAsks(false)}>Go on with it</Press>
      </p>
    </form>
  );
}
