import type { PouredLayer } from '../fill/layers.ts';
import { clip } from '../geometry/clip.ts';
import { layerUnder } from '../plan/scrapes.ts';
import type { Plan } from '../plan/planSchema.ts';
import type { StepId } from '../validate/ids.ts';
import { nthOf, solidOf, type Body } from './body.ts';

/** How thick a line of mica is drawn, mm: what is seen of it in a cut bar. */
export const LINE_MM = 0.5;

/** The lines that are put on each layer, by its pour. */
export function linesOn({ steps }: Pick<Plan, 'steps'>): ReadonlyMap<StepId, StepId> {
  const lines = new Map<StepId, StepId>();
  for (const step of steps) {
    const pour = step.kind === 'mica' ? layerUnder({ steps }, step) : undefined;
    if (pour) lines.set(pour.id, step.id);
  }
  return lines;
}

/** The name that a line is seen by, as a layer of its own that lies on top of another. */
const asLine = (layer: PouredLayer, id: StepId, body: Body): Body => ({
  kind: 'layer',
  layer: {
    ...layer,
    pour: { ...layer.pour, id },
    solid: clip(solidOf(body), { normal: layer.up, offset: layer.offset - LINE_MM }).above,
  },
});

/**
 * Bodies with the lines that lie on them. One on a surface that is no plane is drawn with that surface, and
 * one in what is still pushed about with that.
 */
export const withLines = (plan: Pick<Plan, 'steps'>, bodies: readonly Body[]): readonly Body[] => {
  const lines = linesOn(plan);
  if (lines.size === 0) return bodies;
  return bodies.flatMap((body): readonly Body[] => {
    const last = body.kind === 'layer' ? body.layer : body.block.layers.at(-1);
    const line = last && lines.get(last.pour.id);
    const carried = line !== undefined && body.kind === 'block' && body.block.content.keys.includes(line);
    return line === undefined || carried || !last || last.scraping || last.rough || nthOf(body) > last.nth
      ? [body]
      : [body, asLine(last, line, body)];
  });
};
