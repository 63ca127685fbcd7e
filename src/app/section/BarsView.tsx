import { ChevronLeft, ChevronRight } from 'lucide-react';
import { useState } from 'react';
import type { Bar } from '../../core/cut/bars.ts';
import { faceOfBar } from '../../core/face/face.ts';
import { NO_COLOUR } from '../parts/ink.ts';
import { useBench } from '../parts/usePlan.ts';
import { useSize } from '../parts/useSize.ts';
import { fitFrame } from './frame.ts';
import { LayerShape } from './LayerShape.tsx';

const NONE = { left: 4, right: 4, top: 4, bottom: 4 };

/** The face of one bar, its near side or its foot, as it will be cut. */
function BarFace({
  bar,
  width,
  height,
}: {
  readonly bar: Bar;
  readonly width: number;
  readonly height: number;
}) {
  const { computed, colours } = useBench();
  const { geometry, stack, fill } = computed;
  const { piece } = bar;
  const room = geometry.rooms[piece.room];
  // walls that lean make a bar wider at the rim than at the floor
  const lean = geometry.most.width / geometry.floor.width;
  const frame = fitFrame({
    wide: piece.widthMm * lean,
    high: piece.axis === 'z' ? piece.widthMm : Math.max(fill.heightMm, 10),
    wall: 0,
    width,
    height,
    margins: NONE,
  });
  return (
    <svg width={width} height={height} aria-hidden="true">
      {faceOfBar(
        stack.layers.filter((l) => l.room === room),
        bar,
      ).map((band) => (
        <LayerShape
          key={band.pourId}
          band={band}
          colour={colours.pours.get(band.pourId) ?? NO_COLOUR}
          frame={frame}
          chosen={false}
          bare={height < 100}
        />
      ))}
    </svg>
  );
}

/** Walk the bars, piece by piece, from the near end or the foot: a slope along the loaf makes every bar another. */
export function BarsView() {
  const { computed, show } = useBench();
  const [ref, { width, height }] = useSize<HTMLDivElement>();
  const [walked, setWalked] = useState(0);
  const { cut } = computed;
  const count = cut.bars.length;
  const now = Math.min(walked, count - 1);
  const bar = cut.bars[now];
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
          {cut.pieces.length > 1 && `, piece ${cut.pieces.indexOf(bar.piece) + 1}`}, ≈ {show.mass(bar.massG)}
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
      {width > 0 && <BarFace bar={bar} width={width - 40} height={Math.max(80, height - 160)} />}
      <ul className="flex max-w-full gap-1 overflow-x-auto pb-1">
        {cut.bars.map((b, i) => (
          <li key={i}>
            <button
              type="button"
              className={`cursor-pointer rounded-field border-2 ${i === now ? 'border-accent' : 'border-transparent'}`}
              aria-label={`Bar ${i + 1}`}
              aria-pressed={i === now}
              onClick={() => {
                setWalked(i);
              }}
            >
              <BarFace bar={b} width={50} height={44} />
            </button>
          </li>
        ))}
      </ul>
    </div>
  );
}
