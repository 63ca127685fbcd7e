import { expect } from 'chai';
import { sectionAt } from '../../src/core/face/loafFaces.ts';
import { rasterise, type Ready } from '../../src/core/face/raster.ts';
import { holeVolumeMl } from '../../src/core/pattern/hole.ts';
import { noneReady, readyFrom } from '../../src/core/face/ready.ts';
import { seeded } from './random.ts';
import type { LaidMould } from '../../src/core/fill/laid.ts';

/**
 * What a mould's pictures show of every deposit, ml: so many cuts across it, each looked at in so many
 * samples a side.
 */
export function simulatedMl(
  laid: Pick<LaidMould, 'plan' | 'geometry' | 'stack' | 'fill'>,
  ready: Ready,
  cuts = 45,
  size = 90,
): ReadonlyMap<string, number> {
  const shown = new Map<string, number>();
  const { length } = laid.geometry.most;
  const random = seeded(5);
  for (let i = 0; i < cuts; i += 1) {
    const cut = sectionAt(laid, ((i + 0.5) / cuts) * length);
    const px = Math.max((cut.right - cut.left) / size, (cut.head - cut.foot) / size);
    // each cut's samples lie a little otherwise: a flat band is then not always seen by the same rows
    const face = { ...cut, foot: cut.foot - random() * 2 * px, right: cut.right + random() * 2 * px };
    const { band, pours } = rasterise(face, size, size, ready, 1);
    const scale = Math.min(size / (face.right - face.left), size / (face.head - face.foot));
    const each = length / cuts / scale ** 2 / 1000;
    for (const n of band) {
      const key = n === 0 ? undefined : pours[n - 1];
      if (key !== undefined) shown.set(key, (shown.get(key) ?? 0) + each);
    }
  }
  return shown;
}

/**
 * What was poured of every deposit, ml; the columns' holes apart. Where nothing is held back for them the
 * layer they were in runs in.
 */
export function pouredMl({ stack, plan }: Pick<LaidMould, 'stack' | 'plan'>): ReadonlyMap<string, number> {
  const runsIn = plan.fill.top.length === 0;
  const poured = new Map<string, number>();
  for (const layer of stack.layers)
    for (const part of layer.parts)
      poured.set(
        part.key,
        (poured.get(part.key) ?? 0) +
          (layer.volumeMl + (layer.pour.pattern || !runsIn ? 0 : holeVolumeMl([layer]))) * part.share,
      );
  return poured;
}

/** Every deposit's volume as it is shown, against what was poured, as parts of all there is. */
export function expectConserved(laid: LaidMould, within: number, what: string): void {
  const shown = simulatedMl(laid, readyFrom(noneReady()));
  const poured = pouredMl(laid);
  const all = [...poured.values()].reduce((a, b) => a + b, 0);
  for (const [key, ml] of poured)
    expect(Math.abs((shown.get(key) ?? 0) - ml) / all, `${what}: ${key}`).to.be.below(within);
}
