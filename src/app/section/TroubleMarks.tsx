import type { Trouble } from '../../core/clock/timetable.ts';
import type { PouredLayer } from '../../core/fill/layers.ts';
import { surfaceAcross, viewPolygon, type View } from '../../core/mould/sectionView.ts';
import { selectComputed } from '../../store/computed.ts';
import { useAppSelector } from '../../store/store.ts';
import type { Frame } from './frame.ts';

interface TroubleMarksProps {
  readonly layers: readonly PouredLayer[];
  readonly view: View;
  /** where the loaf is cut for this view, mm */
  readonly at: number;
  readonly frame: Frame;
}

/** px */
const TOOTH = 11;

const WORDS: Readonly<Record<Trouble, string>> = {
  breaks: 'breaks through',
  tooThick: 'too thick',
  tooThin: 'too thin',
  setAlready: 'set by then',
};

/** Where a layer would break through into the one below, or lie lumpy, as the pours are timed. */
export function TroubleMarks({ layers, view, at, frame }: TroubleMarksProps) {
  const clock = useAppSelector(selectComputed)?.clock;
  if (!clock) return null;
  return layers.flatMap((layer, i) => {
    const timed = clock.acts.find((a) => a.about.step?.id === layer.pour.id && a.act.does === 'pour');
    const [trouble] = timed?.troubles ?? [];
    const under = layers.slice(0, i).findLast((l) => l.room === layer.room);
    // a breakthrough is where it meets what lies below, everything else on its own surface
    const on = trouble === 'breaks' && under ? under : layer;
    const ends = trouble && surfaceAcross(viewPolygon(on.space, view, at), view, on.up, on.offset, at);
    if (!trouble || !ends) return [];
    const [x0, x1, y0, y1] = [frame.x(ends[0].h), frame.x(ends[1].h), frame.y(ends[0].z), frame.y(ends[1].z)];
    const teeth = Math.max(2, Math.round(Math.hypot(x1 - x0, y1 - y0) / TOOTH));
    const points = Array.from({ length: teeth + 1 }, (_, k) => {
      const share = k / teeth;
      const down = trouble === 'breaks' ? (k % 2) * 9 : (k % 2) * -5;
      return `${(x0 + (x1 - x0) * share).toFixed(1)},${(y0 + (y1 - y0) * share + down).toFixed(1)}`;
    });
    return [
      <g key={layer.pour.id} className="pointer-events-none">
        <path d={`M${points.join('L')}`} fill="none" stroke="var(--color-base-100)" strokeWidth="4.5" />
        <path d={`M${points.join('L')}`} fill="none" stroke="var(--color-error)" strokeWidth="2.2" />
        <text
          x={Math.min(x0, x1) + 8}
          y={(x0 < x1 ? y0 : y1) + (trouble === 'breaks' ? -6 : 15)}
          fontSize="12.5"
          fontWeight="700"
          fill="var(--color-error)"
          stroke="var(--color-base-100)"
          strokeWidth="4"
          paintOrder="stroke"
        >
          {WORDS[trouble]}
        </text>
      </g>,
    ];
  });
}
