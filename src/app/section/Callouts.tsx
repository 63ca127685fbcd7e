import type { PouredLayer } from '../../core/fill/layers.ts';
import { usePlan } from '../parts/usePlan.ts';
import { inkOn, NO_COLOUR } from '../parts/ink.ts';

interface CalloutsProps {
  readonly layers: readonly PouredLayer[];
  /** where a layer's thread starts, px */
  readonly startOf: (layer: PouredLayer) => { readonly x: number; readonly y: number };
  /** x of the labels, px */
  readonly left: number;
  readonly right: number;
  readonly height: number;
  readonly chosen: string | null;
  readonly onChoose: (stepId: string) => void;
}

/** Spread wanted positions (rising) to be at least `gap` apart, as near to them as may be, inside [low, high]. */
function spread(wanted: readonly number[], gap: number, low: number, high: number): number[] {
  const mean = (list: readonly number[]): number =>
    list.reduce((a, b) => a + b, 0) / Math.max(1, list.length);
  const apart: number[] = [];
  for (const w of wanted) apart.push(Math.max(w, (apart.at(-1) ?? -Infinity) + gap));
  const shift = mean(wanted) - mean(apart);
  const centred = apart.map((y) => y + shift);
  const over = Math.max(0, (centred.at(-1) ?? 0) - high);
  const under = Math.max(0, low - ((centred[0] ?? low) - over));
  return centred.map((y) => y - over + under);
}

/** Each layer named beside the drawing, tied to it by a thread. */
export function Callouts(props: CalloutsProps) {
  const { layers, startOf, left, right, height, chosen, onChoose } = props;
  const { plan, colours, show } = usePlan();
  const upDown = layers.toReversed();
  const gap = Math.min(54, (height - 40) / Math.max(1, layers.length));
  const small = gap < 40;
  const ys = spread(
    upDown.map((l) => startOf(l).y),
    gap,
    24,
    height - 24,
  );
  return (
    <g>
      {upDown.map((layer, i) => {
        const pot = plan.pots.find((p) => p.id === layer.pour.pot);
        if (!pot) return null;
        const colour = colours.pours.get(layer.pour.id) ?? NO_COLOUR;
        const y = ys[i] ?? 0;
        const from = startOf(layer);
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
              d={`M${from.x},${from.y} C${from.x + 24},${from.y} ${left - 24},${y} ${left - 2},${y}`}
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
            <circle cx={left + 15} cy={y} r={small ? 9 : 12} fill={colour} stroke="#00000055" />
            <text
              x={left + 15}
              y={y + (small ? 4 : 4.5)}
              textAnchor="middle"
              fontSize={small ? 10 : 12.5}
              fontWeight="700"
              fill={inkOn(colour)}
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
