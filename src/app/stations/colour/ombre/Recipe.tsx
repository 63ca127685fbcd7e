import { useState } from 'react';
import { asPlanned } from '../../../../core/batch/note.ts';
import { poursOfOmbre } from '../../../../core/ombre/runs.ts';
import type { Ombre } from '../../../../core/plan/ombreSchema.ts';
import { Group } from '../../../parts/Station.tsx';
import { usePlan } from '../../../parts/usePlan.ts';
import { BlendRecipe } from './BlendRecipe.tsx';
import { OnePotRecipe } from './OnePotRecipe.tsx';
import { SeparateRecipe } from './SeparateRecipe.tsx';
import { useWriteDown } from './useWriteDown.ts';
import { Button } from '../../../kit/Button.tsx';

/**
 * What to weigh, layer by layer, by the ombre's school; and what becomes of it when something went otherwise.
 */
export function Recipe({ ombre }: { readonly ombre: Ombre }) {
  const { plan, computed } = usePlan('weights', 'entered', 'warnings', 'happened');
  const writeDown = useWriteDown();
  const [asked, setAsked] = useState(false);
  const { happened } = computed;
  const own = poursOfOmbre(plan, ombre.id).map((p) => p.id);
  const noted = own.some((id) => happened.has(id));
  const whatIf = asked || noted;
  const shown = computed.weights?.ombres ?? (noted ? computed.entered : []);
  const weights = shown.find((o) => o.ombre.id === ombre.id);
  const refused = computed.weights ? [] : computed.warnings.filter((w) => w.level === 'refuse');
  if (!weights)
    return <p className="quiet text-sm">There are no weights while something in the plan is refused.</p>;
  return (
    <Group
      title="Additions"
      aside={
        <span className="flex gap-2">
          {noted && <Button onClick={() => writeDown(asPlanned(happened, own))}>Back to the plan</Button>}
          {!whatIf && <Button onClick={() => setAsked(true)}>What if it went otherwise?</Button>}
        </span>
      }
    >
      {refused.map((w) => (
        <p key={w.message} role="alert" className="text-sm font-semibold text-error">
          {w.message}
        </p>
      ))}
      {whatIf && (
        <p className="text-sm">
          Write what was really added or poured: the layers after it are solved again from what is left. It is
          kept with the batch, which undo does not touch; empty a field to take it back.
        </p>
      )}
      {weights.school === 'one-pot' && (
        <OnePotRecipe weights={weights} happened={whatIf ? happened : undefined} />
      )}
      {weights.school === 'master-blends' && (
        <BlendRecipe weights={weights} happened={whatIf ? happened : undefined} />
      )}
      {weights.school === 'separate-pots' && (
        <SeparateRecipe weights={weights} happened={whatIf ? happened : undefined} />
      )}
    </Group>
  );
}
