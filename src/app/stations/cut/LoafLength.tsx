import { viewPolygon } from '../../../core/mould/sectionView.ts';
import { usePlan } from '../../parts/usePlan.ts';
import { useSize } from '../../parts/useSize.ts';

const HEIGHT = 168;
const PAD = 14;

/** The loaf from the side with its cuts, what is trimmed or left over set pale. */
export function LoafLength() {
  const { plan, computed, colours, show } = usePlan();
  const [ref, { width }] = useSize<HTMLDivElement>();
  const { cut, stack, geometry } = computed;
  const long = geometry.most.length;
  const scale = Math.min((width - 2 * PAD) / long, (HEIGHT - 46) / geometry.heightMm);
  const x = (mm: number): number => width / 2 + (mm - cut.loafMm / 2) * scale;
  const y = (z: number): number => HEIGHT - 30 - z * scale;
  const top = y(computed.fill.heightMm);
  const cuts = cut.bars.flatMap((b) => [b.startMm, b.endMm]);
  const last = cut.bars.at(-1)?.endMm ?? plan.cut.trimStartMm;
  const offcuts = [
    [0, plan.cut.trimStartMm],
    [last, cut.loafMm],
  ] as const;
  return (
    <div ref={ref}>
      {width > 0 && (
        <svg
          width={width}
          height={HEIGHT}
          role="img"
          aria-label={`The loaf from the side: ${cut.bars.length} bars along it`}
        >
          {stack.layers.map((layer) => (
            <path
              key={layer.pour.id}
              d={`M${viewPolygon(layer.solid, 'side')
                .map((p) => `${x(p.h + cut.loafMm / 2)},${y(p.z)}`)
                .join('L')}Z`}
              fill={colours.pours.get(layer.pour.id)}
              stroke="#1c272755"
              strokeWidth="0.6"
            />
          ))}
          {offcuts.map(([from, to]) => (
            <rect
              key={from}
              x={x(from)}
              y={top - 1}
              width={Math.max(0, x(to) - x(from))}
              height={y(0) - top + 2}
              fill="var(--color-base-100)"
              opacity="0.72"
            />
          ))}
          {cuts.map((mm) => (
            <path
              key={mm}
              d={`M${x(mm)},${top - 9}V${y(0) + 5}`}
              stroke="var(--color-base-content)"
              strokeWidth="1.1"
            />
          ))}
          {cut.bars.map((b, i) => (
            <text
              key={b.startMm}
              x={x((b.startMm + b.endMm) / 2)}
              y={y(0) + 20}
              textAnchor="middle"
              fontSize="12.5"
              fill="var(--color-base-content)"
            >
              {i + 1}
            </text>
          ))}
          {cut.remainderMm > 1 && (
            <text
              x={x(cut.loafMm - plan.cut.trimEndMm - cut.remainderMm / 2)}
              y={top - 14}
              textAnchor="middle"
              fontSize="12"
              fill="var(--color-accent)"
            >
              {show.length(cut.remainderMm)} over
            </text>
          )}
        </svg>
      )}
    </div>
  );
}
