export type Turns = 'none' | 'restart' | 'reverse';

/** How high the layers before and after the turn stand, of four: from the first colour to the last. */
const HEIGHTS: Readonly<Record<Turns, readonly number[]>> = {
  none: [1, 2, 3, 4],
  restart: [1, 3, 1, 3],
  reverse: [1, 3, 4, 2],
};

/** Four layers as bars, as deep as they are high: an ombre that goes on, begins anew, or goes back. */
export const TurnDrawing = ({ turn }: { readonly turn: Turns }) => (
  <svg viewBox="0 0 22 16" className="h-4 w-5.5 shrink-0" aria-hidden="true">
    {HEIGHTS[turn].map((h, i) => (
      <rect
        key={i}
        x={i * 5.6}
        y={16 - h * 4}
        width="4.6"
        height={h * 4}
        fill="currentColor"
        opacity={0.25 + h * 0.18}
      />
    ))}
  </svg>
);
