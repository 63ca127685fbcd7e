import { useEffect, useMemo, useRef } from 'react';
import { onScreen, type Eye } from '../../core/face/facets.ts';
import type { LevelSheet } from '../../core/face/levels.ts';
import { painted } from '../../core/face/painted.ts';
import { useSeen } from '../parts/useSeen.ts';
import { useFacePicture } from './useFacePicture.ts';

interface LevelsProps {
  readonly sheet: LevelSheet;
  readonly colours: ReadonlyMap<string, string>;
  readonly eye: Eye;
  /** the loaf stands so high and is turned over; absent: as it was poured */
  readonly overMm: number | undefined;
  /** y >= keep stays, mm */
  readonly keep: number | undefined;
  /** px of a point of the screen in mm, and px a mm */
  readonly spot: (p: readonly [number, number]) => readonly [number, number];
  readonly scale: number;
  /** of the view, px */
  readonly width: number;
  readonly height: number;
}

/** One look at each pixel of a sheet is enough: columns of a top are known no closer. */
const SAMPLES = 1;

/** How light the lowest cut of a top is that has no light of its own. */
const DARKEST = 0.72;

/** px a mm on the sheet: what lies on a loaf has no finer detail. */
const SHEET_SCALE = 1.9;

/**
 * A top that is no plane as it is turned: its level cuts come on one sheet, once; each is drawn under one
 * affine map, the nearest last. Turning and cutting away draw them anew and ask for nothing.
 */
export function Levels(props: LevelsProps) {
  const { sheet, colours, eye, overMm, keep, spot, scale, width, height } = props;
  const canvas = useRef<HTMLCanvasElement>(null);
  const seen = useSeen(canvas);
  const across = Math.max(1, Math.round((sheet.face.right - sheet.face.left) * SHEET_SCALE));
  const up = Math.max(1, Math.round((sheet.face.head - sheet.face.foot) * SHEET_SCALE));
  const { raster, done } = useFacePicture(sheet.face, across, up, seen, SAMPLES);
  const picture = useMemo(() => {
    if (!raster) return undefined;
    const made = document.createElement('canvas');
    made.width = raster.width;
    made.height = raster.height;
    made
      .getContext('2d')
      ?.putImageData(new ImageData(painted(raster, colours), raster.width, raster.height), 0, 0);
    return made;
  }, [raster, colours]);
  useEffect(() => {
    const to = canvas.current?.getContext('2d');
    if (!to || !picture) return;
    to.setTransform(1, 0, 0, 1, 0, 0);
    to.clearRect(0, 0, width, height);
    const { place, way } = onScreen(eye, overMm);
    const px = picture.height / sheet.longMm;
    const [rx, ry] = way([1, 0, 0]);
    const [fx, fy] = way([0, 1, 0]);
    const each = scale / px;
    const far = sheet.y0 + sheet.longMm;
    const longPx = Math.max(0, Math.min(picture.height, (far - (keep ?? -Infinity)) * px));
    if (longPx < 1) return;
    for (const [i, { leftMm, z }] of sheet.levels.entries()) {
      // lower is darker, where nothing else tells a slope
      to.filter = sheet.isLit
        ? 'none'
        : `brightness(${DARKEST + ((1 - DARKEST) * (i + 0.5)) / sheet.levels.length})`;
      const [ex, ey] = spot(place([sheet.x0, far, z]));
      to.setTransform(rx * each, 0 - ry * each, 0 - fx * each, fy * each, ex, ey);
      const wide = sheet.wideMm * px;
      to.drawImage(picture, leftMm * px, 0, wide, longPx, 0, 0, wide, longPx);
    }
  });
  return (
    <foreignObject x="0" y="0" width={width} height={height} className="pointer-events-none">
      <canvas
        ref={canvas}
        width={width}
        height={height}
        data-swirl={!seen ? 'unseen' : !raster ? 'none' : done === undefined ? 'sharp' : 'coming'}
        className="block"
      />
    </foreignObject>
  );
}
