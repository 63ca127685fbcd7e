import { useState } from 'react';
import { formatMinutes } from '../../../core/units/format.ts';
import { ofHundred } from '../../clock/ofHundred.ts';
import { useOdds } from '../../clock/useOdds.ts';
import { Choice } from '../../kit/Choice.tsx';
import { usePlan } from '../../parts/usePlan.ts';
import { setClock } from '../../../core/edit/clock.ts';
import { speedOf } from '../../../core/clock/speed.ts';
import { BLURS } from '../../../core/plan/clockSchema.ts';
import { FINE_MM } from '../../../core/plan/habits.ts';
import { useOutlook } from '../../clock/outlookContext.ts';
import { ToMedium } from './ToMedium.tsx';
import { useTaught } from './useTaught.ts';

const KEEPINGS = [
  { value: 'feel', label: 'by feel' },
  { value: 'clock', label: 'by the clock' },
] as const;

const BLUR_OPTIONS = BLURS.map((mm) => ({ value: String(mm), label: mm === 0 ? 'straight' : `± ${mm} mm` }));

/** A part of the risk that is only not knowing is told from here on, of a hundred. */
const TOLD = 3;

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
          {shown.kind === 'known' ? `holds ${ofHundred(shown.odds.whole)}` : '…'}
        </p>
        <p className="quiet text-sm">
          an estimate
          {clock ? `; done in ≈ ${formatMinutes(clock.totalMin)}` : ''}
          {total && total.late - total.early > 1
            ? `, most often ${Math.round(total.early)} to ${Math.round(total.late)}`
            : ''}
        </p>
      </div>
      <div className="flex flex-wrap gap-4">
        <div className="w-60">
          <Choice
            legend="Borders may be"
            value={String(plan.clock.blurMm ?? FINE_MM)}
            options={BLUR_OPTIONS}
            onChoose={(value) => {
              const mm = BLURS.find((b) => String(b) === value);
              edit((p) => setClock(p, { blurMm: mm === FINE_MM ? undefined : mm }));
            }}
          />
        </div>
        <div className="w-52">
          <Choice
            legend="Waits are kept"
            value={plan.clock.keeping ?? 'feel'}
            options={KEEPINGS}
            onChoose={(keeping) =>
              edit((p) => setClock(p, { keeping: keeping === 'feel' ? undefined : keeping }))
            }
          />
        </div>
      </div>
      <NotKnown />
    </div>
  );
}

/**
 * How much of the risk is not knowing the recipe's speed, and the one question that tells it: there until it
 * was told, and while it is being told.
 */
function NotKnown() {
  const { plan, computed } = usePlan('recipe');
  const known = useOutlook();
  const taught = useTaught();
  const [telling, setTelling] = useState(false);
  const speed = computed.recipe && speedOf(plan.batter, computed.recipe, plan.clock);
  if (!speed || taught.length > 0) return null;
  const guessed = speed.origin === 'estimated';
  if (!telling && !guessed) return null;
  const whole = known?.outlook.odds.whole ?? 1;
  const more = Math.round(((known?.outlook.rateKnown ?? whole) - whole) * 100);
  return (
    <div className="flex basis-full flex-wrap items-start gap-x-6 gap-y-2" onFocus={() => setTelling(true)}>
      <p className="min-w-60 flex-1 text-sm">
        {guessed ? (
          <>
            {more < TOLD
              ? 'Nobody knows yet how fast this recipe thickens: it is guessed from its oils. '
              : `${more} more of 100 would hold if it were known how fast this recipe thickens. `}
            <strong>When did it last get to medium?</strong>{' '}
            <span className="quiet">A cup test tells it too.</span>
          </>
        ) : (
          'Told: how fast this recipe thickens is known to within a quarter or so.'
        )}
      </p>
      <div className="w-60">
        <ToMedium />
      </div>
    </div>
  );
}
