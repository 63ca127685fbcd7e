import { withWordsOf } from '../../core/plan/words.ts';
import { useMemo } from 'react';
import { computePlan } from '../../core/computed/compute.ts';
import { singleBars, type Cutting } from '../../core/cut/singleBars.ts';
import { sideOfBar } from '../../core/face/barFaces.ts';
import type { LaidFace } from '../../core/face/laid.ts';
import { topFace } from '../../core/face/loafFaces.ts';
import type { PlanColours } from '../../core/ombre/coloursOf.ts';
import { differences } from '../../core/plan/differences.ts';
import { besideKept, viewShown } from '../../store/deskSlice.ts';
import { useAppDispatch, useAppSelector } from '../../store/store.ts';
import { SEEN, useBench, useColours, useEdit } from '../parts/usePlan.ts';
import { useSize } from '../parts/useSize.ts';
import { FaceDrawing } from './FaceDrawing.tsx';
import { Button } from '../kit/Button.tsx';

/** More differences than this are not read one by one. */
const MOST = 5;

interface OneProps {
  readonly title: string;
  readonly computed: Cutting & LaidFace;
  readonly colours: PlanColours;
  readonly width: number;
  readonly height: number;
}

/** A version from above, and its bar nearest to the middle. */
function One({ title, computed, colours, width, height }: OneProps) {
  const top = useMemo(() => topFace(computed), [computed]);
  const bar = useMemo(() => {
    const bars = singleBars(computed);
    const found = bars.find((b) => b.centre) ?? bars[0];
    return found && sideOfBar(computed, found, 'near');
  }, [computed]);
  const high = Math.max(60, height - 40);
  return (
    <figure className="grid justify-items-center gap-2" style={{ width }}>
      <figcaption className="font-bold">{title}</figcaption>
      <FaceDrawing face={top} colours={colours} top width={width} height={high * 0.56} />
      <span className="quiet text-sm">from above; below, the cut face of a middle bar</span>
      {bar && <FaceDrawing face={bar} colours={colours} top={false} width={width} height={high * 0.4} />}
    </figure>
  );
}

/** Two versions of a plan side by side: the one that was kept, and the one on the bench. */
export function BesideView() {
  const dispatch = useAppDispatch();
  const beside = useAppSelector((s) => s.desk.beside);
  const edit = useEdit();
  const { plan, computed } = useBench('cut', ...SEEN);
  const colours = useColours();
  const [ref, { width, height }] = useSize<HTMLDivElement>();
  const kept = useMemo(() => (beside ? computePlan(beside) : undefined), [beside]);
  const found = useMemo(() => (beside ? differences(beside, plan) : []), [beside, plan]);
  if (!beside || !kept) return null;
  const half = Math.max(80, (width - 48) / 2);
  return (
    <div ref={ref} className="flex min-h-0 flex-1 flex-col gap-2 p-4">
      {width > 0 && (
        <div className="flex gap-4">
          <One title="Kept" computed={kept} colours={kept.colours} width={half} height={height - 120} />
          <One title="Now" computed={computed} colours={colours} width={half} height={height - 120} />
        </div>
      )}
      <p className="quiet text-sm" role="status">
        {found.length === 0
          ? 'Nothing differs yet: change the design, and this shows both.'
          : found
              .slice(0, MOST)
              .map((d) => `${d.where}: ${d.mine ?? 'not there'}, now ${d.theirs ?? 'not there'}`)
              .join('; ') + (found.length > MOST ? `; and ${found.length - MOST} more.` : '.')}
      </p>
      <div className="flex gap-1.5">
        <Button
          disabled={found.length === 0}
          onClick={() => {
            dispatch(besideKept(plan));
            edit((p) => withWordsOf(beside, p));
          }}
        >
          Change places
        </Button>
        <Button
          onClick={() => {
            dispatch(besideKept(null));
            dispatch(viewShown('plan'));
          }}
        >
          Let the kept one go
        </Button>
      </div>
    </div>
  );
}
