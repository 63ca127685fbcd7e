import { matInView } from '../../core/mould/mat.ts';
import type { MouldGeometry } from '../../core/mould/geometry.ts';
import type { Mould } from '../../core/mould/schema.ts';
import type { View } from '../../core/mould/sectionView.ts';
import { pathOf, type Scale } from './frame.ts';

interface MatShapeProps {
  readonly mould: Mould;
  readonly floor: MouldGeometry['floor'];
  readonly view: View;
  readonly frame: Scale;
}

/** The texture mat on the floor where the loaf is cut; nothing where there is none. */
export const MatShape = ({ mould: { mat }, floor, view, frame }: MatShapeProps) =>
  mat ? (
    <path
      d={pathOf(matInView(mat, view, view === 'section' ? floor.width : floor.length), frame)}
      fill="var(--silicone)"
      stroke="var(--silicone-line)"
      strokeWidth="0.8"
      className="pointer-events-none"
    />
  ) : null;
