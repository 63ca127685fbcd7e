import { remembered } from '../task/remembered.ts';
import { heightAt, type Ground } from './ground.ts';
import { lumpsAt, type Lumps } from './lumps.ts';
import { scattered, type Covers } from './scatter.ts';

/** Pressed into a surface: hollow paraboloids; what they push aside raises all of it evenly. */
export interface Dents {
  readonly raisedMm: number;
  readonly hollows: readonly (Covers & { readonly deepMm: number })[];
}

/**
 * A surface that is no plane: its ground along an axis, with heaps on it and hollows in it; mm above the
 * floor.
 */
export interface Uneven {
  readonly axis: 0 | 1;
  readonly ground: Ground;
  readonly lumps?: Lumps;
  readonly dents?: Dents;
}

type Hollow = Dents['hollows'][number];

const finderOf = remembered((dents: Dents): ((x: number, y: number) => readonly Hollow[]) =>
  scattered(dents.hollows),
);

function dentsAt(dents: Dents, x: number, y: number): number {
  let mm = dents.raisedMm;
  for (const { x: cx, y: cy, halfX, deepMm } of finderOf(dents)(x, y)) {
    const u = ((x - cx) ** 2 + (y - cy) ** 2) / (halfX * halfX);
    if (u < 1) mm -= deepMm * (1 - u);
  }
  return mm;
}

/** The volume of one hollow, mm^3: a paraboloid's, half of the cylinder round it. */
export const hollowMm3 = ({ halfX, deepMm }: Hollow): number => (Math.PI * halfX * halfX * deepMm) / 2;

/** How high it is at a place, mm. */
export const unevenAt = ({ axis, ground, lumps, dents }: Uneven, x: number, y: number): number =>
  heightAt(ground, axis === 0 ? x : y) +
  (lumps ? lumpsAt(lumps, x, y) : 0) +
  (dents ? dentsAt(dents, x, y) : 0);
