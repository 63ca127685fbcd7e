import { setLineColorant, updateMicaLine } from '../../../../core/edit/micaLine.ts';
import { MICA_LINE } from '../../../../core/pattern/knowHow.ts';
import { layerUnder } from '../../../../core/plan/scrapes.ts';
import type { MicaLine } from '../../../../core/plan/stepSchema.ts';
import { ColorantPicker } from '../../../parts/colour/ColorantPicker.tsx';
import { NO_COLOUR } from '../../../parts/ink.ts';
import { Picker } from '../../../parts/Picker.tsx';
import { MassField } from '../../../parts/quantities.tsx';
import { useBench, useColours } from '../../../parts/usePlan.ts';
import { More } from '../More.tsx';
import { StepButtons } from '../pattern/StepButtons.tsx';
import { ToolHead } from '../pattern/ToolHead.tsx';

/** A thin line of colorant over a layer: of what, how much, and how it is put there. */
export function LinePanel({ line }: { readonly line: MicaLine }) {
  const { plan, computed, edit } = useBench('stack');
  const colours = useColours();
  const pour = layerUnder(plan, line);
  const layer = computed.stack.layers.find((l) => l.pour.id === pour?.id);
  const colorant = plan.colorants.find((c) => c.id === line.colorant);
  return (
    <section aria-label="The line" className="grid grid-cols-[minmax(0,1fr)] gap-3">
      <ToolHead tool="line" does={layer ? `Over pour ${layer.nth + 1}` : 'Over nothing yet'} />
      <div className="sentence">
        <span
          className="mr-2 inline-block size-6 rounded-full border border-black/25 align-middle"
          style={{ background: colours.pours.get(line.id) ?? NO_COLOUR }}
          aria-hidden="true"
        />
        <b>{colorant?.name ?? line.colorant}</b>
        {', '}
        <MassField
          label="On one mould"
          fine
          value={line.massG}
          onValue={(massG, g) => edit((p) => updateMicaLine(p, line.id, { massG }), g)}
        />
        {' on one mould, '}
        <Picker
          label="Put there"
          value={line.how}
          options={[
            { value: 'dry', label: 'dusted on dry' },
            { value: 'oil', label: 'trailed in oil' },
          ]}
          onPick={(how) => edit((p) => updateMicaLine(p, line.id, { how }))}
        />
        .
      </div>
      <ColorantPicker
        label="Of another colorant"
        className="w-full"
        without={[line.colorant]}
        onPick={(c) => edit((p) => setLineColorant(p, line.id, c))}
      />
      <More know={MICA_LINE}>
        <StepButtons stepId={line.id} />
      </More>
    </section>
  );
}
