import type { Polyhedron } from '../geometry/polyhedron.ts';
import type { Vec3 } from '../geometry/vec.ts';
import type { Uneven } from './uneven.ts';

/** A point of the plan of a mould, mm: right of and beyond the middle of its floor. */
export type Spot = readonly [x: number, y: number];

/** Where batter comes from, in plan. */
export type Source =
  /** the whole surface: laid on top */
  | { readonly kind: 'level' }
  /** a line across the plan at this place of an axis; at or beyond a wall it is that wall */
  | { readonly kind: 'line'; readonly axis: 0 | 1; readonly at: number }
  /** both walls of an axis at once; `low` is the part poured down the left or near one */
  | { readonly kind: 'walls'; readonly axis: 0 | 1; readonly low: number }
  /**
   * down the sides of things that stand there, over each of them the same amount: by their outlines,
   * anticlockwise
   */
  | { readonly kind: 'outlines'; readonly outlines: readonly (readonly Spot[])[] }
  /** a stream let fall in one place */
  | { readonly kind: 'point'; readonly at: Spot }
  /**
   * close lines across an axis, the outermost half as far from the walls as from each other, that sink into
   * what lies below by so much at each line, mm
   */
  | {
      readonly kind: 'lines';
      readonly axis: 0 | 1;
      readonly spacingMm: number;
      readonly sinkMm: number;
    };

/** Batter of several colours that is laid as one: stirred together a little, or side by side in one jug. */
export interface Mixed {
  readonly how:
    | { readonly kind: 'stirred'; readonly turns: number }
    /** poured in wiggles so far apart, mm */
    | { readonly kind: 'wiggled'; readonly spacingMm: number };
  readonly parts: readonly { readonly deposit: number; readonly share: number }[];
}

/** What happens to a block of fluid batter, in order. */
export type Move =
  | {
      readonly does: 'rise';
      readonly source: Source;
      readonly volumeMm3: number;
      readonly plunge: number;
      /** how far below the new surface it reaches, mm; absent: to the floor of the block */
      readonly reachMm?: number;
      /** number of the deposit, by which it has its colour */
      readonly deposit: number;
      /** laid, of several deposits in place of that one */
      readonly mixed?: Mixed;
      /** laid on what is fluid: its border is rough by so much either way, mm */
      readonly roughMm?: number;
    }
  | {
      readonly does: 'stroke';
      /** the stick's way, mm in plan; pieces that are not joined are strokes of their own */
      readonly paths: readonly (readonly Spot[])[];
      /** how far round it batter is carried along, mm */
      readonly widthMm: number;
      /** how deep it goes below the surface, mm */
      readonly depthMm: number;
    }
  | {
      readonly does: 'wire';
      /** it is seen as a point in the section across this axis, and lies along the other one */
      readonly axis: 0 | 1;
      /** its way in that section: mm along the axis, and mm above the floor of the mould */
      readonly path: readonly Spot[];
      /** how far round it batter is carried along, mm */
      readonly widthMm: number;
      /** where it begins and ends along the other axis, mm */
      readonly from: number;
      readonly to: number;
    }
  /** something thin lies on all of the surface that there is: it takes no room, and is seen so thick, mm */
  | { readonly does: 'line'; readonly deposit: number; readonly mm: number }
  /** the columns are gone; their holes are filled in this order, each with its part of all of it */
  | {
      readonly does: 'fill';
      /** of all holes from their bottoms up, also where those are in what lies below this block */
      readonly holeMm3: number;
      /** from where to where the holes reach, mm square to the block's surface */
      readonly span: readonly [low: number, high: number];
      readonly parts: readonly {
        readonly deposit: number;
        readonly volumeMm3: number;
        readonly plunge: number;
      }[];
    };

/**
 * A block of batter that is fluid until something sets it: where it lies, and what was done in it. Can be
 * posted.
 */
export interface BlockSpec {
  /** alike for blocks that are alike */
  readonly key: string;
  /** all of it, a standing column's place among it */
  readonly region: Polyhedron;
  /** what columns keep out of it, in convex pieces */
  readonly blocked: readonly Polyhedron[];
  /** their outlines in plan, anticlockwise, each seen whole from inside */
  readonly columns: readonly (readonly Spot[])[];
  /** unit normal of its surface */
  readonly up: Vec3;
  readonly moves: readonly Move[];
  /** 0: as drawn; 1: as a hand does it */
  readonly hand: number;
}

/** Something that lies in a mould, told by the surface that it ends at. */
export interface Lying {
  /** unit normal of its surface, and its offset, mm */
  readonly up: Vec3;
  readonly offset: number;
  /** number of its deposit, or of the first of its block's */
  readonly first: number;
  readonly block?: BlockSpec;
}

/** A profile that was scraped, and what was laid over it, first poured first. */
export interface Cut extends Uneven {
  readonly lowest: number;
  readonly highest: number;
  /**
   * At even heights from the lowest to the highest place of the profile: how high what is open below would
   * reach if the ground were level, and how far the mould reaches there: along the axis from, to, and along
   * the other from, to; mm
   */
  readonly levels: readonly (readonly [to: number, low: number, high: number, near: number, far: number])[];
  readonly over: readonly Lying[];
  /** a thin line on it: number of its deposit, and how thick it is drawn, mm */
  readonly line?: { readonly deposit: number; readonly mm: number };
  /**
   * above what lies over it there is nothing; otherwise the last of it goes on upwards, until it is scraped
   * itself
   */
  readonly open: boolean;
}

/** Where layers that were scraped to a profile meet what lies over them. Can be posted. */
export interface ScrapedSpec {
  /** what lies below the first profile, as it was poured before it was scraped */
  readonly under: readonly [Lying, ...Lying[]];
  /** in the order they were scraped */
  readonly cuts: readonly Cut[];
}
