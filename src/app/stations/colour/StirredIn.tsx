import { Link } from 'react-router';
import type { Pot } from '../../../core/plan/planSchema.ts';
import { usePlan } from '../../parts/usePlan.ts';

/** What a pot gets by itself besides its colour, as weighed. */
export function StirredIn({ pot }: { readonly pot: Pot }) {
  const { computed, show } = usePlan('weights');
  const portion = computed.weights?.pots.find((w) => w.pot.id === pot.id)?.portion;
  const list = portion ? [...portion.additives, ...portion.fragrances].filter((w) => w.massG > 0) : [];
  if (list.length === 0) return null;
  return (
    <p className="text-sm">
      Stirred into this pot by itself:{' '}
      {list.map((w, i) => (
        <span key={`${w.name}-${w.id}`}>
          {i > 0 && ', '}
          <strong>{show.fine(w.massG)}</strong> {w.name}
        </span>
      ))}
      .{' '}
      <Link className="underline" to="../../batter" relative="path">
        Change it under Batter
      </Link>
    </p>
  );
}
