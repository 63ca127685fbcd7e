import { acceptable, type Accepted } from '../../core/making/accepting.ts';
import { weighedAs } from '../../core/making/accepting.ts';
import type { Act } from '../../core/procedure/act.ts';
import { unitWritten } from '../../core/units/factors.ts';
import { parseAs } from '../../core/units/parseQuantity.ts';
import { sayOnDay } from '../../store/day.ts';
import { useShow } from '../parts/useShow.ts';
import { useDay } from './dayContext.ts';
import { Entry } from './Entry.tsx';

interface LyeWeightProps {
  readonly act: Act;
  readonly accepted: Accepted;
}

/** What the scale shows of lye where that is not what was planned: typed, and refused where it is more. */
export function LyeWeight({ act, accepted: { key, line } }: LyeWeightProps) {
  const { plan } = useDay().state;
  const show = useShow(plan.units);
  const unit = unitWritten(plan.units.mass);
  return (
    <section aria-label={`${line.name}: its weight`} className="grid gap-3 border-2 border-base-content p-3">
      <p className="font-bold">{line.name}: what does the scale show?</p>
      {unit && (
        <Entry
          label={`Not ${show.lye(line.massG * line.times)}, but`}
          take="Accept"
          parse={(text) => {
            const read = parseAs(text, unit);
            return read.ok ? acceptable(plan, line, read.value) : read;
          }}
          onTake={(massG) => sayOnDay([weighedAs(act, key, massG)])}
        />
      )}
    </section>
  );
}
