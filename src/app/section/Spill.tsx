import type { ViewPoint } from '../../core/mould/sectionView.ts';
import type { Frame } from './frame.ts';

type Ends = readonly [ViewPoint, ViewPoint];

/** The line that a tilted mould spills above. */
export function SpillLine({ ends: [a, b], frame }: { readonly ends: Ends; readonly frame: Frame }) {
  return (
    <path
      d={`M${frame.x(a.h)},${frame.y(a.z)}L${frame.x(b.h)},${frame.y(b.z)}`}
      stroke="var(--color-error)"
      strokeWidth="1.6"
      strokeDasharray="3 5"
      className="pointer-events-none"
    />
  );
}

interface SpillWordsProps {
  readonly ends: Ends;
  readonly frame: Frame;
  readonly leansLeft: boolean;
}

/** Its words, upright on the screen whatever the tilt. */
export function SpillWords({ ends, frame, leansLeft }: SpillWordsProps) {
  const at = frame.turned(ends[leansLeft ? 1 : 0]);
  return (
    <text
      x={at.x + (leansLeft ? -14 : 14)}
      y={at.y + 18}
      fontSize="13"
      textAnchor={leansLeft ? 'end' : 'start'}
      fill="var(--color-error)"
    >
      spills above this
    </text>
  );
}
