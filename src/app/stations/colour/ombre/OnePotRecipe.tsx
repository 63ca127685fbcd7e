import { gradedIn } from '../../../../core/ombre/shades.ts';
import type { HappenedByPour } from '../../../../core/batch/happened.ts';
import { added, poured } from '../../../../core/batch/note.ts';
import type { OmbreWeights } from '../../../../core/weigh/ombre/types.ts';
import { usePlan } from '../../../parts/usePlan.ts';
import { WideTable } from '../../../parts/WideTable.tsx';
import { ActualField } from './ActualField.tsx';
import { Added } from './Added.tsx';
import { LayerCell } from './LayerCell.tsx';
import { useWriteDown } from './useWriteDown.ts';

interface OnePotRecipeProps {
  readonly weights: Extract<OmbreWeights, { school: 'one-pot' }>;
  /** where it is asked what was really done: what is written down of it */
  readonly happened: HappenedByPour | undefined;
}

const HEAD = 'py-1 pl-2 text-right font-normal';
const CELL = 'py-1.5 pl-2 text-right whitespace-nowrap align-top';

/** Before each pass: what the pot holds, what to stir in, and what is left after pouring. */
export function OnePotRecipe({ weights, happened }: OnePotRecipeProps) {
  const { plan, show } = usePlan();
  const writeDown = useWriteDown();
  const { ombre } = weights;
  return (
    <>
      {weights.pots.map((pot) => {
        const totals = pot.passes[0]?.colorants.map((c, j) => ({
          ...c,
          massG: pot.passes.reduce((sum, p) => sum + (p.colorants[j]?.massG ?? 0), 0),
        }));
        return (
          <WideTable key={pot.pot.id} label="What to weigh, layer by layer">
            <table className="w-full" aria-label={`Passes from pot ${pot.pot.letter}`}>
              <caption className="pb-1 text-left text-sm">
                Pot {pot.pot.letter}, {pot.pot.name}: start with <strong>{show.mass(pot.startG)}</strong>
                {pot.plainG > 0 && (
                  <>
                    {' '}
                    and keep <strong>{show.mass(pot.plainG)}</strong> plain to go paler with
                  </>
                )}
                . In all{' '}
                {totals
                  ?.filter((t) => t.massG > 0)
                  .map((t) => `${show.fine(t.massG)} ${t.name}`)
                  .join(', ')}
                .
              </caption>
              <thead className="quiet text-sm">
                <tr className="rule border-b">
                  <th className="py-1 text-left font-normal">Layer</th>
                  <th className={HEAD}>Holds</th>
                  <th className={HEAD}>Stir in{happened && ', really'}</th>
                  <th className={HEAD}>Pour{happened && ', really'}</th>
                  <th className={HEAD}>Left</th>
                </tr>
              </thead>
              <tbody>
                {pot.passes.map((pass) => {
                  const layer = weights.layers.find((l) => l.shade.pourId === pass.pourId);
                  const actual = happened?.get(pass.pourId);
                  const nth = (layer?.shade.nth ?? 0) + 1;
                  return (
                    <tr key={pass.pourId} className="rule border-b">
                      <td className="py-1.5 align-top">
                        <LayerCell pourId={pass.pourId} nth={nth - 1} pot={pot.pot} turns={!happened} />
                      </td>
                      <td className={CELL}>{show.mass(pass.holdsG)}</td>
                      <td className={CELL}>
                        {pass.plainG > 0 && <span className="block">{show.mass(pass.plainG)} plain</span>}
                        <Added
                          nth={nth}
                          natures={plan.colorants}
                          show={show}
                          colorants={pass.colorants}
                          then={pass.concentrations}
                          actual={actual?.added}
                          whatIf={happened !== undefined}
                          stock={ombre.measure === 'stock'}
                          graded={gradedIn(ombre)}
                          onActual={(all, g) => writeDown([added(pass.pourId, all)], g)}
                        />
                      </td>
                      <td className={CELL}>
                        <strong>{show.mass(pass.pouredG)}</strong>
                        {happened && (
                          <span className="flex justify-end">
                            <ActualField
                              label={`Really poured at layer ${nth}`}
                              value={actual?.pouredG}
                              shown={show.mass}
                              onValue={(massG, g) => writeDown([poured(pass.pourId, massG)], g)}
                            />
                          </span>
                        )}
                      </td>
                      <td className={CELL}>{show.mass(pass.leftG)}</td>
                    </tr>
                  );
                })}
              </tbody>
            </table>
          </WideTable>
        );
      })}
    </>
  );
}
