import type { MouldGeometry } from '../mould/geometry.ts';
import { wallPoint } from './wallPoints.ts';
import { surfaceAcross, viewPolygon } from '../mould/sectionView.ts';
import { stackPours, type Layer, type StackFault, type Wish } from '../mould/stack.ts';
import { poursOf } from '../plan/pours.ts';
import type { Plan } from '../plan/planSchema.ts';
import type { Amount, Pour } from '../plan/stepSchema.ts';
import type { Grams, Millilitres, Millimetres, Percent } from '../units/quantity.ts';

/** A pour as planned: where it lies and what it takes. */
export interface PouredLayer extends Layer {
  readonly pour: Pour;
  readonly massG: Grams;
  /** of the batter that goes into the mould */
  readonly sharePercent: Percent;
  /** height of the surface at the left and right wall at mid-length, and at the near and far end */
  readonly leftMm: Millimetres;
  readonly rightMm: Millimetres;
  readonly nearMm: Millimetres;
  readonly farMm: Millimetres;
}

export interface PouredStack {
  readonly layers: readonly PouredLayer[];
  readonly filledMl: Millilitres;
  readonly fault: StackFault | undefined;
}

const wishOf = (amount: Amount, geometry: MouldGeometry, fillMl: Millilitres, densityGMl: number): Wish => {
  switch (amount.kind) {
    case 'height':
      return amount;
    case 'rest':
      return amount;
    case 'mass':
      return { kind: 'volume', volumeMl: amount.massG / densityGMl };
    case 'line':
      return { kind: 'point', point: wallPoint(geometry, amount.wall, amount.heightMm) };
    case 'percent':
      return { kind: 'volume', volumeMl: (fillMl * amount.percent) / 100 };
  }
};

export function layPours(
  plan: Plan,
  geometry: MouldGeometry,
  fillMl: Millilitres,
  densityGMl: number,
): PouredStack {
  const pours = poursOf(plan);
  const stack = stackPours(
    geometry,
    pours.map(({ pour, tilt }) => ({ tilt, wish: wishOf(pour.amount, geometry, fillMl, densityGMl) })),
    fillMl,
  );
  const across = viewPolygon(geometry.solid, 'section');
  const along = viewPolygon(geometry.solid, 'side');
  const layers = stack.layers.map((layer, i): PouredLayer => {
    const wide = surfaceAcross(across, 'section', layer.up, layer.offset);
    const long = surfaceAcross(along, 'side', layer.up, layer.offset);
    const level = layer.offset / layer.up[2];
    return {
      ...layer,
      pour: (pours[i] as (typeof pours)[number]).pour,
      massG: layer.volumeMl * densityGMl,
      sharePercent: fillMl > 0 ? (layer.volumeMl / fillMl) * 100 : 0,
      leftMm: wide?.[0].z ?? level,
      rightMm: wide?.[1].z ?? level,
      nearMm: long?.[0].z ?? level,
      farMm: long?.[1].z ?? level,
    };
  });
  return { layers, filledMl: stack.filledMl, fault: stack.fault };
}
