import { addStroke } from '../../../../core/edit/pattern.ts';
import { addTop } from '../../../../core/edit/tops.ts';
import { TOP_MM, TOPS } from '../../../../core/pattern/knowHow.ts';
import type { TopWay } from '../../../../core/plan/topSchema.ts';
import { Picker } from '../../../parts/Picker.tsx';
import { Group } from '../../../parts/Station.tsx';
import { useBench } from '../../../parts/usePlan.ts';
import { useNewStep } from '../useNewStep.ts';
import { StickPicker } from '../pattern/StickPicker.tsx';

const NONE = '';

/** Everything that is put on top once the pours are in. */
export function AddTop() {
  const { plan } = useBench();
  const put = useNewStep();
  if (!plan.steps.some((s) => s.kind === 'pour')) return null;
  return (
    <Group title="On top">
      <Picker
        label="Put on top"
        value={NONE}
        options={[
          { value: NONE, label: 'what?' },
          ...(Object.keys(TOPS) as TopWay['top'][]).map((top) => ({
            value: top,
            label: `${TOPS[top].name}: ${TOPS[top].says}`,
          })),
        ]}
        onPick={(top) => {
          if (top !== NONE) put((p) => addTop(p, top), top === 'mound' ? 'section' : 'plan');
        }}
      />
      <StickPicker
        label="Draw the stick through the top alone"
        onPick={(kind) => put((p) => addStroke(p, kind, TOP_MM, { forTop: true }), 'plan')}
      />
    </Group>
  );
}
