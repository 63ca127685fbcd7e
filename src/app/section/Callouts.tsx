import type { PouredLayer } from '../../core/fill/layers.ts';
import { usePlan } from '../parts/usePlan.ts';
import { inkOn } from '../parts/ink.ts';
import type { Frame } from './frame.ts';

interface CalloutsProps {
  readonly layers: readonly PouredLayer[];
  readonly frame: Frame;
  /** x of the right outer wall and of the labels, px */
  readonly wallX: number;
  readonly left: number;
  readonly right: number;
  readonly height: number;
  readonly chosen: string | null;
  readonly onChoose: (stepId: string) => void;
}

/** Spread wanted positions so that neighbours are at least `gap` apart, inside [low, high]; order kept. */
export function spread(wanted: readonly number[], gap: number, low: number, high: number): number[] {
  const placed: number[] = [];
  for (const w of wanted) placed.push(Math.max(w, (placed.at(-1) ?? low - gap) + gap));
  let limit = high;
  for (let i = placed.length - 1; i >= 0; i -= 1) {
    placed[i] = Math.min(placed[i] ?? 0, limit);
    limit = (placed[i] ?? 0) - gap;
  }
  return placed;
}

/** Each layer named beside the drawing, tied to it by a thread. */
export function Callouts(props: CalloutsProps) {
  const { layers, frame, wallX, left, right, height, chosen, onChoose } = props;
  const { plan, show } = usePlan();
  const upDown = layers.toReversed();
  const gap = Math.min(54, (height - 40) / Math.max(1, layers.length));
  const small = gap < 40;
  const at = (l: PouredLayer): number => frame.y(l.rightMm - Math.min(l.riseMm, l.rightMm) / 2);
  const ys = spread(upDown.map(at), gap, 24, height - 24);
  return (
    <g>
      {upDown.map((layer, i) => {
        const pot = plan.pots.find((p) => p.id === layer.pour.pot);
        if (!pot) return null;
        const y = ys[i] ?? 0;
        const from = at(layer);
        const isChosen = layer.pour.id === chosen;
        const text = left + 34;
        return (
          <g
            key={layer.pour.id}
            className="cursor-pointer"
            onClick={() => {
              onChoose(layer.pour.id);
            }}
          >
            <path
              d={`M${wallX},${from} C${wallX + 24},${from} ${left - 24},${y} ${left - 2},${y}`}
              fill="none"
              stroke="var(--color-base-content)"
              strokeWidth={isChosen ? 1.8 : 0.8}
              opacity={isChosen ? 1 : 0.45}
            />
            {isChosen && (
              <rect
                x={left - 3}
                y={y - Math.min(23, gap / 2)}
                width={right - left}
                height={Math.min(46, gap)}
                rx="9"
                fill="var(--color-base-100)"
                stroke="var(--color-base-content)"
                strokeWidth="1.4"
              />
            )}
            <circle cx={left + 15} cy={y} r={small ? 9 : 12} fill={pot.colour} stroke="#00000055" />
            <text
              x={left + 15}
              y={y + (small ? 4 : 4.5)}
              textAnchor="middle"
              fontSize={small ? 10 : 12.5}
              fontWeight="700"
              fill={inkOn(pot.colour)}
            >
              {pot.letter}
            </text>
            {small ? (
              <text x={text} y={y + 4.5} fontSize="13" fill="var(--color-base-content)">
                <tspan fontWeight="700">{show.mass(layer.massG)}</tspan>
                <tspan dx="8" className="quiet" fill="currentColor">
                  {show.length(layer.riseMm)}
                </tspan>
              </text>
            ) : (
              <>
                <text x={text} y={y - 4} fontSize="14" fill="var(--color-base-content)">
                  {pot.name.length > 19 ? `${pot.name.slice(0, 18)}…` : pot.name}
                </text>
                <text x={text} y={y + 14} fontSize="14.5" fontWeight="700" fill="var(--color-base-content)">
                  {show.mass(layer.massG)}
                </text>
                <text
                  x={right - 12}
                  y={y + 14}
                  fontSize="13"
                  textAnchor="end"
                  className="quiet"
                  fill="currentColor"
                >
                  {show.length(layer.riseMm)}
                </text>
              </>
            )}
          </g>
        );
      })}
    </g>
  );
}
