import { X } from 'lucide-react';
import { useMemo } from 'react';
import { begunFrom } from '../../core/edit/begunFrom.ts';
import type { Mould } from '../../core/mould/schema.ts';
import type { Plan } from '../../core/plan/planSchema.ts';
import { BeginningCard } from './BeginningCard.tsx';
import { useOwnBeginnings } from './useOwnBeginnings.ts';
import { IconButton } from '../kit/IconButton.tsx';

interface OwnBeginningsProps {
  readonly at: { readonly planId: string; readonly now: string };
  /** poured in this mould; undefined: in its own */
  readonly mould: Mould | undefined;
  readonly onBegin: (opens: 'design', plan: Plan) => Promise<void>;
}

/** The plans that the maker kept to begin others from. */
export function OwnBeginnings({ at, mould, onBegin }: OwnBeginningsProps) {
  const kept = useOwnBeginnings();
  const mine = useMemo(
    () =>
      kept.map((b) => ({
        ...b,
        plan: begunFrom(b.plan, { id: at.planId, name: b.name, now: at.now }, mould),
      })),
    [kept, mould, at],
  );
  if (mine.length === 0) return null;
  return (
    <section aria-labelledby="mine" className="grid gap-4">
      <h2 id="mine" className="text-lg">
        Your own
      </h2>
      <ul className="grid grid-cols-[repeat(auto-fill,minmax(15rem,1fr))] gap-5">
        {mine.map(({ id, name, plan, remove }) => (
          <li key={id} className="relative">
            <BeginningCard
              beginning={{ name, says: `in ${plan.mould.name}` }}
              plan={plan}
              onBegin={() => void onBegin('design', plan)}
            />
            <IconButton
              icon={X}
              className="absolute right-1 bottom-2"
              label={`No longer keep ${name} as a beginning`}
              title="No longer keep it"
              onClick={remove}
            />
          </li>
        ))}
      </ul>
    </section>
  );
}
