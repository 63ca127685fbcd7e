import { useMemo, useState } from 'react';
import { nineOf, settingsOf } from '../../../../core/edit/vary.ts';
import { sectionAt, topFace } from '../../../../core/face/loafFaces.ts';
import { hasPatterns } from '../../../../core/pattern/blocks.ts';
import { layPlan } from '../../../../core/fill/layPlan.ts';
import { FaceDrawing } from '../../../section/FaceDrawing.tsx';
import { Choice } from '../../../kit/Choice.tsx';
import { Picker } from '../../../parts/Picker.tsx';
import { useBench, useColours } from '../../../parts/usePlan.ts';

/** px */
const SIZE = 88;

/** Nine small pictures round the present design by two of its settings: pressing one takes it. */
export function Vary() {
  const { plan, edit } = useBench();
  const colours = useColours();
  const settings = useMemo(() => settingsOf(plan), [plan]);
  const [ids, setIds] = useState<readonly [string | undefined, string | undefined]>([undefined, undefined]);
  const [from, setFrom] = useState<'top' | 'cut'>(hasPatterns(plan) ? 'top' : 'cut');
  const across = settings.find((s) => s.id === ids[0]) ?? settings[0];
  const down = settings.find((s) => s.id === ids[1] && s !== across) ?? settings.find((s) => s !== across);
  const nine = useMemo(() => {
    if (!across || !down) return [];
    return nineOf(across, down).map((variant) => {
      const [laid] = layPlan(variant.apply(plan)).moulds;
      const face = from === 'top' ? topFace(laid) : sectionAt(laid, laid.geometry.most.length * 0.35);
      return { variant, face };
    });
  }, [plan, across, down, from]);
  if (!across || !down) return null;
  const options = (other: string) =>
    settings.filter((s) => s.id !== other).map((s) => ({ value: s.id, label: s.name }));
  return (
    <div className="grid gap-3">
      <div className="grid grid-cols-2 gap-2">
        <Picker
          label="Across"
          value={across.id}
          options={options(down.id)}
          onPick={(id) => setIds([id, down.id])}
        />
        <Picker
          label="Down"
          value={down.id}
          options={options(across.id)}
          onPick={(id) => setIds([across.id, id])}
        />
      </div>
      <Choice
        legend="Looked at"
        hideLegend
        value={from}
        options={[
          { value: 'top', label: 'from above' },
          { value: 'cut', label: 'cut across' },
        ]}
        onChoose={setFrom}
      />
      <ul className="grid grid-cols-3 gap-1.5">
        {nine.map(({ variant, face }, i) => (
          <li key={i}>
            <button
              type="button"
              className={`grid w-full cursor-pointer justify-items-center rounded-box border p-0.5 hover:border-accent ${i === 4 ? 'border-accent' : 'border-base-300'}`}
              aria-label={i === 4 ? `As it is: ${variant.label}` : `Take it: ${variant.label}`}
              disabled={i === 4}
              onClick={() => edit(variant.apply)}
            >
              <FaceDrawing face={face} colours={colours} top={from === 'top'} width={SIZE} height={SIZE} />
              <span className="text-xs leading-tight">
                {across.variants[i % 3]?.label}
                <span className="quiet block">{down.variants[Math.floor(i / 3)]?.label}</span>
              </span>
            </button>
          </li>
        ))}
      </ul>
    </div>
  );
}
