import { isOpen } from '../../core/pattern/body.ts';
import type { Mould } from '../../core/mould/schema.ts';
import type { Picture } from '../../core/face/picture.ts';
import { drawnWallMm, fitFrame, pathOf } from '../section/frame.ts';
import { bandFill } from '../parts/ink.ts';
import { Swirls } from '../section/Swirls.tsx';
import { downToMat } from '../../core/mould/mat.ts';
import { MatShape } from '../section/MatShape.tsx';
import { Walls } from '../section/Walls.tsx';

const MARGINS = { left: 10, right: 10, top: 14, bottom: 0 };

interface LoafThumbProps {
  readonly mould: Mould;
  /** undefined while it is worked out: its place is kept */
  readonly picture: Picture | undefined;
  readonly width: number;
  readonly height: number;
}

/** A plan drawn as its little loaf section. */
export function LoafThumb({ mould, picture, width, height }: LoafThumbProps) {
  if (!picture) return <span style={{ width, height }} />;
  const frame = fitFrame({
    wide: picture.wideMm,
    high: picture.highMm,
    wall: drawnWallMm(mould),
    under: mould.mat?.thicknessMm ?? 0,
    width,
    height,
    margins: MARGINS,
    stands: 'foot',
  });
  return (
    <svg width={width} height={height} viewBox={`0 0 ${width} ${height}`} aria-hidden="true">
      <Walls mould={mould} outline={downToMat(picture.inside, mould.mat)} frame={frame} />
      <MatShape
        mould={mould}
        floor={{ width: picture.wideMm, length: picture.wideMm }}
        view="section"
        frame={frame}
      />
      {picture.face.map((band, i) =>
        band.swirl && isOpen(band.swirl.content) ? null : (
          <path
            key={`${band.pourId} ${i}`}
            d={pathOf(band.outline, frame)}
            fill={bandFill(band, picture.colours.get(band.pourId))}
            stroke="#1c272766"
            strokeWidth="0.7"
          />
        ),
      )}
      <Swirls face={picture.face} frame={frame} colours={picture.colours} />
    </svg>
  );
}
