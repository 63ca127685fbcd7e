import type { PouredLayer } from '../fill/layers.ts';
import { formatLength, type LengthUnit } from '../units/format.ts';

const SAME_MM = 0.05;

/** Where a surface stands, in words: "to 23 mm", or by the walls when it slopes. */
export function surfaceText(layer: PouredLayer, unit: LengthUnit): string {
  const mm = (x: number): string => formatLength(x, unit);
  const across = Math.abs(layer.leftMm - layer.rightMm) > SAME_MM;
  const along = Math.abs(layer.nearMm - layer.farMm) > SAME_MM;
  if (!across && !along) return `to ${mm(layer.leftMm)}`;
  if (!along) return `to ${mm(layer.leftMm)} on the left wall and ${mm(layer.rightMm)} on the right`;
  if (!across) return `to ${mm(layer.nearMm)} at the near end and ${mm(layer.farMm)} at the far end`;
  return `to ${mm(layer.leftMm)} left, ${mm(layer.rightMm)} right, ${mm(layer.nearMm)} near, ${mm(layer.farMm)} far (middles)`;
}
