import { Layers } from 'lucide-react';
import { useEffect, useState } from 'react';
import { Link } from 'react-router';
import { ask } from '../../store/ask.ts';
import { goingOn, ofTheseDays } from './goingOn.ts';

/** Asked for once what is on the screen stands there, ms. */
const LATER_MS = 1500;

/** The way to the other batches of the day, where there are some. */
export function Others() {
  const [count, setCount] = useState(0);
  useEffect(() => {
    const timer = setTimeout(() => {
      // storage that refuses is told by what is written
      ask(ofTheseDays).then(
        (stored) => setCount(goingOn(stored).length),
        () => undefined,
      );
    }, LATER_MS);
    return () => {
      clearTimeout(timer);
    };
  }, []);
  if (count < 2) return null;
  const label = `Whose turn it is: ${count} batches are going on`;
  return (
    <Link to="/today" className="btn btn-ghost min-h-11 min-w-11 px-2" aria-label={label} title={label}>
      <Layers className="size-5" aria-hidden="true" />
      {count}
    </Link>
  );
}
