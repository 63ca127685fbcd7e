import { setActual } from '../../../../core/edit/ombre.ts';
import { formatShort } from '../../../../core/units/format.ts';
import { teaspoons } from '../../../../core/units/spoons.ts';
import type { OmbreWeights } from '../../../../core/weigh/ombre/types.ts';
import { usePlan } from '../../../parts/usePlan.ts';
import { ActualField } from './ActualField.tsx';
import { LayerCell } from './LayerCell.tsx';

interface OnePotRecipeProps {
  readonly weights: Extract<OmbreWeights, { school: 'one-pot' }>;
  readonly whatIf: boolean;
}

const HEAD = 'py-1 pl-2 text-right font-normal';
const CELL = 'py-1.5 pl-2 text-right align-top';

/** Before each pass: what the pot holds, what to stir in, and what is left after pouring. */
export function OnePotRecipe({ weights, whatIf }: OnePotRecipeProps) {
  const { plan, edit, show } = usePlan();
  const { ombre } = weights;
  const natureOf = (id: string) => plan.colorants.find((c) => c.id === id)?.nature;
  return (
    <>
      {weights.pots.map((pot) => {
        const totals = pot.passes[0]?.colorants.map((c, j) => ({
          ...c,
          massG: pot.passes.reduce((sum, p) => sum + (p.colorants[j]?.massG ?? 0), 0),
        }));
        return (
          <table key={pot.pot.id} className="w-full" aria-label={`Passes from pot ${pot.pot.letter}`}>
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
                <th className={HEAD}>Stir in</th>
                <th className={HEAD}>Then g/kg</th>
                <th className={HEAD}>Pour</th>
                <th className={HEAD}>Left</th>
              </tr>
            </thead>
            <tbody>
              {pot.passes.map((pass) => {
                const layer = weights.layers.find((l) => l.shade.pourId === pass.pourId);
                const actual = ombre.actuals.find((a) => a.pour === pass.pourId);
                const nth = (layer?.shade.nth ?? 0) + 1;
                return (
                  <tr key={pass.pourId} className="rule border-b">
                    <td className="py-1.5 align-top">{layer && <LayerCell layer={layer} />}</td>
                    <td className={CELL}>{show.mass(pass.holdsG)}</td>
                    <td className={CELL}>
                      {pass.plainG > 0 && <span className="block">{show.mass(pass.plainG)} plain</span>}
                      {pass.colorants.map((c) => {
                        const nature = natureOf(c.id);
                        if (c.massG === 0 && !whatIf) return null;
                        return (
                          <span key={c.id} className="mb-1 block leading-tight">
                            <strong>{show.fine(c.massG)}</strong>
                            {pass.colorants.length > 1 && <span className="quiet text-sm"> {c.name}</span>}
                            {nature && (
                              <span className="quiet block text-sm">
                                {teaspoons(c.massG, nature.gPerTsp)}
                              </span>
                            )}
                            {whatIf && (
                              <span className="flex justify-end">
                                <ActualField
                                  label={`Really added of ${c.name} at layer ${nth}`}
                                  value={actual?.added?.find((a) => a.colorant === c.id)?.massG}
                                  shown={show.fine}
                                  onValue={(massG, g) =>
                                    edit(
                                      (p) =>
                                        setActual(p, ombre.id, pass.pourId, {
                                          ...(actual?.pouredG === undefined
                                            ? {}
                                            : { pouredG: actual.pouredG }),
                                          ...(massG === undefined
                                            ? { added: undefined }
                                            : {
                                                added: pass.colorants.map((k) => ({
                                                  colorant: k.id,
                                                  massG: k.id === c.id ? massG : k.massG,
                                                })),
                                              }),
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
                      {pass.colorants.every((c) => c.massG === 0) && pass.plainG === 0 && !whatIf && (
                        <span className="quiet">nothing</span>
                      )}
                    </td>
                    <td className={CELL}>
                      {pass.concentrations.map((c, j) => (
                        <span key={j} className="block">
                          {formatShort(c, 2)}
                        </span>
                      ))}
                    </td>
                    <td className={CELL}>
                      <strong>{show.mass(pass.pouredG)}</strong>
                      {whatIf && (
                        <ActualField
                          label={`Really poured at layer ${nth}`}
                          value={actual?.pouredG}
                          shown={show.mass}
                          onValue={(pouredG, g) =>
                            edit(
                              (p) =>
                                setActual(p, ombre.id, pass.pourId, {
                                  pouredG,
                                  ...(actual?.added ? { added: actual.added } : {}),
                                }),
                              g,
                            )
                          }
                        />
                      )}
                    </td>
                    <td className={CELL}>{show.mass(pass.leftG)}</td>
                  </tr>
                );
              })}
            </tbody>
          </table>
        );
      })}
    </>
  );
}
