import { dispersionPerG } from '../../../../core/colorant/dispersion.ts';
import { formatShort } from '../../../../core/units/format.ts';
import { teaspoons } from '../../../../core/units/spoons.ts';
import type { Fault } from '../../../../core/result/result.ts';
import type { Weight } from '../../../../core/weigh/ingredients.ts';
import type { Plan } from '../../../../core/plan/planSchema.ts';
import type { Show } from '../../../parts/useShow.ts';
import { ActualField } from './ActualField.tsx';
import type { Gesture } from '../../../../store/gesture.ts';

interface AddedProps {
  readonly nth: number;
  /** how the plan's colorants are weighed and dispersed */
  readonly natures: Plan['colorants'];
  readonly show: Show;
  readonly colorants: readonly Weight[];
  /** g/kg of each once it is in */
  readonly then: readonly number[];
  /** what was really added, where it is asked for */
  readonly actual: readonly { readonly colorant: string; readonly massG: number }[] | undefined;
  readonly whatIf: boolean;
  /** drawn from a diluted stock: finer than the scale weighs powder */
  readonly stock: boolean;
  /** colorants that change along the ombre */
  readonly graded: readonly string[];
  /** all colorants as really added; undefined: as planned */
  readonly onActual: (
    added: { colorant: string; massG: number }[] | undefined,
    gesture: Gesture,
  ) => Fault | undefined;
}

/** What is stirred in before a layer: grams, spoons, and the dose it then has. */
export function Added({
  nth,
  natures,
  show,
  colorants,
  then,
  actual,
  whatIf,
  stock,
  graded,
  onActual,
}: AddedProps) {
  // while it is asked what was really done: also what is not added here but could have been
  const shown = colorants.filter((c) => c.massG > 0 || (whatIf && graded.includes(c.id)));
  if (shown.length === 0) return <span className="quiet">nothing</span>;
  return (
    <ul className="grid gap-1">
      {shown.map((c) => {
        const nature = natures.find((k) => k.id === c.id)?.nature;
        const dose = then[colorants.indexOf(c)] ?? 0;
        return (
          <li key={c.id} className="flex items-start justify-end gap-2 leading-tight">
            <span className="text-right">
              <span>
                <strong>{stock ? `${formatShort(c.massG, 3)} g` : show.fine(c.massG)}</strong>
                {nature && <span className="quiet text-sm"> {teaspoons(c.massG, nature.gPerTsp)}</span>}
              </span>
              {nature && (
                <span className="quiet block text-sm">
                  {show.fine(c.massG * dispersionPerG(nature))} dispersed
                </span>
              )}
              <span className="quiet block text-sm">
                {colorants.length > 1 && `${c.name} `}to {formatShort(dose, 2)} g/kg
              </span>
            </span>
            {whatIf && (
              <ActualField
                label={`Really added of ${c.name} at layer ${nth}`}
                value={actual?.find((a) => a.colorant === c.id)?.massG}
                shown={show.fine}
                onValue={(massG, g) =>
                  onActual(
                    massG === undefined
                      ? undefined
                      : colorants.map((k) => ({
                          colorant: k.id,
                          massG: k.id === c.id ? massG : k.massG,
                        })),
                    g,
                  )
                }
              />
            )}
          </li>
        );
      })}
    </ul>
  );
}
