import { pourNames } from '../../../core/plan/deposits.ts';
import type { Weights } from '../../../core/weigh/weights.ts';
import { formatPercent } from '../../../core/units/format.ts';
import { PotBadge } from '../../parts/PotBadge.tsx';
import { usePlan } from '../../parts/usePlan.ts';
import { WideTable } from '../../parts/WideTable.tsx';

const CELL = 'py-1.5 pl-2.5 text-right';

/**
 * As weighed; from the least it is poured at to what it has with everything in, where colour is added as it
 * empties.
 */
function superfatText({ superfatPercent, leastSuperfatPercent }: Weights['pots'][number]): string {
  if (superfatPercent === undefined || leastSuperfatPercent === undefined) return '–';
  const [least, whole] = [leastSuperfatPercent, superfatPercent].map((x) => formatPercent(x));
  return least === whole ? formatPercent(superfatPercent) : `from ${least ?? ''}`;
}

/**
 * What each pot holds, by portion where the batch is divided before the lye, and by pour. Sums at the foot.
 */
export function PotWeights({ weights }: { readonly weights: Weights }) {
  const { plan, show } = usePlan();
  const portions = plan.divide.kind === 'before-lye';
  const pours = pourNames(plan);
  const sum = (of: (p: Weights['pots'][number]) => number): number =>
    weights.pots.reduce((s, p) => s + of(p), 0);
  const liquids = (p: Weights['pots'][number]): number =>
    p.portion.partLiquids.reduce((s, l) => s + l.massG, 0);
  const extras = (p: Weights['pots'][number]): number =>
    p.portion.additives.reduce((s, a) => s + a.massG, 0) + p.portion.fragranceG;
  const withLiquids = portions && weights.partLiquids.length > 0;
  return (
    <WideTable label="What each pot holds">
      <table className="w-full">
        <thead className="quiet text-sm">
          <tr className="rule border-b">
            <th className="py-1 text-left font-normal">Pot</th>
            {portions ? (
              <>
                <th className="font-normal">Mixed oils</th>
                <th className="font-normal">Lye solution</th>
                {withLiquids && <th className="font-normal">Liquids</th>}
                <th className="font-normal">Additives, scent</th>
              </>
            ) : (
              <>
                <th className="pl-2.5 text-right font-normal">Poured</th>
                <th className="pl-2.5 text-right font-normal">Held back</th>
                <th className="pl-2.5 text-right font-normal">Overage</th>
              </>
            )}
            <th className="pl-2.5 text-right font-normal">In its jug</th>
            <th className="pl-2.5 text-right font-normal">Superfat</th>
          </tr>
        </thead>
        <tbody>
          {weights.pots.map((p) => (
            <tr key={p.pot.id} className="rule border-b align-top">
              <td className="py-1.5">
                <span className="flex items-center gap-2">
                  <PotBadge pot={p.pot} size={22} /> {p.pot.name}
                </span>
              </td>
              {portions ? (
                <>
                  <td className={CELL}>{show.mass(p.portion.oilsG)}</td>
                  <td className={CELL}>{show.lye(p.portion.solutionG)}</td>
                  {withLiquids && <td className={CELL}>{show.mass(liquids(p))}</td>}
                  <td className={CELL}>{show.fine(extras(p))}</td>
                </>
              ) : (
                <>
                  <td className={CELL}>
                    {p.pours.map((q) => (
                      <span key={q.stepId} className="block">
                        <span className="quiet text-sm">{pours.get(q.stepId)} </span>
                        {show.mass(q.massG)}
                        {q.colorants.length > 0 && (
                          <span className="quiet text-sm">
                            {' '}
                            with {show.fine(q.colorants.reduce((s, c) => s + c.massG, 0))} colorant
                          </span>
                        )}
                      </span>
                    ))}
                  </td>
                  <td className={CELL}>{show.mass(p.heldBackG)}</td>
                  <td className={CELL}>{show.mass(p.overageG)}</td>
                </>
              )}
              <td className={`${CELL} font-bold`}>{show.mass(p.batterG)}</td>
              <td className={CELL}>{superfatText(p)}</td>
            </tr>
          ))}
          {weights.stockLossG > 0 && (
            <tr className="rule border-b">
              <td className="py-1.5">Stays in the jugs of the stocks</td>
              {portions ? (
                <td colSpan={withLiquids ? 4 : 3} />
              ) : (
                <>
                  <td className={CELL}>{show.mass(0)}</td>
                  <td className={CELL}>{show.mass(0)}</td>
                  <td className={CELL}>{show.mass(0)}</td>
                </>
              )}
              <td className={`${CELL} font-bold`}>{show.mass(weights.stockLossG)}</td>
              <td />
            </tr>
          )}
        </tbody>
        <tfoot className="font-bold">
          <tr>
            <td className="py-1.5">All</td>
            {portions ? (
              <>
                <td className={CELL}>{show.mass(sum((p) => p.portion.oilsG))}</td>
                <td className={CELL}>{show.lye(sum((p) => p.portion.solutionG))}</td>
                {withLiquids && <td className={CELL}>{show.mass(sum(liquids))}</td>}
                <td className={CELL}>{show.fine(sum(extras))}</td>
              </>
            ) : (
              <>
                <td className={CELL}>{show.mass(sum((p) => p.pours.reduce((s, q) => s + q.massG, 0)))}</td>
                <td className={CELL}>{show.mass(sum((p) => p.heldBackG))}</td>
                <td className={CELL}>{show.mass(sum((p) => p.overageG))}</td>
              </>
            )}
            <td className={CELL}>{show.mass(weights.batterG)}</td>
            <td className={CELL}>{formatPercent(weights.superfatPercent)}</td>
          </tr>
        </tfoot>
      </table>
    </WideTable>
  );
}
