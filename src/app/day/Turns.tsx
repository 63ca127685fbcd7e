import type { Turn } from '../../core/making/screens.ts';
import type { Act } from '../../core/procedure/act.ts';
import { NO_COLOUR } from '../parts/ink.ts';
import { useColours } from '../parts/usePlan.ts';
import { useShow } from '../parts/useShow.ts';
import { useDay } from './dayContext.ts';
import { JugDrawing } from './JugDrawing.tsx';

/** More jugs than this stand in narrow ones. */
const WIDE_UP_TO = 6;

/** A round at a look: whose turn it is, what each pours, and what is to be left in each jug after it. */
export function Turns({ act, turn }: { readonly act: Act; readonly turn: Turn }) {
  const { state, screens } = useDay();
  const colours = useColours();
  const { plan } = state;
  const show = useShow(plan.units);
  const mostG = Math.max(
    1,
    ...screens.flatMap((s) => (s.act.id === act.id && s.turn ? [s.turn.leftG + s.turn.massG] : [])),
  );
  return (
    <ol aria-label={`Round ${turn.round}`} className="flex flex-wrap gap-x-1 gap-y-3">
      {turn.turns.map((t, i) => {
        const pot = plan.pots.find((p) => p.letter === t.letter);
        const mine = i === turn.nth - 1;
        const poured = i < turn.nth - 1;
        return (
          <li
            key={i}
            aria-current={mine ? 'step' : undefined}
            className="grid min-w-12 flex-1 justify-items-center text-center leading-tight"
          >
            <span className="h-5 font-bold" aria-hidden="true">
              {poured ? '✓' : mine ? '▼' : ''}
            </span>
            <JugDrawing
              full={(0.9 * (poured ? t.leftG : t.leftG + t.massG)) / mostG}
              colour={(pot && colours.pots.get(pot.id)) ?? NO_COLOUR}
              chosen={mine}
              wide={turn.turns.length > WIDE_UP_TO ? 34 : 44}
            />
            <strong className="text-xl">{t.letter}</strong>
            <span className={mine ? 'font-bold' : ''}>{show.mass(t.massG)}</span>
            <span className="quiet text-sm whitespace-nowrap">{show.massFigure(t.leftG)} left</span>
            <span className="sr-only">{poured ? 'poured' : mine ? 'its turn now' : 'to come'}</span>
          </li>
        );
      })}
    </ol>
  );
}
