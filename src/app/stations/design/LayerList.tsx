import { potNamed } from '../../../core/plan/sources.ts';
import { formatPercent } from '../../../core/units/format.ts';
import { pourChosen } from '../../../store/deskSlice.ts';
import { useAppDispatch } from '../../../store/store.ts';
import { roundsWord } from '../../parts/roundsWord.ts';
import { PotBadge } from '../../parts/PotBadge.tsx';
import { useBench } from '../../parts/usePlan.ts';

/** The layers from the top down, as they lie. */
export function LayerList() {
  const { plan, computed, show } = useBench('stack');
  const dispatch = useAppDispatch();
  return (
    <ol aria-label="Layers, top first">
      {computed.stack.layers.toReversed().map((layer) => {
        const pots = layer.pots.flatMap((p) => potNamed(plan, p.id) ?? []);
        const [pot] = pots;
        return (
          pot && (
            <li key={layer.pour.id} className="rule border-b">
              <button
                type="button"
                className="flex w-full cursor-pointer items-center gap-2 py-1.5 text-left hover:bg-base-200"
                onClick={() => dispatch(pourChosen(layer.pour.id))}
              >
                {pots.length > 1 ? (
                  <>
                    <span className="flex items-center -space-x-1.5">
                      {pots.slice(0, 3).map((p) => (
                        <PotBadge key={p.id} pot={p} size={22} />
                      ))}
                      {pots.length > 3 && <span className="pl-2.5 text-sm">+{pots.length - 3}</span>}
                    </span>
                    <span className="flex-1 truncate">{roundsWord(layer.pour)}</span>
                  </>
                ) : (
                  <>
                    <PotBadge pot={pot} pour={layer.pour.id} size={22} />
                    <span className="flex-1 truncate">{pot.name}</span>
                  </>
                )}
                <span className="quiet text-sm">{formatPercent(layer.sharePercent)}</span>
                <span className="w-18 text-right font-bold">{show.mass(layer.pouredG)}</span>
              </button>
            </li>
          )
        );
      })}
    </ol>
  );
}
