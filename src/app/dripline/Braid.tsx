import { roundOf } from '../../core/plan/sources.ts';
import type { Pour } from '../../core/plan/stepSchema.ts';
import { useBench, useColours } from '../parts/usePlan.ts';
import { inkOn, NO_COLOUR } from '../parts/ink.ts';

/** px from one drop of a round to the next; closed, drops lie over one another */
const APART = 22;
const CLOSED = 11;
const HIGH = 66;

/** So many rounds are drawn of an open braid. */
const MOST_ROUNDS = 12;

/** A pour's rounds in one word: how many, and the pots of one. */
export const braidOf = (pour: Pour): string =>
  `${pour.pattern?.rounds.length ?? 1} ${roundOf(pour).join(' ')}`;

const read = (braid: string): { readonly rounds: number; readonly pots: readonly string[] } => {
  const [rounds, ...pots] = braid.split(' ');
  return { rounds: Number(rounds), pots };
};

export const braidWords = (braid: string): string => {
  const { rounds, pots } = read(braid);
  return `${rounds} ${rounds === 1 ? 'round' : 'rounds'} of ${pots.length}`;
};

/**
 * Rounds are one thing: drops of one round on a thread, and how often; chosen, the braid opens and shows
 * every round.
 */
export function Braid({ braid, chosen }: { readonly braid: string; readonly chosen: boolean }) {
  const { plan } = useBench();
  const colours = useColours();
  const { rounds, pots } = read(braid);
  const shown = chosen ? Math.min(rounds, MOST_ROUNDS) : 1;
  const apart = chosen ? APART / 1.6 : pots.length > 8 ? CLOSED : APART;
  const wide = (pots.length - 1) * apart + 26;
  const width = shown * (wide + 10);
  return (
    <svg viewBox={`0 0 ${width} ${HIGH}`} className="h-16.5 max-sm:h-12 short:h-7.5" aria-hidden="true">
      {Array.from({ length: shown }, (_, r) => (
        <g key={r} transform={`translate(${r * (wide + 10) + 13} 0)`}>
          <path
            d={`M-8,0Q${((pots.length - 1) * apart) / 2},16 ${(pots.length - 1) * apart + 8},0`}
            fill="none"
            stroke="currentColor"
            strokeWidth={chosen ? 1.8 : 1}
          />
          {pots.map((id, i) => {
            const pot = plan.pots.find((p) => p.id === id);
            const colour = colours.pots.get(id) ?? NO_COLOUR;
            const y =
              8 - (8 * (2 * i - (pots.length - 1)) ** 2) / Math.max(1, pots.length - 1) ** 2 + (i % 2) * 8;
            return (
              <g key={i} transform={`translate(${i * apart} ${y})`}>
                <path
                  d="M0 0C.4 11 9.5 16 9.5 26a9.5 9.5 0 0 1-19 0C-9.5 16-.4 11 0 0Z"
                  fill={colour}
                  stroke={chosen ? 'var(--color-base-content)' : '#00000066'}
                />
                {(!chosen || apart > 16) && (
                  <text y="30" textAnchor="middle" fontSize="11" fontWeight="700" fill={inkOn(colour)}>
                    {pot?.letter}
                  </text>
                )}
              </g>
            );
          })}
          <text
            x={((pots.length - 1) * apart) / 2}
            y={HIGH - 3}
            textAnchor="middle"
            fontSize="11"
            fill="currentColor"
          >
            {chosen
              ? `${r + 1}${r === shown - 1 && rounds > shown ? ` of ${rounds}` : ''}`
              : rounds > 1
                ? `${rounds} times`
                : ''}
          </text>
        </g>
      ))}
    </svg>
  );
}
