import type { FramedFace } from '../../core/face/framed.ts';
import { useColours } from '../parts/usePlan.ts';
import { FaceDrawing } from './FaceDrawing.tsx';

interface BarFaceProps {
  readonly face: FramedFace;
  readonly top: boolean;
  readonly width: number;
  readonly height: number;
  readonly scale?: number;
}

/** One side of a bar of the open plan as it will be cut. */
export function BarFace(props: BarFaceProps) {
  const colours = useColours();
  return <FaceDrawing colours={colours} {...props} />;
}
