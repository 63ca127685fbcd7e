import { formatMinutes } from '../../../core/units/format.ts';
import { ofHundred } from '../../clock/ofHundred.ts';
import { useOdds } from '../../clock/useOdds.ts';
import { Choice } from '../../parts/Choice.tsx';
import { usePlan } from '../../parts/usePlan.ts';
import { setClock } from '../../../core/edit/clock.ts';

const KEEPINGS = [
  { value: 'feel', label: 'by feel' },
  { value: 'clock', label: 'by the clock' },
] as const;

/** Will it hold: how often of a hundred, how long it takes, and what the waits are kept by. */
export function Holds() {
  const { plan, computed, edit } = usePlan('clock');
  const shown = useOdds();
  const { clock } = computed;
  const total = shown.kind === 'known' ? shown.odds.total : undefined;
  return (
    <div className="flex flex-wrap items-end justify-between gap-x-8 gap-y-3">
      <div aria-live="polite">
        <p className="quiet text-sm">Will it hold?</p>
        <p
          className={`font-heading text-3xl font-bold ${shown.kind === 'known' && shown.stale ? 'opacity-50' : ''}`}
        >
          {shown.kind === 'known' ? ofHundred(shown.odds.whole) : '…'}
        </p>
        <p className="quiet text-sm">
          times, an estimate
          {clock ? `; done in ≈ ${formatMinutes(clock.totalMin)}` : ''}
          {total && total.late - total.early > 1
            ? `, most often ${Math.round(total.early)} to ${Math.round(total.late)}`
            : ''}
        </p>
      </div>
      <div className="w-60">
        <Choice
          legend="Waits are kept"
          value={plan.clock.keeping ?? 'feel'}
          options={KEEPINGS}
          onChoose={(keeping) => {
            edit((p) => setClock(p, { keeping: keeping === 'feel' ? undefined : keeping }));
          }}
        />
      </div>
    </div>
  );
}
