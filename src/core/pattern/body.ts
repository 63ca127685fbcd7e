import type { PouredLayer } from '../fill/layers.ts';
import type { HeapSpec } from '../flow/heap.ts';
import type { TiltedSpec } from '../flow/settle.ts';
import type { BlockSpec, ScrapedSpec } from '../flow/spec.ts';
import { corners, type Polyhedron } from '../geometry/polyhedron.ts';
import type { Millimetres } from '../units/quantity.ts';
import type { Room } from '../mould/rooms.ts';

/** What is in a block: all that its pictures are made of. Can be posted. */
export type Content = {
  /** names of its deposits, by their numbers in it */
  readonly keys: readonly string[];
} & (
  | { readonly kind: 'moved'; readonly spec: BlockSpec }
  /** the same, sloping in a tilted mould */
  | { readonly kind: 'tilted'; readonly key: string; readonly tilted: TiltedSpec }
  /** layers scraped to a profile, where they meet what lies over them */
  | { readonly kind: 'scraped'; readonly key: string; readonly scraped: ScrapedSpec }
  /** what lies on top */
  | { readonly kind: 'heaped'; readonly key: string; readonly heap: HeapSpec }
);

/**
 * Pours that were still fluid together: where they lie is known to the last digit, what became of them inside
 * is simulated.
 */
export interface Block {
  readonly content: Content;
  /** what of the mould it is seen in */
  readonly solid: Polyhedron;
  readonly layers: readonly [PouredLayer, ...PouredLayer[]];
  readonly room: Room;
}

/** What is seen of a mould's batter by itself: a layer that nothing was pushed about in, or a block. */
export type Body =
  { readonly kind: 'layer'; readonly layer: PouredLayer } | { readonly kind: 'block'; readonly block: Block };

/** Where it stands among all pours. */
export const nthOf = (body: Body): number =>
  body.kind === 'layer' ? body.layer.nth : body.block.layers[0].nth;

export const roomOf = (body: Body): Room => (body.kind === 'layer' ? body.layer.room : body.block.room);

export const solidOf = (body: Body): Polyhedron =>
  body.kind === 'layer' ? body.layer.solid : body.block.solid;

/** Everything of a content that has to be made ready before it can be read. */
export function specsOf(content: Content): readonly BlockSpec[] {
  switch (content.kind) {
    case 'moved':
      return [content.spec];
    case 'tilted':
      return [content.tilted.level];
    case 'heaped':
      return [];
    case 'scraped':
      return [...content.scraped.under, ...content.scraped.cuts.flatMap((c) => c.over)].flatMap(
        (l) => l.block ?? [],
      );
  }
}

/** How high a loaf stands with what lies on it, mm; at least as high as its mould. */
export const highestIn = (bodies: readonly Body[], mouldMm: Millimetres): Millimetres =>
  Math.max(
    mouldMm,
    ...bodies.flatMap((b) =>
      b.kind === 'block' && b.block.content.kind === 'heaped' ? corners(b.block.solid).map((p) => p[2]) : [],
    ),
  );

/** Its picture says where nothing of it is: there, what is behind it is seen. */
export const isOpen = ({ kind }: Content): boolean => kind === 'scraped' || kind === 'heaped';

/** Alike for contents that are alike. */
export const keyOf = (content: Content): string =>
  content.kind === 'moved' ? content.spec.key : content.key;
