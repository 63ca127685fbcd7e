import { verdictOf, type Verdict } from '../../core/making/verdict.ts';
import { signsOf, type Signs } from '../../core/making/words.ts';
import { potNamed } from '../../core/plan/sources.ts';
import type { Act } from '../../core/procedure/act.ts';
import { lowerFirst } from '../../core/units/words.ts';
import type { Minutes } from '../../core/units/quantity.ts';
import { sayOnDay } from '../../store/day.ts';
import { Press } from './Press.tsx';
import { NO_COLOUR } from '../parts/ink.ts';
import { useColours } from '../parts/usePlan.ts';
import { spanText } from './spanText.ts';
import { TooSoon } from './TooSoon.tsx';
import { SignDrawing } from './SignDrawing.tsx';
import { useDay } from './dayContext.ts';
import { useAlarm } from './useAlarm.ts';
import { useAgo } from './useNow.ts';

/** So long it is stopped before it is looked at again, min. */
const LOOK_AGAIN_MIN: Minutes = 3;

const TOLD: Readonly<Record<Verdict['is'], { readonly word: string; readonly tone: string }>> = {
  wait: { word: 'Wait', tone: 'border-warning' },
  go: { word: 'Now', tone: 'border-success' },
  late: { word: 'Late', tone: 'border-error' },
};

function figure(verdict: Verdict, now: Minutes): string {
  if (verdict.is === 'wait') return `≈ ${spanText(verdict.untilMin - now)} more`;
  if (verdict.is === 'late') return `since ${spanText(now - verdict.sinceMin)}`;
  return verdict.untilMin === undefined ? '' : `good for ≈ ${spanText(verdict.untilMin - now)} more`;
}

/** Whether it is the moment: by the clock an estimate, by what is seen for sure. */
export function Window({ act }: { readonly act: Act }) {
  const day = useDay();
  const { state, runs } = day;
  const since = useAgo(day, state.zero);
  const signs = signsOf(act);
  const { timed } = act;
  const verdict = since && timed && verdictOf(timed, since.min);
  const { min: now = 0 } = since ?? {};
  useAlarm(verdict?.is === 'go' && signs ? `${act.id} now` : undefined, 'Look now: it should be the moment.');
  useAlarm(verdict?.is === 'late' ? `${act.id} late` : undefined, 'Late: look at it before you go on.');
  if (!verdict) return null;
  const { carriedFromMin, atMin } = timed;
  const { word, tone } = TOLD[verdict.is];
  return (
    <section aria-label="Its moment" className={`grid gap-2 border-l-8 ${tone} bg-base-200 p-3`}>
      <p className="flex flex-wrap items-baseline gap-x-3">
        <strong className="text-2xl">{word}</strong>
        <span className="text-xl tabular-nums" aria-live="off">
          {figure(verdict, now)}
        </span>
      </p>
      <Bar verdict={verdict} from={carriedFromMin ?? atMin} now={now} />
      {signs && <Seen signs={signs} verdict={verdict} act={act} />}
      {verdict.is === 'wait' && runs && (
        <Press
          className="justify-self-start"
          onClick={() =>
            void sayOnDay([{ does: 'timer', name: 'Look again', is: 'started', minutes: LOOK_AGAIN_MIN }])
          }
        >
          Stop here, look again in {LOOK_AGAIN_MIN} min
        </Press>
      )}
    </section>
  );
}

/** The three things that can be seen, drawn, with the one that is expected now in front. */
function Seen({
  signs,
  verdict,
  act,
}: {
  readonly signs: Signs;
  readonly verdict: Verdict;
  readonly act: Act;
}) {
  const { plan } = useDay().state;
  const colours = useColours();
  const pours = plan.steps.filter((s) => s.kind === 'pour');
  const at = pours.findIndex((p) => p.id === act.step);
  const below = at > 0 ? pours[at - 1] : pours.at(-1);
  const pot = potNamed(plan, act.pot);
  const colour = (pot && colours.pots.get(pot.id)) ?? NO_COLOUR;
  const on = (below && colours.pours.get(below.id)) ?? '#e9dcc0';
  const all = [
    { when: 'early', says: signs.early, head: 'Too early' },
    { when: 'now', says: signs.now, head: 'Right' },
    { when: 'late', says: signs.late, head: 'Too late' },
  ] as const;
  const expected = { wait: 'early', go: 'now', late: 'late' }[verdict.is];
  return (
    <div className="grid gap-1.5">
      <ul aria-label="By what is seen" className="grid grid-cols-3 gap-2">
        {all.map(({ when, says, head }) => (
          <li
            key={when}
            aria-current={when === expected ? 'true' : undefined}
            className="text-sm leading-snug"
          >
            <SignDrawing when={when} of={signs.of} colour={colour} on={on} />
            <strong
              className={
                when === expected ? 'underline decoration-2 underline-offset-4' : 'quiet font-normal'
              }
            >
              {head}
            </strong>
            <span className="sr-only">: {says}</span>
          </li>
        ))}
      </ul>
      {expected === 'early' && signs.of === 'on-layer' && <TooSoon act={act} />}
      <p className="leading-snug">
        {all.find((s) => s.when === expected)?.says}
        {expected !== 'now' && <strong> Right: {lowerFirst(signs.now)}</strong>}
      </p>
    </div>
  );
}

/** Minutes shown before and after the window. */
const AROUND: Minutes = 2;
const LEAST: Minutes = 6;

interface BarProps {
  readonly verdict: Verdict;
  readonly from: Minutes;
  readonly now: Minutes;
}

/** The window on a line, and where now is. */
function Bar({ verdict, from, now }: BarProps) {
  const opens = verdict.is === 'wait' ? verdict.untilMin : Math.min(from, now);
  const ends =
    verdict.is === 'late'
      ? verdict.sinceMin
      : verdict.is === 'go'
        ? (verdict.untilMin ?? now + LEAST)
        : opens + LEAST;
  const left = Math.min(opens, now) - AROUND;
  const right = Math.max(ends, now) + AROUND;
  const at = (min: Minutes): string =>
    `${Math.min(100, Math.max(0, ((min - left) / (right - left)) * 100)).toFixed(2)}%`;
  return (
    <svg className="h-5 w-full" aria-hidden="true">
      <rect y="5" width="100%" height="10" rx="5" fill="var(--color-base-300)" />
      <svg
        x={at(opens)}
        width={`${(((Math.max(opens, ends) - opens) / (right - left)) * 100).toFixed(2)}%`}
        height="20"
      >
        <rect y="5" width="100%" height="10" fill="var(--color-success)" />
      </svg>
      <rect x={at(ends)} y="5" width="100%" height="10" fill="var(--color-warning)" opacity="0.6" />
      <rect x={at(now)} width="4" height="20" fill="var(--color-base-content)" />
    </svg>
  );
}
