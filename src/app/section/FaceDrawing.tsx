import { scaleFor, type FramedFace } from '../../core/face/framed.ts';
import { depositColours, type PlanColours } from '../../core/ombre/coloursOf.ts';
import { bandFill } from '../parts/ink.ts';
import { fitFace } from './frame.ts';
import { LayerShape } from './LayerShape.tsx';
import { Swirls } from './Swirls.tsx';

interface FaceDrawingProps {
  readonly face: FramedFace;
  readonly colours: PlanColours;
  /** from above: what is drawn over a layer hides a part of it */
  readonly top: boolean;
  readonly width: number;
  readonly height: number;
  /** px per mm, where several are drawn alike; as large as fits when absent */
  readonly scale?: number;
}

/** Lower than this there is no room for letters, px. */
const LETTERS_FROM = 120;

/** A cut or a top as large as fits, in the colours of its plan. */
export function FaceDrawing({ face, colours, top, width, height, scale }: FaceDrawingProps) {
  const [wide, high] = [width - 4, height - 4];
  const frame = fitFace(face, wide, high, scale ?? scaleFor(face, wide, high));
  return (
    <svg width={width} height={height} viewBox={`-2 -2 ${width} ${height}`} aria-hidden="true">
      {face.face.map((band, i) => (
        <LayerShape
          key={`${band.pourId} ${i}`}
          band={band}
          colour={bandFill(band, colours.pours.get(band.pourId))}
          frame={frame}
          chosen={false}
          bare={height < LETTERS_FROM || top || band.swirl !== undefined}
          lined={!top}
        />
      ))}
      <Swirls face={face.face} frame={frame} colours={depositColours(colours)} />
    </svg>
  );
}
