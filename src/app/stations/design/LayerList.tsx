import type { PouredLayer } from '../../../core/fill/layers.ts';
import { formatPercent } from '../../../core/units/format.ts';
import { pourChosen } from '../../../store/deskSlice.ts';
import { useAppDispatch } from '../../../store/store.ts';
import { PotBadge } from '../../parts/PotBadge.tsx';
import { useBench } from '../../parts/usePlan.ts';

/** "5 rounds". */
const roundsWord = ({ pour }: PouredLayer): string => {
  const rounds = pour.pattern?.rounds.length ?? 1;
  return rounds === 1 ? 'in one round' : `${rounds} rounds`;
};

/** The layers from the top down, as they lie. */
export function LayerList() {
  const { computed, show } = useBench();
  const dispatch = useAppDispatch();
  return (
    <ol aria-label="Layers, top first">
      {computed.stack.layers.toReversed().map((layer) => {
        const [pot] = layer.pots;
        return (
          pot && (
            <li key={layer.pour.id} className="rule border-b">
              <button
                type="button"
                className="flex w-full cursor-pointer items-center gap-2 py-1.5 text-left hover:bg-base-200"
                onClick={() => dispatch(pourChosen(layer.pour.id))}
              >
                {layer.pots.length > 1 ? (
                  <>
                    <span className="flex -space-x-1.5">
                      {layer.pots.slice(0, 6).map((p) => (
                        <PotBadge key={p.id} pot={p} size={22} />
                      ))}
                    </span>
                    <span className="flex-1 truncate">{roundsWord(layer)}</span>
                  </>
                ) : (
                  <>
                    <PotBadge pot={pot} pour={layer.pour.id} size={22} />
                    <span className="flex-1 truncate">{pot.name}</span>
                  </>
                )}
                <span className="quiet text-sm">{formatPercent(layer.sharePercent)}</span>
                <span className="w-18 text-right font-bold">{show.mass(layer.massG)}</span>
              </button>
            </li>
          )
        );
      })}
    </ol>
  );
}
