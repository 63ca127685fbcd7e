import Module from 'manifold-3d';
import { corners } from '../src/core/geometry/polyhedron.ts';
import { mouldGeometry } from '../src/core/mould/geometry.ts';
import { stackPours, type WishedPour } from '../src/core/mould/stack.ts';
import { STARTER_MOULDS } from '../src/core/mould/starterMoulds.ts';
import { medianMs, ms, type Say } from './measure.ts';

/** Steps of bisection that give the reference the same 1e-9 of the mould's height. */
const BISECTIONS = 30;

/**
 * Twelve pours at changing tilts, every line solved from its volume: ours against the same job in
 * manifold-3d.
 */
export async function benchTilts(say: Say): Promise<void> {
  const mould = STARTER_MOULDS[1];
  if (!mould) throw new Error('no starter mould');
  const geometry = mouldGeometry(mould);
  const each = (geometry.rimVolumeMl * 0.85) / 12;
  const pours = Array.from({ length: 12 }, (_, i): WishedPour => ({
    tilt: { rollDeg: i % 2 === 0 ? 9 : -9, pitchDeg: i % 3 === 0 ? 4 : 0 },
    wish: { kind: 'volume', volumeMl: each },
  }));
  const ours = medianMs(() => stackPours(geometry.rooms[0], pours, 0));
  const { layers } = stackPours(geometry.rooms[0], pours, 0);

  const wasm = await Module();
  wasm.setup();
  const hull = corners(geometry.solid).map((p): [number, number, number] => [...p]);
  const reference = medianMs(() => {
    let space = wasm.Manifold.hull(hull);
    for (const layer of layers) {
      const up: [number, number, number] = [...layer.up];
      const down: [number, number, number] = [-up[0], -up[1], -up[2]];
      let low = -200;
      let high = 200;
      for (let i = 0; i < BISECTIONS; i += 1) {
        const middle = (low + high) / 2;
        const below = space.trimByPlane(down, -middle);
        if (below.volume() < layer.volumeMl * 1000) low = middle;
        else high = middle;
        below.delete();
      }
      const above = space.trimByPlane(up, (low + high) / 2);
      space.delete();
      space = above;
    }
    space.delete();
  }, 5);
  say('12 pours at changing tilts, all lines solved', ms(ours));
  say('the same in manifold-3d (bisection), times ours (aim: 20)', `${(reference / ours).toFixed(0)} x`);
}
