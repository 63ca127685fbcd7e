import { setTop, usualSaltG } from '../../../../core/edit/tops.ts';
import type { Top } from '../../../../core/plan/stepSchema.ts';
import type { TopWay } from '../../../../core/plan/topSchema.ts';
import { MassField } from '../../../parts/quantities.tsx';
import { useBench } from '../../../parts/usePlan.ts';

/** How much salt is strewn over one mould. */
export function SaltField({
  step,
  way,
}: {
  readonly step: Top;
  readonly way: Extract<TopWay, { top: 'salt' }>;
}) {
  const { plan, edit, show } = useBench();
  return (
    <div className="sentence">
      Strewn on one mould:{' '}
      <MassField
        label="On one mould"
        fine
        value={way.massG}
        onValue={(massG, g) => edit((p) => setTop(p, step.id, { ...way, massG }), g)}
      />
      . <span className="quiet">About {show.fine(usualSaltG(plan))} covers a top like this loosely.</span>
    </div>
  );
}
