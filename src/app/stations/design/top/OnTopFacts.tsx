import { plural } from '../../../../core/units/words.ts';
import type { Top } from '../../../../core/plan/stepSchema.ts';
import { Fact } from '../../../parts/Fact.tsx';
import { useBench } from '../../../parts/usePlan.ts';

/** What a top comes to on one mould, and on one bar. */
export function OnTopFacts({ step }: { readonly step: Top }) {
  const { computed, show } = useBench('tops', 'cut');
  const parts = computed.tops.filter((t) => t.step.id === step.id);
  const { top } = step.way;
  if (parts.length === 0 || top === 'straws') return null;
  const massG = parts.reduce((s, t) => s + t.massG, 0);
  const count = parts.reduce((s, t) => s + t.count, 0);
  const weighs = top === 'mound' || top === 'piping' ? show.mass(massG) : show.fine(massG);
  const bars = computed.cut.count;
  return (
    <dl>
      <Fact name="On one mould" strong>
        {weighs}
      </Fact>
      {bars > 0 && (
        <Fact name={`On each of ${plural(bars, 'bar')}, about`}>
          {massG / bars < 10 ? show.fine(Math.round((massG / bars) * 10) / 10) : show.mass(massG / bars)}
        </Fact>
      )}
      {top === 'pieces' && <Fact name="Pieces to have ready">{count}</Fact>}
    </dl>
  );
}
