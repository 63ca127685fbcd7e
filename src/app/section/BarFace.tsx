import type { SingleBar } from '../../core/cut/singleBars.ts';
import type { Side } from '../../core/face/barFaces.ts';
import { NO_COLOUR } from '../parts/ink.ts';
import { useBench } from '../parts/usePlan.ts';
import { fitFace, scaleFor } from './frame.ts';
import { LayerShape } from './LayerShape.tsx';
import { sideIn } from './sideIn.ts';

interface BarFaceProps {
  readonly bar: SingleBar;
  readonly side: Side;
  readonly width: number;
  readonly height: number;
  /** px per mm, where several are drawn alike; as large as fits when absent */
  readonly scale?: number;
}

/** Lower than this there is no room for letters, px. */
const LETTERS_FROM = 120;

/** One side of a bar as it will be cut, as large as fits. */
export function BarFace({ bar, side, width, height, scale }: BarFaceProps) {
  const { computed, colours } = useBench();
  const shown = sideIn(computed, bar, side);
  const [wide, high] = [width - 4, height - 4];
  const frame = fitFace(shown, wide, high, scale ?? scaleFor(shown, wide, high));
  return (
    <svg width={width} height={height} viewBox={`-2 -2 ${width} ${height}`} aria-hidden="true">
      {shown.face.map((band, i) => (
        <LayerShape
          key={`${band.pourId} ${i}`}
          band={band}
          colour={colours.pours.get(band.pourId) ?? NO_COLOUR}
          frame={frame}
          chosen={false}
          bare={height < LETTERS_FROM || side === 'top'}
          lined={side !== 'top'}
        />
      ))}
    </svg>
  );
}
