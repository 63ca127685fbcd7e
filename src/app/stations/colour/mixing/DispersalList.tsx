import { dispersals } from '../../../../core/procedure/mixing.ts';
import { VESSEL } from '../../../../core/day/vessel.ts';
import { massOfContents } from '../../../../core/ledger/contents.ts';
import { everIn } from '../../../../core/ledger/ledger.ts';
import { formatNumber } from '../../../../core/units/format.ts';
import type { Weights } from '../../../../core/weigh/weights.ts';
import { useColorants } from '../../../parts/colour/useLibrary.ts';
import { Group } from '../../../parts/Station.tsx';
import { JarChoice } from './JarChoice.tsx';
import { usePlan } from '../../../parts/usePlan.ts';

const CELL = 'py-1.5 pl-3 text-right align-top';

/** What to disperse in what, in the order in which the whisk never needs washing. */
export function DispersalList({ weights }: { readonly weights: Weights }) {
  const { computed, show } = usePlan('day');
  const library = useColorants();
  const list = dispersals(computed, weights);
  if (list.length === 0)
    return (
      <Group title="Disperse">
        <p className="quiet text-sm">Nothing to disperse: no pot takes a colorant yet.</p>
      </Group>
    );
  // what is in jars that stand ready was never weighed out of the recipe's oils today
  const oilG = massOfContents(everIn(weights.ledger, VESSEL.carrierOil));
  const from = weights.oils.filter((o) => o.asideG > 0).map((o) => o.name.toLowerCase());
  return (
    <Group title="Disperse, in this order">
      <table className="w-full">
        <thead className="quiet text-sm">
          <tr className="rule border-b">
            <th className="py-1 text-left font-normal">Colorant</th>
            <th className={`${CELL} font-normal`}>Powder</th>
            <th className={`${CELL} font-normal`}>Stirred into</th>
            <th className={`${CELL} font-normal`}>For</th>
          </tr>
        </thead>
        <tbody>
          {list.map((d, i) => {
            const stockG = library.find((c) => c.id === d.colorant.id)?.stockG;
            return (
              <tr key={d.colorant.id} className="rule border-b">
                <td className="py-1.5 align-top leading-tight">
                  <span className="quiet">{i + 1}</span> {d.colorant.name}
                  {d.colorant.nature?.speckles && (
                    <span className="quiet block text-sm">speckles: crush and strain it</span>
                  )}
                  {stockG !== undefined && stockG < d.massG && (
                    <span className="block text-sm text-error">
                      only {show.fine(stockG)} in stock, {show.fine(d.massG - stockG)} short
                    </span>
                  )}
                </td>
                <td className={CELL}>
                  <strong>{show.fine(d.massG)}</strong>
                  {d.spoons !== undefined && <span className="quiet block text-sm">{d.spoons}</span>}
                </td>
                <td className={CELL}>
                  <JarChoice colorant={d.colorant} takesG={d.massG + (d.carrier?.massG ?? 0)} />
                  {d.colorant.nature?.carrier === 'none'
                    ? 'nothing: sifted in dry, it may speckle'
                    : d.carrier
                      ? `${show.fine(d.carrier.massG)} ${d.carrier.name} (${formatNumber(d.carrier.ml, 0)} ml)`
                      : 'a little light oil or water'}
                </td>
                <td className={`${CELL} max-w-40`}>{d.into.join(', ')}</td>
              </tr>
            );
          })}
        </tbody>
      </table>
      {oilG > 0 && (
        <p className="text-sm leading-snug">
          The {show.fine(oilG)} of light oil is {from.join(' and ')}, taken out of the recipe’s own: the sheet
          sets it aside when the oils are weighed, and each pot’s superfat counts it.
        </p>
      )}
      <p className="quiet text-sm">
        Wipe the whisk between colours. Shake a jar that has stood: pigment settles.
      </p>
    </Group>
  );
}
