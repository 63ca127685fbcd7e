import { fillRidgesFrom } from '../../../core/edit/mat.ts';
import { addPot } from '../../../core/edit/pots.ts';
import { MAT } from '../../../core/pattern/knowHow.ts';
import type { Ridges } from '../../../core/plan/stepSchema.ts';
import { Fact } from '../../parts/Fact.tsx';
import { Picker } from '../../parts/Picker.tsx';
import { useBench } from '../../parts/usePlan.ts';
import { More } from './More.tsx';
import { ToolHead } from './pattern/ToolHead.tsx';

const NEW = 'a pot of its own';

/** The hollows of the mat: out of which pot they are filled, and what they take. */
export function RidgesPanel({ step }: { readonly step: Ridges }) {
  const { plan, computed, edit, show } = useBench('tops');
  const ridges = computed.tops.find((t) => t.step.kind === 'ridges');
  return (
    <section aria-label="The mat" className="grid grid-cols-[minmax(0,1fr)] gap-3">
      <ToolHead tool="mat" does="Its hollows are filled" />
      <div className="sentence">
        Its hollows are filled out of{' '}
        <Picker
          label="Filled out of"
          value={step.pot}
          options={[
            ...plan.pots.map((p) => ({ value: p.id, label: `pot ${p.letter}, ${p.name}` })),
            { value: NEW, label: 'a new pot: a tint of its own' },
          ]}
          onPick={(pot) =>
            edit((p) => {
              if (pot !== NEW) return fillRidgesFrom(p, step.id, pot);
              const made = addPot(p);
              return fillRidgesFrom(made.plan, step.id, made.potId);
            })
          }
        />
        .
      </div>
      {ridges && (
        <dl>
          <Fact name="In one mould" strong>
            {show.mass(ridges.massG)}
          </Fact>
          <Fact name="Deep">{show.length(plan.mould.mat?.reliefMm ?? 0)}</Fact>
        </dl>
      )}
      <More know={MAT} />
    </section>
  );
}
