import { useMemo, useState } from 'react';
import { useNavigate } from 'react-router';
import { begunFrom } from '../../../core/edit/begunFrom.ts';
import { sameMould } from '../../../core/mould/sameMould.ts';
import { changesBetween } from '../../../core/computed/changes.ts';
import { computePlan } from '../../../core/computed/compute.ts';
import { bringPlans } from '../../../store/keeping/newPlans.ts';
import { newPlanId } from '../../../store/page.ts';
import { Picker } from '../../parts/Picker.tsx';
import { useComputed, usePresent } from '../../parts/usePlan.ts';
import { useMouldChoice } from './useMouldChoice.ts';
import { Button } from '../../kit/Button.tsx';

const NONE = 'none';

/** The same design in another mould, as a new plan: what would be otherwise is listed before it is made. */
export function AnotherMould() {
  const plan = usePresent();
  const computed = useComputed();
  const { moulds, options } = useMouldChoice();
  const navigate = useNavigate();
  const [chosen, setChosen] = useState(NONE);
  const mould = moulds[Number(chosen)];
  const next = useMemo(() => {
    if (!mould || sameMould(mould, plan.mould)) return undefined;
    const now = new Date().toISOString();
    const name = `${plan.name}, ${mould.name}`.slice(0, 120);
    const poured = begunFrom(plan, { id: newPlanId(), name, now }, mould);
    const after = computePlan(poured);
    return {
      plan: poured,
      changes: changesBetween(computed, after),
      refused: after.warnings.filter((w) => w.level === 'refuse'),
    };
  }, [mould, plan, computed]);
  const make = async (): Promise<void> => {
    if (!next) return;
    const [brought] = await bringPlans([next.plan]);
    if (brought) await navigate(`/plan/${brought.id}/design`);
  };
  return (
    <>
      <p className="quiet text-sm">
        Makes a new plan on the shelf, poured in the mould you choose. This plan stays as it is.
      </p>
      <Picker
        label="In the mould"
        value={chosen}
        options={[{ value: NONE, label: 'choose a mould' }, ...options]}
        onPick={setChosen}
      />
      {mould && !next && <p className="text-sm">That is the mould it is poured in.</p>}
      {next && (
        <>
          <table className="w-full text-sm">
            <thead>
              <tr className="quiet text-left">
                <th className="font-normal">What changes</th>
                <th className="text-right font-normal">here</th>
                <th className="text-right font-normal">there</th>
              </tr>
            </thead>
            <tbody>
              {next.changes.map((c) => (
                <tr key={c.what} className="rule border-t align-top">
                  <th scope="row" className="py-0.5 pr-2 text-left font-normal">
                    {c.what}
                  </th>
                  <td className="py-0.5 pl-2 text-right">{c.was}</td>
                  <td className="py-0.5 pl-2 text-right font-bold">{c.now}</td>
                </tr>
              ))}
            </tbody>
          </table>
          {next.refused.map((w) => (
            <p key={w.message} className="text-sm text-error">
              There it would be refused: {w.message}
            </p>
          ))}
          <Button tone="primary" className="justify-self-start" onClick={() => void make()}>
            Make that plan
          </Button>
        </>
      )}
    </>
  );
}
