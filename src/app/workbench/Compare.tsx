import { useMemo, useRef, useEffect, type ReactNode } from 'react';
import { differences } from '../../core/plan/differences.ts';
import type { Plan } from '../../core/plan/planSchema.ts';
import { Boundary } from '../parts/Boundary.tsx';
import { PlanThumb } from '../shelf/PlanThumb.tsx';
import { Button } from '../kit/Button.tsx';

interface CompareProps {
  readonly mine: Plan;
  readonly theirs: Plan;
  readonly onClose: () => void;
  /** the ways to decide */
  readonly children: ReactNode;
}

/** More differences than this are not read one by one. */
const MOST_ROWS = 60;

const TIME = new Intl.DateTimeFormat('en-GB', {
  day: 'numeric',
  month: 'short',
  hour: '2-digit',
  minute: '2-digit',
  second: '2-digit',
});

const momentOf = (plan: Plan): string => {
  const at = new Date(plan.changed);
  return Number.isNaN(at.getTime()) ? '' : `changed ${TIME.format(at)}`;
};

function Side({ title, plan }: { readonly title: string; readonly plan: Plan }) {
  return (
    <figure className="grid justify-items-center gap-1">
      <Boundary what="This loaf" of={[plan]}>
        <PlanThumb plan={plan} width={220} height={150} />
      </Boundary>
      <figcaption className="text-center leading-tight">
        <strong className="block">{title}</strong>
        <span className="block">{plan.name}</span>
        <span className="quiet text-sm">{momentOf(plan)}</span>
      </figcaption>
    </figure>
  );
}

/** Both versions of a plan side by side: their loaves, and every place in which they differ. */
export function Compare({ mine, theirs, onClose, children }: CompareProps) {
  const dialog = useRef<HTMLDialogElement>(null);
  const found = useMemo(() => differences(mine, theirs), [mine, theirs]);
  useEffect(() => {
    dialog.current?.showModal();
  }, []);
  return (
    <dialog ref={dialog} className="modal" aria-labelledby="compare-title" onClose={onClose}>
      <div className="modal-box grid max-w-3xl grid-cols-[minmax(0,1fr)] gap-4 bg-base-100">
        <h2 id="compare-title" className="text-xl">
          Side by side
        </h2>
        <div className="grid grid-cols-2 gap-4">
          <Side title="Mine, here" plan={mine} />
          <Side title="The other tab’s, stored" plan={theirs} />
        </div>
        {found.length === 0 ? (
          <p>They say the same.</p>
        ) : (
          <div
            className="max-h-[38dvh] overflow-y-auto"
            role="region"
            aria-label="Where they differ"
            // the keyboard must be able to scroll it
            tabIndex={0}
          >
            <table className="w-full text-left">
              <thead>
                <tr className="rule border-b">
                  <th className="quiet min-w-40 py-1 font-normal">Where they differ</th>
                  <th className="py-1">Mine</th>
                  <th className="py-1">The other</th>
                </tr>
              </thead>
              <tbody>
                {found.slice(0, MOST_ROWS).map((d, i) => (
                  <tr key={i} className="rule border-b align-top">
                    <td className="py-1 pr-3">{d.where}</td>
                    <td className="py-1 pr-3">{d.mine ?? <span className="quiet">not there</span>}</td>
                    <td className="py-1">{d.theirs ?? <span className="quiet">not there</span>}</td>
                  </tr>
                ))}
              </tbody>
            </table>
            {found.length > MOST_ROWS && <p className="quiet">and {found.length - MOST_ROWS} more</p>}
          </div>
        )}
        <div className="flex flex-wrap gap-2">
          {children}
          <form method="dialog" className="ml-auto">
            <Button tone="quiet" type="submit">
              Not yet
            </Button>
          </form>
        </div>
      </div>
    </dialog>
  );
}
