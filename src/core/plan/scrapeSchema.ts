import * as v from 'valibot';
import { REPEATED_EDGES } from '../flow/edge.ts';
import { lengthMm, listOf } from '../validate/fields.ts';
import { runsSchema } from '../mould/runs.ts';

/** How many points an edge drawn by hand may have. */
export const MOST_EDGE_POINTS = 400;

const partOf = (issue: { input: number }): string => `${issue.input} is outside 0 to 1`;

/**
 * The edge of a scraper, mm to the right of the middle (or beyond it) and, as a part of its relief, above its
 * lowest tip.
 */
const edgeSchema = v.variant('kind', [
  v.strictObject({
    kind: v.literal('repeated'),
    shape: v.picklist(REPEATED_EDGES),
    /** from tip to tip */
    pitchMm: lengthMm(3, 400),
    /** how far the first tip stands from the middle */
    shiftMm: lengthMm(-400, 400),
  }),
  v.strictObject({
    kind: v.literal('drawn'),
    points: listOf(
      v.strictObject({
        acrossMm: lengthMm(-1000, 1000),
        part: v.pipe(v.number(), v.minValue(0, partOf), v.maxValue(1, partOf)),
      }),
      MOST_EDGE_POINTS,
      `a scraper's edge has at most ${MOST_EDGE_POINTS} points`,
      2,
      "a scraper's edge has two points at least",
    ),
  }),
]);

/** The layer poured last is scraped to a profile once it is thick enough to keep it. */
export const scrapeFields = {
  /** along the loaf, its profile seen where a bar is cut; or from side to side */
  pulled: runsSchema,
  edge: edgeSchema,
  /** from the scraper's lowest tip to its highest place */
  reliefMm: lengthMm(0.5, 200),
  /** how far its lowest tip goes below the surface */
  depthMm: lengthMm(0.5, 200),
  /**
   * where the scrapings go: into a spare mould, back into their jug, or into the jug of the pour that follows
   */
  to: v.picklist(['spare', 'pot', 'next']),
};

export type ScraperEdge = v.InferOutput<typeof edgeSchema>;
export type RepeatedEdge = (typeof REPEATED_EDGES)[number];
