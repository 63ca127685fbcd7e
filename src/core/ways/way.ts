import type * as v from 'valibot';
import type { Box } from '../flow/box.ts';
import type { Mixed, Source } from '../flow/spec.ts';
import type { Column } from '../mould/schema.ts';
import type { WarningCode } from '../result/warningCodes.ts';
import type { Landing } from '../setting/landing.ts';
import type { StageWindow } from '../setting/window.ts';
import type { Millimetres, Percent, Stage } from '../units/quantity.ts';
import type { PotId } from '../validate/ids.ts';
import type { FromAbove } from './fromAbove.ts';

/**
 * What a maker is told of a way of pouring, or of a tool: what it is called, what it needs and how it usually
 * fails. Common practice, no source.
 */
export interface KnowHow {
  readonly name: string;
  readonly says: string;
  readonly needs: string;
  readonly fails: string;
}

/** The surface that a pour goes in at, in plan, and what it does there. */
export interface Surface {
  readonly box: Box;
  /** that stand there, in its way */
  readonly columns: readonly Column[];
  /** how deep a line of it sinks into what lies below */
  readonly sinkMm: Millimetres;
}

/** What a pour is told by, beside its place. */
export interface Told {
  /** how many columns it goes over, and which it is, from 1, where it is one of several */
  readonly over?: { readonly count: number; readonly nth?: number };
  /** lines and places that it goes in at */
  readonly above?: FromAbove;
  /** a length in the plan's units */
  readonly length: (mm: Millimetres) => string;
}

/** What a pour is judged by, beside its place. */
export interface Scene {
  /** from the middle to the walls, across and along */
  readonly halfMm: { readonly across: Millimetres; readonly along: Millimetres };
  readonly isInside: (xMm: Millimetres, yMm: Millimetres) => boolean;
  readonly columns: {
    /** in the mould */
    readonly standing: number;
    /** in the room that it is poured into */
    readonly inRoom: readonly Column[];
    /** it goes round one of them */
    readonly reached: boolean;
    readonly onDivider: (column: Column) => boolean;
  };
  readonly pots: readonly { readonly id: PotId; readonly letter: string; readonly stage: Stage }[];
  /** how deep a line of a pot of that stage sinks, and the stage at which it sinks just so deep */
  readonly sinkOf: (stage: Stage) => Millimetres;
  readonly stageToSink: (sinkMm: Millimetres) => Stage;
  /** how deep what lies fluid below it is */
  readonly fluidMm: Millimetres;
  readonly length: (mm: Millimetres) => string;
}

/**
 * What would put a fault right: another place, a column stood in the mould, or some pots at another
 * thickness.
 */
export type WayRemedy<P> =
  | { readonly label: string; readonly place: P }
  | { readonly label: string; readonly stand: 'column' }
  | { readonly stage: Stage; readonly pots: readonly PotId[] };

/** What is wrong with a pour where it goes in. */
export interface WayFault<P> {
  readonly code: WarningCode;
  readonly level: 'refuse' | 'warn';
  readonly message: string;
  readonly remedies?: readonly WayRemedy<P>[];
}

/**
 * A way of pouring that pushes what is fluid aside, or that is mixed in its jug: all there is to know of it.
 * `P` is what a plan says of where it goes in.
 */
export interface Way<P> {
  readonly know: KnowHow;
  /** where it goes in before it is told otherwise */
  readonly first: P;
  /**
   * how it begins to be poured. What runs down a column or a wall lands low: 1 cm in effect (common practice,
   * no source)
   */
  readonly landing: Landing;
  /** in so many rounds it begins */
  readonly rounds: number;
  /** it begins with one pot alone, not with all there are */
  readonly onePot?: true;
  /** it wants a column in the mould */
  readonly column?: true;
  /** how thick its pots may be; `fallMm`: how high its jug is held, in effect */
  readonly window: (fallMm: Millimetres) => StageWindow;
  /** how deep it goes is a matter of how high the jug is held */
  readonly byHeight?: true;
  /** each of its lines sinks in by itself */
  readonly asLines?: true;
  /** all its pots are in one jug before they are poured, mixed so */
  readonly inOneJug?: (place: P) => Mixed['how'];
  /** of one pot, out of two jugs at once: so much of it in the first */
  readonly firstJugPercent?: (place: P) => Percent;
  /**
   * where each drop of a round comes from, in order: streams in several places are dealt to the pots in turn
   */
  readonly sources: (place: P, surface: Surface) => readonly Source[];
  /** how far below the surface it reaches; undefined: to the floor */
  readonly reachMm?: (place: P) => Millimetres | undefined;
  /** lines and places that it goes in at, where its words do not say it all */
  readonly fromAbove?: (place: P, floor: Box) => FromAbove;
  /** where it goes in, in words */
  readonly text: (place: P, told: Told) => string;
  readonly faults?: (place: P, scene: Scene) => readonly WayFault<P>[];
}

/** A way with the schema of what a plan says of it. */
export const way = <S extends v.GenericSchema>(
  schema: S,
  of: Way<v.InferOutput<S>>,
): Way<v.InferOutput<S>> & { readonly schema: S } => ({ schema, ...of });

/** Thin to light, and spread by itself. Read off jobs that came out; common practice, no source. */
export const SPREADS = (): StageWindow => ({ least: 0.2, most: 1.4 });
