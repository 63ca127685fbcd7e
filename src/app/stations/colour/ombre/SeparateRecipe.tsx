import { gradedIn } from '../../../../core/ombre/shades.ts';
import type { HappenedByPour } from '../../../../core/batch/happened.ts';
import { added } from '../../../../core/batch/note.ts';
import type { OmbreWeights } from '../../../../core/weigh/ombre/types.ts';
import { usePlan } from '../../../parts/usePlan.ts';
import { WideTable } from '../../../parts/WideTable.tsx';
import { Added } from './Added.tsx';
import { LayerCell } from './LayerCell.tsx';
import { useWriteDown } from './useWriteDown.ts';

interface SeparateRecipeProps {
  readonly weights: Extract<OmbreWeights, { school: 'separate-pots' }>;
  /** where it is asked what was really done: what is written down of it */
  readonly happened: HappenedByPour | undefined;
}

const HEAD = 'py-1 pl-2 text-right font-normal';
const CELL = 'py-1.5 pl-2 text-right whitespace-nowrap align-top';

/** What each pot takes. */
export function SeparateRecipe({ weights, happened }: SeparateRecipeProps) {
  const { plan, computed, show } = usePlan('weights');
  const writeDown = useWriteDown();
  const { ombre } = weights;
  return (
    <WideTable label="What to weigh, layer by layer">
      <table className="w-full" aria-label="Colorant of each pot">
        <thead className="quiet text-sm">
          <tr className="rule border-b">
            <th className="py-1 text-left font-normal">Layer</th>
            <th className={HEAD}>Batter in the pot</th>
            <th className={HEAD}>Stir in</th>
          </tr>
        </thead>
        <tbody>
          {weights.layers.map((layer, i) => {
            const { pourId, nth } = layer.shade;
            const again = weights.layers.findIndex((l) => l.pot.id === layer.pot.id) < i;
            const own = weights.pots.find((p) => p.pot.id === layer.pot.id)?.colorants ?? [];
            const batterG = computed.weights?.pots.find((p) => p.pot.id === layer.pot.id)?.batterG;
            const actual = happened?.get(pourId);
            return (
              <tr key={pourId} className="rule border-b">
                <td className="py-1.5 align-top">
                  <LayerCell
                    pourId={layer.shade.pourId}
                    nth={layer.shade.nth}
                    pot={layer.pot}
                    turns={!happened}
                  />
                </td>
                {again ? (
                  <td className={`${CELL} quiet`} colSpan={2}>
                    the same pot again
                  </td>
                ) : (
                  <>
                    <td className={CELL}>{batterG === undefined ? '–' : show.mass(batterG)}</td>
                    <td className={CELL}>
                      <Added
                        nth={nth + 1}
                        natures={plan.colorants}
                        show={show}
                        colorants={own}
                        then={own.map((c) => layer.mix.find((m) => m.colorant === c.id)?.doseGPerKg ?? 0)}
                        actual={actual?.added}
                        whatIf={happened !== undefined}
                        stock={ombre.measure === 'stock'}
                        graded={gradedIn(ombre)}
                        onActual={(all, g) => writeDown([added(pourId, all)], g)}
                      />
                    </td>
                  </>
                )}
              </tr>
            );
          })}
        </tbody>
      </table>
    </WideTable>
  );
}
