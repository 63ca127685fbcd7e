import { ChevronLeft, ChevronRight } from 'lucide-react';
import { useState } from 'react';
import { viewPolygon } from '../../core/mould/sectionView.ts';
import { barMassG } from '../../core/cut/bars.ts';
import { totalHeldBack } from '../../core/plan/pours.ts';
import { NO_COLOUR } from '../parts/ink.ts';
import { usePlan } from '../parts/usePlan.ts';
import { useSize } from '../parts/useSize.ts';
import { fitFrame } from './frame.ts';
import { LayerShape } from './LayerShape.tsx';

const NONE = { left: 4, right: 4, top: 4, bottom: 4 };

/** The face of one bar, its near side, as it will be cut. */
function BarFace({
  at,
  width,
  height,
}: {
  readonly at: number;
  readonly width: number;
  readonly height: number;
}) {
  const { plan, computed, colours } = usePlan();
  const { geometry, stack, fill } = computed;
  const frame = fitFrame({
    wide: geometry.most.width,
    high: Math.max(fill.heightMm, 10),
    wall: 0,
    width,
    height,
    margins: NONE,
  });
  return (
    <svg width={width} height={height} aria-hidden="true">
      {stack.layers.map((layer) => {
        const pot = plan.pots.find((p) => p.id === layer.pour.pot);
        return (
          pot && (
            <LayerShape
              key={layer.pour.id}
              polygon={viewPolygon(layer.solid, 'section', at)}
              pot={pot}
              colour={colours.pours.get(layer.pour.id) ?? NO_COLOUR}
              frame={frame}
              chosen={false}
              bare={height < 100}
            />
          )
        );
      })}
    </svg>
  );
}

/** Walk the bars from the near end to the far end: a slope along the loaf makes every bar another. */
export function BarsView() {
  const { plan, computed, show } = usePlan();
  const [ref, { width, height }] = useSize<HTMLDivElement>();
  const [walked, setWalked] = useState(0);
  const { cut, densityGMl } = computed;
  const count = cut.bars.length;
  const now = Math.min(walked, count - 1);
  const bar = cut.bars[now];
  const faceAt = (i: number): number => (cut.bars[i]?.startMm ?? 0) + 0.01 - cut.loafMm / 2;
  if (!bar) return <p className="quiet p-8">There are no bars yet: see Cut.</p>;
  const step = (by: number): void => {
    setWalked(Math.min(count - 1, Math.max(0, now + by)));
  };
  return (
    <div ref={ref} className="flex min-h-0 flex-1 flex-col items-center gap-2 p-4">
      <div className="flex items-center gap-3">
        <button
          type="button"
          className="btn btn-sm"
          disabled={now === 0}
          onClick={() => step(-1)}
          aria-label="Bar before"
        >
          <ChevronLeft className="size-4" aria-hidden="true" />
        </button>
        <p role="status" className="min-w-52 text-center">
          <strong>
            Bar {now + 1} of {count}
          </strong>
          , ≈ {show.mass(barMassG(bar, cut, densityGMl, totalHeldBack(plan), plan.cut.strips))}
        </p>
        <button
          type="button"
          className="btn btn-sm"
          disabled={now === count - 1}
          onClick={() => step(1)}
          aria-label="Bar after"
        >
          <ChevronRight className="size-4" aria-hidden="true" />
        </button>
      </div>
      {width > 0 && <BarFace at={faceAt(now)} width={width - 40} height={Math.max(80, height - 160)} />}
      <ul className="flex max-w-full gap-1 overflow-x-auto pb-1">
        {cut.bars.map((b, i) => (
          <li key={b.startMm}>
            <button
              type="button"
              className={`cursor-pointer rounded-field border-2 ${i === now ? 'border-accent' : 'border-transparent'}`}
              aria-label={`Bar ${i + 1}`}
              aria-pressed={i === now}
              onClick={() => {
                setWalked(i);
              }}
            >
              <BarFace at={faceAt(i)} width={50} height={44} />
            </button>
          </li>
        ))}
      </ul>
    </div>
  );
}
