import { useMemo, useState } from 'react';
import { distinct, nineOf, settingsOf } from '../../core/edit/vary.ts';
import { sectionAt, topFace } from '../../core/face/loafFaces.ts';
import { layPlan } from '../../core/fill/layPlan.ts';
import { hasPatterns } from '../../core/pattern/blocks.ts';
import { Picker } from '../parts/Picker.tsx';
import { useBench, useColours } from '../parts/usePlan.ts';
import { useSize } from '../parts/useSize.ts';
import { FaceDrawing } from './FaceDrawing.tsx';

/** px round each picture: its frame, and what is between it and the next */
const FRAME = 12;
const APART = 12;

/**
 * The present design among eight others, by two of its settings, as large as there is room: pressing one
 * takes it.
 */
export function NineView() {
  const { plan, edit } = useBench();
  const colours = useColours();
  const settings = useMemo(() => settingsOf(plan), [plan]);
  const [ids, setIds] = useState<readonly [string | undefined, string | undefined]>([undefined, undefined]);
  const [from, setFrom] = useState<'top' | 'cut'>(hasPatterns(plan) ? 'top' : 'cut');
  const [ref, { width, height }] = useSize<HTMLDivElement>();
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
  if (!across || !down)
    return <p className="quiet p-6">There are not two things here that could be varied.</p>;
  const options = (other: string) =>
    settings.filter((s) => s.id !== other).map((s) => ({ value: s.id, label: s.name }));
  const columns = distinct(across).length;
  const rows = distinct(down).length;
  const wide = Math.floor(width / columns) - APART;
  const high = Math.max(48, Math.floor(height / rows) - FRAME - APART);
  return (
    <div className="flex min-h-0 flex-1 flex-col gap-2 p-4">
      <div className="sentence">
        Across{' '}
        <Picker
          label="Across"
          value={across.id}
          options={options(down.id)}
          onPick={(id) => setIds([id, down.id])}
        />
        {', down '}
        <Picker
          label="Down"
          value={down.id}
          options={options(across.id)}
          onPick={(id) => setIds([across.id, id])}
        />
        {', looked at '}
        <Picker
          label="Looked at"
          value={from}
          options={[
            { value: 'top', label: 'from above' },
            { value: 'cut', label: 'cut across' },
          ]}
          onPick={setFrom}
        />
        .
      </div>
      <div ref={ref} className="min-h-0 flex-1 overflow-auto">
        {width > 0 && (
          <ul className="grid gap-3" style={{ gridTemplateColumns: `repeat(${columns}, minmax(0, 1fr))` }}>
            {nine.map(({ variant, face }) => (
              <li key={variant.label}>
                <button
                  type="button"
                  className={`flex w-full cursor-pointer flex-wrap items-center justify-center gap-x-3 rounded-box border p-1 hover:border-accent ${variant.present ? 'border-accent' : 'border-base-300'}`}
                  aria-label={variant.present ? `As it is: ${variant.label}` : `Take it: ${variant.label}`}
                  disabled={variant.present}
                  onClick={() => edit(variant.apply)}
                >
                  <FaceDrawing
                    face={face}
                    colours={colours}
                    top={from === 'top'}
                    width={Math.max(40, wide - 110)}
                    height={high}
                  />
                  <span className="text-sm leading-tight">
                    {variant.across}
                    <span className="quiet block">{variant.down}</span>
                  </span>
                </button>
              </li>
            ))}
          </ul>
        )}
      </div>
    </div>
  );
}
