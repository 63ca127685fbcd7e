import { countRounds } from '../../../../core/edit/pattern.ts';
import { MOST_ROUNDS } from '../../../../core/plan/patternSchema.ts';
import type { Pour } from '../../../../core/plan/stepSchema.ts';
import { fail } from '../../../../core/result/result.ts';
import { FigureField } from '../../../parts/quantities.tsx';
import { useBench } from '../../../parts/usePlan.ts';

/** In a card's sentence: in how many rounds it is poured. */
export function RoundCount({ pour }: { readonly pour: Pour }) {
  const { edit } = useBench();
  const rounds = pour.pattern?.rounds.length ?? 1;
  return (
    <>
      {' in '}
      <FigureField
        label="Rounds"
        suffix=""
        value={rounds}
        onValue={(count, g) =>
          edit(
            (p) =>
              Number.isInteger(count) && count >= 1 && count <= MOST_ROUNDS
                ? countRounds(p, pour.id, count)
                : fail('out-of-range', `${count} rounds is outside 1 to ${MOST_ROUNDS} whole ones`),
            g,
          )
        }
      />
      {rounds === 1 ? ' round' : ' rounds'}
    </>
  );
}
