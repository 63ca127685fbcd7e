import { setActual } from '../../../../core/edit/ombre.ts';
import { formatShort } from '../../../../core/units/format.ts';
import { teaspoons } from '../../../../core/units/spoons.ts';
import type { OmbreWeights } from '../../../../core/weigh/ombre/types.ts';
import { usePlan } from '../../../parts/usePlan.ts';
import { ActualField } from './ActualField.tsx';
import { LayerCell } from './LayerCell.tsx';

interface SeparateRecipeProps {
  readonly weights: Extract<OmbreWeights, { school: 'separate-pots' }>;
  readonly whatIf: boolean;
}

const HEAD = 'py-1 pl-2 text-right font-normal';
const CELL = 'py-1.5 pl-2 text-right align-top';

/** What each pot takes. */
export function SeparateRecipe({ weights, whatIf }: SeparateRecipeProps) {
  const { plan, computed, edit, show } = usePlan();
  const { ombre } = weights;
  return (
    <table className="w-full" aria-label="Colorant of each pot">
      <thead className="quiet text-sm">
        <tr className="rule border-b">
          <th className="py-1 text-left font-normal">Layer</th>
          <th className={HEAD}>Batter in the pot</th>
          <th className={HEAD}>Stir in</th>
          <th className={HEAD}>Then g/kg</th>
        </tr>
      </thead>
      <tbody>
        {weights.layers.map((layer, i) => {
          const { pourId, nth } = layer.shade;
          const again = weights.layers.findIndex((l) => l.pot.id === layer.pot.id) < i;
          const own = weights.pots.find((p) => p.pot.id === layer.pot.id)?.colorants ?? [];
          const batterG = computed.weights?.pots.find((p) => p.pot.id === layer.pot.id)?.batterG;
          const actual = ombre.actuals.find((a) => a.pour === pourId);
          return (
            <tr key={pourId} className="rule border-b">
              <td className="py-1.5 align-top">
                <LayerCell layer={layer} />
              </td>
              {again ? (
                <td className={`${CELL} quiet`} colSpan={3}>
                  the same pot again
                </td>
              ) : (
                <>
                  <td className={CELL}>{batterG === undefined ? '–' : show.mass(batterG)}</td>
                  <td className={CELL}>
                    {own.map((c) => {
                      const nature = plan.colorants.find((k) => k.id === c.id)?.nature;
                      if (c.massG === 0 && !whatIf) return null;
                      return (
                        <span key={c.id} className="mb-1 block leading-tight">
                          <strong>{show.fine(c.massG)}</strong>
                          {own.length > 1 && <span className="quiet text-sm"> {c.name}</span>}
                          {nature && (
                            <span className="quiet text-sm"> {teaspoons(c.massG, nature.gPerTsp)}</span>
                          )}
                          {whatIf && (
                            <span className="flex justify-end">
                              <ActualField
                                label={`Really added of ${c.name} at layer ${nth + 1}`}
                                value={actual?.added?.find((a) => a.colorant === c.id)?.massG}
                                shown={show.fine}
                                onValue={(massG, g) =>
                                  edit(
                                    (p) =>
                                      setActual(p, ombre.id, pourId, {
                                        added:
                                          massG === undefined
                                            ? undefined
                                            : own.map((k) => ({
                                                colorant: k.id,
                                                massG: k.id === c.id ? massG : k.massG,
                                              })),
                                      }),
                                    g,
                                  )
                                }
                              />
                            </span>
                          )}
                        </span>
                      );
                    })}
                    {own.every((c) => c.massG === 0) && !whatIf && <span className="quiet">nothing</span>}
                  </td>
                  <td className={CELL}>
                    {layer.mix.map((m) => (
                      <span key={m.colorant} className="block">
                        {formatShort(m.doseGPerKg, 2)}
                      </span>
                    ))}
                  </td>
                </>
              )}
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}
