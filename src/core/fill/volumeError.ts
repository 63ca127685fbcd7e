import { clip } from '../geometry/clip.ts';
import { volumeOf } from '../geometry/volume.ts';
import { MM3_PER_ML } from '../mould/geometry.ts';
import type { Millilitres } from '../units/quantity.ts';
import type { PouredLayer } from './layers.ts';

/**
 * In against out: how far the body that is drawn of a layer is from the volume that was poured of it, ml, at
 * the worst of them. The volume is solved on the profile of what was open; the body is what the surface cuts
 * off, measured by itself (divergence theorem).
 */
export const volumeErrorMl = (layers: readonly PouredLayer[]): Millilitres =>
  layers.reduce((worst, { solid, blocked, up, offset, volumeMl }) => {
    const hole = blocked.reduce((sum, b) => sum + volumeOf(clip(b, { normal: up, offset }).below), 0);
    return Math.max(worst, Math.abs((volumeOf(solid) - hole) / MM3_PER_ML - volumeMl));
  }, 0);

/**
 * A body may differ from what was poured by this part of the mould's volume: the profile's cubics are solved
 * to a part in 10^9, and a hundred clips keep points to a part in 10^9 of the mould's size each.
 */
export const VOLUME_AGREES = 1e-6;
