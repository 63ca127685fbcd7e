import { mouldId } from '../validate/ids.ts';
import * as v from 'valibot';
import { mouldSchema } from '../mould/schema.ts';
import { lengthMm, listOf, name } from '../validate/fields.ts';

export const MOST_COPIES = 48;

/** So many moulds filled alike. */
export const copies = v.pipe(
  v.number(),
  v.integer('whole moulds are wanted'),
  v.minValue(1),
  v.maxValue(MOST_COPIES),
);

export const toHeadspace = v.strictObject({
  /** filled to this far below the rim */
  kind: v.literal('headspace'),
  headspaceMm: lengthMm(0, 500),
});

export const toHeight = v.strictObject({
  /** filled to this height above the lined floor */
  kind: v.literal('height'),
  heightMm: lengthMm(1, 600),
});

/**
 * Otherwise than straight across: into blocks one bar long first, and each of these into slices as thick as a
 * bar, parallel to the floor or upright along the loaf. What is left of the length is cut across.
 */
const way = v.strictObject({
  by: v.picklist(['floor', 'lengthwise']),
  longMm: lengthMm(10, 600),
});

/** Straight across the loaf, lengths along y in mm; a slab is also cut into strips across its width. */
export const cutSchema = v.strictObject({
  /** straight across when absent */
  way: v.optional(way),
  /**
   * the loaf lies on its side while it is cut across, so that what lies in it or on it does not drag through
   * the faces
   */
  onSide: v.optional(v.literal(true)),
  strips: v.pipe(v.number(), v.integer('whole strips are wanted'), v.minValue(1), v.maxValue(20)),
  thicknessMm: lengthMm(5, 300),
  kerfMm: lengthMm(0, 10),
  trimStartMm: lengthMm(0, 200),
  trimEndMm: lengthMm(0, 200),
  /** planed off the dull faces that lay against the mould, once the bars are cut; nothing when absent */
  planeMm: v.optional(lengthMm(0.1, 5)),
  /** cut with slots or wires at an even distance, in a cutter that takes pieces no longer than this */
  cutter: v.optional(
    v.strictObject({ name: name(60), pitchMm: lengthMm(2, 200), longestMm: lengthMm(20, 2000) }),
  ),
  /**
   * pieces lying on top that no cut should meet: where their middles are from the near end, and how long they
   * are
   */
  onTop: v.optional(
    v.strictObject({
      atMm: listOf(lengthMm(0, 2000), 60, 'at most 60 pieces', 1, 'a place is wanted'),
      longMm: lengthMm(1, 200),
    }),
  ),
});

/** Another mould that is filled from the same batch. */
export const otherMouldSchema = v.strictObject({
  id: mouldId,
  mould: mouldSchema,
  copies,
  to: v.variant('kind', [
    toHeadspace,
    toHeight,
    /** whatever a batch of given size leaves for it */
    v.strictObject({ kind: v.literal('left') }),
  ]),
  /**
   * `as-first`: every pour of the first mould goes into this one too, in the same proportions and at the same
   * tilt. `own`: the steps that name this mould.
   */
  design: v.picklist(['as-first', 'own']),
  cut: cutSchema,
});

export type OtherMould = v.InferOutput<typeof otherMouldSchema>;
