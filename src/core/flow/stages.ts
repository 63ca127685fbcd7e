import type { Blurred } from './blurred.ts';
import type { Field } from './field.ts';
import type { Heights } from './heights.ts';
import type { Levels } from './levels.ts';
import type { Star } from './outline.ts';
import type { Shares } from './shares.ts';
import type { Texture } from './texture.ts';
import type { BlockSpec } from './spec.ts';
import type { Warp } from './stroke.ts';

/** Pours one after another from one source, the newest first. */
export interface Run {
  readonly kind: 'run';
  readonly deposits: readonly number[];
  /**
   * by level and pour: what of the area still lies beyond, once this pour and all newer ones are in; COUNT x
   * pours. From everywhere: what of the level lies below
   */
  readonly beyond: Float64Array;
  readonly from: From;
  /** its one pour is of several colours */
  readonly texture?: Texture;
}

/** How far a run's batter has come, read off a place. */
export type From =
  | { readonly kind: 'everywhere' }
  | {
      readonly kind: 'line';
      readonly axis: 0 | 1;
      /** by level: the area before a place of the axis; undefined where that is its part of the box */
      readonly areas: readonly (Shares | undefined)[];
      /** by level and pour: the line's place, as the part of the area before it */
      readonly at: Float64Array;
      /** it keeps its place for all pours of each level */
      readonly steady: boolean;
      /** number of the level that each level was before all these pours */
      readonly was: Uint16Array;
    }
  | {
      readonly kind: 'walls';
      readonly axis: 0 | 1;
      readonly areas: readonly (Shares | undefined)[];
      readonly low: number;
      readonly was: Uint16Array;
    }
  | {
      readonly kind: 'field';
      readonly field: Field;
      /** `beyond` of the run, as values of the field: what is compared for every pixel */
      readonly values: Float64Array;
    }
  /** within a column's outline */
  | { readonly kind: 'hole'; readonly column: Star };

export interface Drawn {
  readonly kind: 'drawn';
  readonly warp: Warp;
  /** by level: 1 where the stick went, 0 below it */
  readonly part: Float64Array;
}

/**
 * In the section across an axis: what was below comes up and what was above goes down, at most of a mould's
 * length.
 */
export interface Section extends Heights {
  readonly kind: 'section';
  readonly axis: 0 | 1;
  /** beyond these of the other axis nothing moves, mm */
  readonly from: number;
  readonly to: number;
  /** of a place of the axis and a height */
  readonly warp: Warp;
}

export type Stage = Run | Drawn | Section | Blurred;

/** A block made ready: any number of faces can be read off it. */
export interface Prepared {
  readonly spec: BlockSpec;
  readonly levels: Levels;
  /** last first, as a place is pulled back */
  readonly stages: readonly Stage[];
}
