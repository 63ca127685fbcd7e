import { useState } from 'react';
import { adoptLye } from '../../../core/edit/batter.ts';
import { formatPercent } from '../../../core/units/format.ts';
import { MassField } from '../../parts/quantities.tsx';
import { usePlan } from '../../parts/usePlan.ts';

/** Check the lye of a written recipe against these oils, and take over the superfat it leaves. */
export function WrittenLye() {
  const { plan, computed, edit } = usePlan();
  const [oilsG, setOilsG] = useState(() => computed.batch?.oilsG ?? 1000);
  const [lyeG, setLyeG] = useState(() => computed.batch?.lyeG ?? 140);
  const [said, setSaid] = useState<{ readonly text: string; readonly refused: boolean }>();
  const check = (): void => {
    const adopted = adoptLye(plan, lyeG, oilsG);
    if (!adopted.ok) {
      setSaid({ text: adopted.fault.message, refused: true });
      return;
    }
    edit(() => adopted.value);
    const { superfatPercent } = adopted.value.batter;
    setSaid({ text: `It leaves ${formatPercent(superfatPercent, 2)} superfat: taken over.`, refused: false });
  };
  const positive =
    (set: (g: number) => void) =>
    (g: number): { code: string; message: string } | undefined => {
      if (g <= 0) return { code: 'not-positive', message: 'More than nothing is wanted' };
      set(g);
      setSaid(undefined);
      return undefined;
    };
  return (
    <details className="rounded-box border border-base-300 px-3 py-2">
      <summary className="cursor-pointer text-sm font-semibold">Check the lye of a written recipe</summary>
      <div className="mt-2 grid grid-cols-3 items-end gap-3">
        <MassField label="Its oils" value={oilsG} onValue={positive(setOilsG)} />
        <MassField label="Its lye" value={lyeG} onValue={positive(setLyeG)} />
        <button type="button" className="btn btn-primary btn-sm mb-0.5" onClick={check}>
          Check and take over
        </button>
      </div>
      {said && (
        <p
          role={said.refused ? 'alert' : 'status'}
          className={`mt-2 text-sm ${said.refused ? 'font-semibold text-error' : ''}`}
        >
          {said.text}
        </p>
      )}
    </details>
  );
}
