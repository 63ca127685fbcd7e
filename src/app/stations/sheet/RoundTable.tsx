import { useRef } from 'react';
import { usePrinted } from '../../parts/usePrinted.ts';
import { useSeen } from '../../parts/useSeen.ts';
import type { PatternDeed } from '../../../core/procedure/deeds.ts';
import { usePlan } from '../../parts/usePlan.ts';

/** A table of more turns than this is drawn once it is come to, or printed. */
const LARGE = 72;

/**
 * A pour round by round: what of each pot, and what should be left in its jug after it, for correction by eye
 * or by the scale.
 */
export function RoundTable({ pattern }: { readonly pattern: PatternDeed }) {
  const { show } = usePlan();
  const place = useRef<HTMLDivElement>(null);
  const seen = useSeen(place);
  const printed = usePrinted();
  const turns = pattern.rounds[0]?.turns ?? [];
  if (pattern.roundCount * turns.length > LARGE && !seen && !printed)
    return <div ref={place} className="col-span-full" style={{ height: `${pattern.roundCount * 2.6}rem` }} />;
  return (
    <div className="col-span-full mt-1.5 overflow-x-auto">
      <table aria-label="Rounds" className="w-full text-right text-sm tabular-nums">
        <thead>
          <tr className="rule border-b">
            <th scope="col" className="quiet pr-2 text-left font-normal">
              Round
            </th>
            {turns.map((t, i) => (
              <th key={i} scope="col" className="px-1.5">
                {t.letter}
              </th>
            ))}
            <th scope="col" className="quiet pl-2 font-normal">
              in the mould
            </th>
          </tr>
        </thead>
        <tbody>
          {pattern.rounds.map((round, r) => (
            <tr key={r} className="rule border-b last:border-b-0">
              <th scope="row" className="pr-2 text-left">
                {r + 1}
              </th>
              {round.turns.map((t, i) => (
                <td key={i} className="px-1.5 py-0.5 leading-tight whitespace-nowrap">
                  <strong>{show.massFigure(t.massG)}</strong>
                  <span className="quiet block text-xs">{show.massFigure(t.leftG)} left</span>
                </td>
              ))}
              <td className="pl-2 font-bold whitespace-nowrap">{show.mass(round.inMouldG)}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
