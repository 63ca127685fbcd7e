import type { StepId } from '../../core/validate/ids.ts';
import { memo } from 'react';
import { potNamed } from '../../core/plan/sources.ts';
import type { ScaledLayer } from '../../core/weigh/scaled.ts';
import { roundsWord } from '../parts/roundsWord.ts';
import { useDrawn, useColours } from '../parts/usePlan.ts';
import { inkOn, NO_COLOUR } from '../parts/ink.ts';

interface CalloutsProps {
  readonly layers: readonly ScaledLayer[];
  /** where a layer's thread starts, px */
  readonly startOf: (layer: ScaledLayer) => { readonly x: number; readonly y: number };
  /** x of the labels, px */
  readonly left: number;
  readonly right: number;
  readonly height: number;
  readonly chosen: string | null;
  readonly onChoose: (stepId: StepId) => void;
}

/**
 * Spread wanted positions (rising) to be at least `gap` apart, as near to them as may be, inside [low, high].
 */
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

interface CalloutProps {
  readonly id: string;
  readonly letter: string;
  readonly name: string;
  readonly colour: string;
  readonly mass: string;
  readonly rise: string;
  /** where its thread starts and where it is named, px */
  readonly fromX: number;
  readonly fromY: number;
  readonly left: number;
  readonly right: number;
  readonly y: number;
  /** room from one to the next, px */
  readonly gap: number;
  readonly chosen: boolean;
  readonly onChoose: (stepId: StepId) => void;
}

/** One layer's name, in plain figures: what a drag does not change is not drawn again. */
const Callout = memo(function Callout(props: CalloutProps) {
  const { id, letter, name, colour, mass, rise, fromX, fromY, left, right, y, gap, chosen, onChoose } = props;
  const small = gap < 40;
  const text = left + 34;
  return (
    <g className="cursor-pointer" onClick={() => onChoose(id)}>
      <path
        d={`M${fromX},${fromY} C${fromX + 24},${fromY} ${left - 24},${y} ${left - 2},${y}`}
        fill="none"
        stroke="var(--color-base-content)"
        strokeWidth={chosen ? 1.8 : 0.8}
        opacity={chosen ? 1 : 0.45}
      />
      {/* on to its card, at the edge */}
      {chosen && <path d={`M${right - 3},${y}h60`} stroke="var(--color-base-content)" strokeWidth="1.8" />}
      {chosen && (
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
        {letter}
      </text>
      {small ? (
        <text x={text} y={y + 4.5} fontSize="13" fill="var(--color-base-content)">
          <tspan fontWeight="700">{mass}</tspan>
          <tspan dx="8" className="quiet" fill="currentColor">
            {rise}
          </tspan>
        </text>
      ) : (
        <>
          <text x={text} y={y - 4} fontSize="14" fill="var(--color-base-content)">
            {name.length > 19 && <title>{name}</title>}
            {name.length > 19 ? `${name.slice(0, 18)}…` : name}
          </text>
          <text x={text} y={y + 14} fontSize="14.5" fontWeight="700" fill="var(--color-base-content)">
            {mass}
          </text>
          <text
            x={right - 12}
            y={y + 14}
            fontSize="13"
            textAnchor="end"
            className="quiet"
            fill="currentColor"
          >
            {rise}
          </text>
        </>
      )}
    </g>
  );
});

/** Each layer named beside the drawing, tied to it by a thread. */
export function Callouts(props: CalloutsProps) {
  const { layers, startOf, left, right, height, chosen, onChoose } = props;
  const { plan, show } = useDrawn();
  const colours = useColours();
  const upDown = layers.toReversed();
  const starts = upDown.map(startOf);
  const gap = Math.min(54, (height - 40) / Math.max(1, layers.length));
  const ys = spread(
    starts.map((p) => p.y),
    gap,
    24,
    height - 24,
  );
  return (
    <g>
      {upDown.map((layer, i) => {
        const pot = potNamed(plan, layer.pots[0]?.id);
        const from = starts[i];
        if (!pot || !from) return null;
        return (
          <Callout
            key={layer.pour.id}
            id={layer.pour.id}
            letter={layer.pots.length > 1 ? `${layer.pots.length}` : pot.letter}
            name={layer.pots.length > 1 ? `pots, ${roundsWord(layer.pour)}` : pot.name}
            colour={colours.pours.get(layer.pour.id) ?? NO_COLOUR}
            mass={show.mass(layer.pouredG)}
            rise={show.length(layer.riseMm)}
            fromX={Math.round(from.x)}
            fromY={Math.round(from.y)}
            left={left}
            right={right}
            y={Math.round(ys[i] ?? 0)}
            gap={gap}
            chosen={layer.pour.id === chosen}
            onChoose={onChoose}
          />
        );
      })}
    </g>
  );
}
