import { ArrowLeftRight } from 'lucide-react';
import {
  LEAST_LAYERS,
  MOST_LAYERS,
  renameOmbre,
  setLayers,
  swapEnds,
  takeApart,
  updateOmbre,
} from '../../../../core/edit/ombre.ts';
import { AGES } from '../../../../core/look/state.ts';
import { poursOfOmbre } from '../../../../core/ombre/runs.ts';
import type { Ombre } from '../../../../core/plan/ombreSchema.ts';
import { Choice } from '../../../kit/Choice.tsx';
import { Picker } from '../../../parts/Picker.tsx';
import { FigureField } from '../../../parts/quantities.tsx';
import { Group } from '../../../parts/Station.tsx';
import { TextField } from '../../../parts/TextField.tsx';
import { usePlan } from '../../../parts/usePlan.ts';
import { EndCard } from './EndCard.tsx';
import { Recipe } from './Recipe.tsx';
import { SpacingStrips } from './SpacingStrips.tsx';
import type { Gesture } from '../../../../store/gesture.ts';
import { Button } from '../../../kit/Button.tsx';

const AGE_NAMES = { pour: 'at the pour', cut: 'at the cut', cured: 'when cured' } as const;

/** One ombre: its ends, its school, its spacing, and what to weigh. */
export function OmbreEditor({ ombre }: { readonly ombre: Ombre }) {
  const { plan, edit } = usePlan();
  const layers = poursOfOmbre(plan, ombre.id).length;
  const change = (part: Partial<Omit<Ombre, 'id'>>, gesture?: Gesture) =>
    edit((p) => updateOmbre(p, ombre.id, part), gesture);
  return (
    <section className="grid grid-cols-[minmax(0,1fr)] gap-5" aria-label={`Ombre ${ombre.name}`}>
      <div className="@container">
        <div className="grid grid-cols-[minmax(0,1fr)] gap-3 @md:grid-cols-2">
          <EndCard ombre={ombre} end="from" />
          <EndCard ombre={ombre} end="to" />
        </div>
      </div>
      <Button
        icon={ArrowLeftRight}
        className="justify-self-start"
        onClick={() => edit((p) => swapEnds(p, ombre.id))}
      >
        Swap the ends
      </Button>
      <div className="flex flex-wrap items-end gap-4">
        <FigureField
          label="Layers"
          className="w-20"
          suffix=""
          value={layers}
          onValue={(count, g) =>
            Number.isInteger(count) && count >= LEAST_LAYERS && count <= MOST_LAYERS
              ? edit((p) => setLayers(p, ombre.id, count), g)
              : {
                  code: 'layers-out-of-range',
                  message: `${count}: an ombre has ${LEAST_LAYERS} to ${MOST_LAYERS} layers`,
                }
          }
        />
        <div className="flex-1">
          <Choice
            legend="Poured from"
            value={ombre.school}
            options={[
              { value: 'one-pot', label: 'one pot, darkened' },
              { value: 'master-blends', label: 'blends of two stocks' },
              { value: 'separate-pots', label: 'separate pots' },
            ]}
            onChoose={(school) => change({ school })}
          />
        </div>
      </div>
      <SpacingStrips ombre={ombre} />
      <Recipe ombre={ombre} />
      <Group title="This ombre">
        <div className="flex flex-wrap items-end gap-3">
          <TextField
            label="Name"
            className="flex-1"
            value={ombre.name}
            onValue={(name, g) => edit((p) => renameOmbre(p, ombre.id, name), g)}
          />
          <Picker
            label="Spaced as it looks"
            className="w-36"
            value={ombre.spacedAt}
            options={AGES.map((value) => ({ value, label: AGE_NAMES[value] }))}
            onPick={(spacedAt) => change({ spacedAt })}
          />
          <Picker
            label="Measured by"
            className="w-38"
            value={ombre.measure}
            options={[
              { value: 'scale', label: `scale, ${plan.units.fineStepG} g` },
              { value: 'spoon', label: 'eighths of a tsp' },
              { value: 'stock', label: 'diluted stock' },
            ]}
            onPick={(measure) => change({ measure })}
          />
        </div>
        <Button className="justify-self-start" onClick={() => edit((p) => takeApart(p, ombre.id))}>
          Stop grading: keep the shades as plain pots
        </Button>
      </Group>
    </section>
  );
}
