import { useId } from 'react';
import { partAt, type Edge } from '../../../../core/flow/edge.ts';
import { REPEATED_EDGES } from '../../../../core/flow/edge.ts';
import { type RepeatedEdge } from '../../../../core/plan/scrapeSchema.ts';

export const EDGE_NAMES: Readonly<Record<RepeatedEdge | 'drawn', string>> = {
  waves: 'waves',
  teeth: 'teeth',
  grooves: 'grooves',
  ridges: 'ridges',
  notches: 'notches',
  drawn: 'drawn',
};

const WIDE = 56;
const HIGH = 26;
const ABOVE = 5;

/** The layer that an edge leaves, in little. */
function Leaves({ edge }: { readonly edge: Edge }) {
  const points = Array.from({ length: WIDE + 1 }, (_, x) => {
    const part = partAt(edge, x - WIDE / 2);
    return `${x},${(HIGH - ABOVE - part * (HIGH - 2 * ABOVE - 3)).toFixed(1)}`;
  }).join(' ');
  return (
    <svg width={WIDE} height={HIGH} viewBox={`0 0 ${WIDE} ${HIGH}`} aria-hidden="true">
      <polygon points={`0,${HIGH} ${points} ${WIDE},${HIGH}`} fill="currentColor" opacity="0.75" />
    </svg>
  );
}

/** An edge drawn by hand, as an example of one. */
const BY_HAND: Edge = {
  kind: 'drawn',
  points: [-28, -20, -12, -4, 4, 10, 20, 28].map((acrossMm, i) => ({
    acrossMm,
    part: [0.1, 0.9, 0.5, 1, 0.2, 0, 0.7, 0.4][i] ?? 0,
  })),
};

const exampleOf = (shape: RepeatedEdge | 'drawn'): Edge =>
  shape === 'drawn' ? BY_HAND : { kind: 'repeated', shape, pitchMm: 18, shiftMm: 0 };

interface EdgeShapesProps {
  readonly value: RepeatedEdge | 'drawn';
  readonly onChoose: (shape: RepeatedEdge | 'drawn') => void;
}

/** Which profile a scraper leaves, by its picture. */
export function EdgeShapes({ value, onChoose }: EdgeShapesProps) {
  const name = useId();
  return (
    <fieldset className="grid gap-1">
      <legend className="quiet mb-1 text-sm">It leaves</legend>
      <div className="grid grid-cols-3 gap-1.5">
        {[...REPEATED_EDGES, 'drawn' as const].map((shape) => (
          <label
            key={shape}
            className="relative grid cursor-pointer justify-items-center gap-0.5 rounded-field border border-base-300 px-1 py-1.5 text-sm has-checked:bg-primary has-checked:text-primary-content has-focus-visible:outline-2 has-focus-visible:outline-accent"
          >
            <input
              type="radio"
              className="sr-only"
              name={name}
              checked={shape === value}
              onChange={() => onChoose(shape)}
            />
            <Leaves edge={exampleOf(shape)} />
            {EDGE_NAMES[shape]}
          </label>
        ))}
      </div>
    </fieldset>
  );
}
