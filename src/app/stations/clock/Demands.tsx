import { demandsOf } from '../../../core/making/demands.ts';
import { useComputed } from '../../parts/usePlan.ts';

/** What the day asks of who carries it out, begun now: told where it is more than one should ask. */
export function Demands() {
  const demands = demandsOf(useComputed(), new Date());
  if (demands.length === 0) return null;
  return (
    <ul
      aria-label="What the day asks of you"
      className="grid gap-1 border-l-4 border-warning pl-3 leading-snug"
    >
      {demands.map((d) => (
        <li key={d}>{d}</li>
      ))}
    </ul>
  );
}
