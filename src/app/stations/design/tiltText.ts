import type { Tilt } from '../../../core/mould/tilt.ts';
import { formatShort } from '../../../core/units/format.ts';

/** "level", "tilted 10°, right edge up" */
export function tiltText({ rollDeg, pitchDeg }: Tilt): string {
  const edges = [
    ...(rollDeg === 0
      ? []
      : [`${formatShort(Math.abs(rollDeg), 1)}°, ${rollDeg > 0 ? 'right' : 'left'} edge up`]),
    ...(pitchDeg === 0
      ? []
      : [`${formatShort(Math.abs(pitchDeg), 1)}°, ${pitchDeg > 0 ? 'far' : 'near'} end up`]),
  ];
  return edges.length === 0 ? 'level' : `tilted ${edges.join(' and ')}`;
}
