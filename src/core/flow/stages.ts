import type { Box } from './box.ts';
import type { Field } from './field.ts';
import type { Levels } from './levels.ts';
import type { Edges } from './outline.ts';
import type { Shares } from './shares.ts';
import type { BlockSpec, Spot } from './spec.ts';
import type { Warp } from './stroke.ts';

/** Pours one after another from one source, the newest first. */
export interface Run {
  readonly kind: 'run';
  readonly deposits: readonly number[];
  /** by level and pour: what of the area still lies beyond, once this pour and all newer ones are in; COUNT x pours */
  readonly beyond: Float64Array;
  readonly from: From;
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
  /** within the column's outline */
  | { readonly kind: 'hole'; readonly edges: Edges; readonly middle: Spot; readonly box: Box };

export interface Drawn {
  readonly kind: 'drawn';
  readonly warp: Warp;
  /** by level: 1 where the stick went, 0 below it */
  readonly part: Float64Array;
}

export type Stage = Run | Drawn;

/** A block made ready: any number of faces can be read off it. */
export interface Prepared {
  readonly spec: BlockSpec;
  readonly levels: Levels;
  /** last first, as a place is pulled back */
  readonly stages: readonly Stage[];
}
