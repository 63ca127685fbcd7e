import type { HappenedByPour } from '../../../../core/batch/happened.ts';
import { poured } from '../../../../core/batch/note.ts';
import { updateOmbre } from '../../../../core/edit/ombre.ts';
import { formatPercent } from '../../../../core/units/format.ts';
import { teaspoons } from '../../../../core/units/spoons.ts';
import type { OmbreWeights, Stock } from '../../../../core/weigh/ombre/types.ts';
import { PercentField } from '../../../parts/quantities.tsx';
import { usePlan } from '../../../parts/usePlan.ts';
import { WideTable } from '../../../parts/WideTable.tsx';
import { ActualField } from './ActualField.tsx';
import { LayerCell } from './LayerCell.tsx';
import { useWriteDown } from './useWriteDown.ts';

interface BlendRecipeProps {
  readonly weights: Extract<OmbreWeights, { school: 'master-blends' }>;
  /** where it is asked what was really done: what is written down of it */
  readonly happened: HappenedByPour | undefined;
}

const HEAD = 'py-1 pl-2 text-right font-normal';
const CELL = 'py-1.5 pl-2 text-right whitespace-nowrap';

/** Two stocks to make, and what each layer draws from them. */
export function BlendRecipe({ weights, happened }: BlendRecipeProps) {
  const { edit, show } = usePlan();
  const writeDown = useWriteDown();
  const { ombre, of } = weights;
  const some = (g: number): string => (g > 0 ? show.mass(g) : '–');
  return (
    <>
      <div className="grid grid-cols-[1fr_1fr_7rem] items-start gap-4">
        <StockCard stock={weights.first} of={of} />
        <StockCard stock={weights.last} of={of} />
        <PercentField
          label="Stays in jugs"
          value={ombre.stockLossPercent}
          onValue={(stockLossPercent, g) => edit((p) => updateOmbre(p, ombre.id, { stockLossPercent }), g)}
        />
      </div>
      {of === 'oils' && (
        <p className="text-sm leading-snug">
          The stocks are oils, so a little more is drawn than the oil wanted: oil × (oil + colorant) / oil.
          Stir before every draw, for colorant settles.
        </p>
      )}
      <WideTable label="What to weigh, layer by layer">
        <table className="w-full" aria-label="Draws from the stocks">
          <thead className="quiet text-sm">
            <tr className="rule border-b">
              <th className="py-1 text-left font-normal">Layer</th>
              <th className={HEAD}>{weights.first.name}</th>
              <th className={HEAD}>{weights.last.name}</th>
              <th className={HEAD}>of the last</th>
              <th className={HEAD}>Pour</th>
            </tr>
          </thead>
          <tbody>
            {weights.layers.map((layer) => {
              const draw = weights.draws.find((d) => d.pourId === layer.shade.pourId);
              const actual = happened?.get(layer.shade.pourId)?.pouredG;
              return (
                <tr key={layer.shade.pourId} className="rule border-b">
                  <td className="py-1.5">
                    <LayerCell
                      pourId={layer.shade.pourId}
                      nth={layer.shade.nth}
                      pot={layer.pot}
                      turns={!happened}
                    />
                  </td>
                  <td className={`${CELL} font-bold`}>{draw ? some(draw.firstG) : 'as above'}</td>
                  <td className={`${CELL} font-bold`}>{draw ? some(draw.lastG) : ''}</td>
                  <td className={CELL}>{formatPercent(layer.shade.t * 100)}</td>
                  <td className={CELL}>
                    {show.mass(layer.pouredG)}
                    {happened && (
                      <span className="flex justify-end">
                        <ActualField
                          label={`Really poured at layer ${layer.shade.nth + 1}`}
                          value={actual}
                          shown={show.mass}
                          onValue={(massG, g) => writeDown([poured(layer.shade.pourId, massG)], g)}
                        />
                      </span>
                    )}
                  </td>
                </tr>
              );
            })}
          </tbody>
        </table>
      </WideTable>
    </>
  );
}

function StockCard({ stock, of }: { readonly stock: Stock; readonly of: 'batter' | 'oils' }) {
  const { plan, show } = usePlan();
  return (
    <div className="grid leading-snug">
      <span className="quiet text-sm">{stock.name}</span>
      <span>
        <strong className="text-lg">{show.mass(stock.massG)}</strong>{' '}
        {of === 'oils' ? 'mixed oils' : 'batter'}
      </span>
      {stock.colorants.map((c) => {
        const nature = plan.colorants.find((k) => k.id === c.id)?.nature;
        return (
          <span key={c.id} className="text-sm">
            + <strong>{show.fine(c.massG)}</strong> {c.name}
            {nature && <span className="quiet"> ({teaspoons(c.massG, nature.gPerTsp)})</span>}
          </span>
        );
      })}
    </div>
  );
}
