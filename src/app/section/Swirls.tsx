import { memo, useEffect, useMemo, useRef } from 'react';
import type { Band, Face } from '../../core/face/face.ts';
import type { FramedFace } from '../../core/face/framed.ts';
import { painted } from '../../core/face/painted.ts';
import { keyOf, type Content } from '../../core/pattern/body.ts';
import { digestOf } from '../../core/task/digest.ts';
import { remembered } from '../../core/task/remembered.ts';
import type { Scale } from './frame.ts';
import { useSeen } from '../parts/useSeen.ts';
import { useFacePicture } from './useFacePicture.ts';

/** What is seen of a band alone, in a frame as tight as can be. */
function framedBand(band: Band): FramedFace {
  const hs = band.outline.map((p) => p.h);
  const zs = band.outline.map((p) => p.z);
  return {
    face: [band],
    left: Math.min(...hs),
    right: Math.max(...hs),
    foot: Math.min(...zs),
    head: Math.max(...zs),
  };
}

/**
 * Its top left corner where it is, and as much to the right and below as makes whole pixels: so it fills its
 * picture at the scale of what is drawn round it.
 */
const inPixels = (
  { face, left, head }: FramedFace,
  width: number,
  height: number,
  scale: number,
): FramedFace => ({ face, left, right: left + width / scale, foot: head - height / scale, head });

/** A content by a short name: the same block out of other pots is another picture. */
const nameOf = remembered((content: Content) => digestOf(JSON.stringify([keyOf(content), content.keys])));

/** The same words for the same cut of the same block. */
const cutOf = ({ swirl, outline }: Band): string =>
  JSON.stringify([
    swirl && nameOf(swirl.content),
    swirl?.origin,
    swirl?.across,
    swirl?.up,
    swirl?.behind,
    outline,
  ]);

interface SwirlPictureProps {
  readonly band: Band;
  readonly colours: ReadonlyMap<string, string>;
  /** px */
  readonly width: number;
  readonly height: number;
  /** px a mm */
  readonly scale: number;
  /** with a fine line round what lies on a loaf */
  readonly edged: boolean;
}

/** Where there is room for it, px, it is said that a picture is coming. */
const SAID = { wide: 90, high: 14 } as const;

const stateOf = (seen: boolean, drawn: boolean, done: number | undefined): string =>
  !seen ? 'unseen' : !drawn ? 'none' : done === undefined ? 'sharp' : 'coming';

/**
 * The inside of a block where it is cut, as it is simulated. A change of colour paints it anew, nothing more.
 */
export const SwirlPicture = memo(function SwirlPicture({
  band,
  colours,
  width,
  height,
  scale,
  edged,
}: SwirlPictureProps) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const cut = cutOf(band);
  // eslint-disable-next-line react-hooks/exhaustive-deps -- the same cut of the same block is the same face
  const face = useMemo(() => inPixels(framedBand(band), width, height, scale), [cut, width, height, scale]);
  const seen = useSeen(canvas);
  const { raster, done } = useFacePicture(face, width, height, seen);
  useEffect(() => {
    const to = canvas.current;
    if (!to || !raster) return;
    to.width = raster.width;
    to.height = raster.height;
    to.getContext('2d')?.putImageData(
      new ImageData(painted(raster, colours), raster.width, raster.height),
      0,
      0,
    );
  }, [raster, colours]);
  return (
    <div className="relative size-full">
      <canvas
        ref={canvas}
        width={width}
        height={height}
        data-swirl={stateOf(seen, raster !== undefined, done)}
        className={`block size-full ${edged && band.swirl?.content.kind === 'heaped' ? 'edged' : ''}`}
      />
      {!raster && width > SAID.wide && height > SAID.high && (
        <span className="absolute inset-0 grid place-items-center text-[11px] italic text-[#1c2727]">
          picture is coming
        </span>
      )}
    </div>
  );
});

interface SwirlsProps {
  readonly face: Face;
  readonly frame: Scale;
  readonly colours: ReadonlyMap<string, string>;
  readonly edged?: boolean;
}

/** Over the plain shapes of a drawing: what is simulated of it. */
export const Swirls = ({ face, frame, colours, edged = true }: SwirlsProps) =>
  face.map((band, i) => {
    if (!band.swirl || band.outline.length < 3) return null;
    const { left, right, foot, head } = framedBand(band);
    const width = Math.max(1, Math.ceil((right - left) * frame.scale));
    const height = Math.max(1, Math.ceil((head - foot) * frame.scale));
    return (
      <foreignObject
        key={`${band.pourId} ${i}`}
        x={frame.x(left)}
        y={frame.y(head)}
        width={width}
        height={height}
        className="pointer-events-none"
      >
        <SwirlPicture
          band={band}
          colours={colours}
          width={width}
          height={height}
          scale={frame.scale}
          edged={edged}
        />
      </foreignObject>
    );
  });
