import { X } from 'lucide-react';
import {
  describeAs,
  renameColorant,
  setDose,
  takeColorant,
  takeFromPot,
} from '../../../core/edit/colorants.ts';
import type { PlanColorant } from '../../../core/colorant/schema.ts';
import type { Pot } from '../../../core/plan/planSchema.ts';
import { teaspoons } from '../../../core/units/spoons.ts';
import type { Weight } from '../../../core/weigh/ingredients.ts';
import { ColorantPicker } from '../../parts/colour/ColorantPicker.tsx';
import { useColorants } from '../../parts/colour/useLibrary.ts';
import { TextField } from '../../parts/TextField.tsx';
import { FigureField } from '../../parts/quantities.tsx';
import { useEdit, usePlan } from '../../parts/usePlan.ts';
import { DoseSlider } from './DoseSlider.tsx';
import { IconButton } from '../../kit/IconButton.tsx';
import { WordButton } from '../../kit/WordButton.tsx';

/** A pot's colorants with their doses, and what that weighs. */
export function ColorantLines({ pot, weights }: { readonly pot: Pot; readonly weights: readonly Weight[] }) {
  const { plan, edit, show } = usePlan();
  if (pot.colorants.length === 0) return null;
  return (
    <ul className="grid gap-1.5">
      {pot.colorants.map(({ colorant, doseGPerKg }) => {
        const known = plan.colorants.find((c) => c.id === colorant);
        const massG = weights.find((w) => w.id === colorant)?.massG;
        return (
          <li key={colorant} className="flex items-start gap-2">
            {known && <ColorantName known={known} />}
            {known?.nature && (
              <DoseSlider
                label={`${known.name}, by dragging`}
                value={doseGPerKg}
                usual={known.nature.usualGPerKg}
                onDose={(dose, g) => edit((p) => setDose(p, pot.id, colorant, dose), g)}
              />
            )}
            <FigureField
              label={`Dose of ${known?.name ?? colorant}`}
              hideLabel
              className="w-28"
              suffix="g/kg"
              value={doseGPerKg}
              onValue={(dose, g) => edit((p) => setDose(p, pot.id, colorant, dose), g)}
            />
            <span className="mt-1.5 grid w-24 text-right leading-tight">
              <span className="font-bold">{massG === undefined ? '–' : show.fine(massG)}</span>
              {known?.nature && massG !== undefined && (
                <span className="quiet text-sm">{teaspoons(massG, known.nature.gPerTsp)}</span>
              )}
            </span>
            <IconButton
              icon={X}
              label={`Remove ${known?.name ?? colorant}`}
              onClick={() => edit((p) => takeFromPot(p, pot.id, colorant))}
            />
          </li>
        );
      })}
    </ul>
  );
}

/**
 * A colorant's name; one known by name alone can be renamed or described, one the library knows better
 * brought up to date.
 */
function ColorantName({ known }: { readonly known: PlanColorant }) {
  const edit = useEdit();
  const inLibrary = useColorants().find((c) => c.id === known.id);
  if (!known.nature)
    return (
      <span className="grid flex-1 gap-1">
        <TextField
          label="Colorant"
          hideLabel
          value={known.name}
          onValue={(name, g) => edit((p) => renameColorant(p, known.id, name), g)}
        />
        <ColorantPicker
          label="not described: it is …"
          className="w-full"
          onPick={(colorant) => edit((p) => describeAs(p, known.id, colorant))}
        />
      </span>
    );
  // out of a jar that stands ready the carrier is the jar's, whatever the library says
  const { carrier, carrierMlPerG } =
    known.jar === undefined ? known.nature : (inLibrary?.nature ?? known.nature);
  const changed =
    inLibrary &&
    JSON.stringify(inLibrary.nature) !== JSON.stringify({ ...known.nature, carrier, carrierMlPerG });
  return (
    <span className="mt-1.5 min-w-0 flex-1 leading-tight">
      {known.name}
      {changed && (
        <WordButton className="block text-sm" onClick={() => edit((p) => takeColorant(p, inLibrary))}>
          The library knows it otherwise now: take that
        </WordButton>
      )}
    </span>
  );
}
