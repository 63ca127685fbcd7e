import { bodiesOf } from '../../core/pattern/blocks.ts';
import type { MouldFacts } from '../../core/advice/facts.ts';
import { SEEN, useDrawn } from '../parts/usePlan.ts';
import { MouldDrawing } from './MouldDrawing.tsx';

interface LoafDrawingProps {
  readonly letters: boolean;
  /** another mould than the one on the bench */
  readonly of?: MouldFacts;
}

/** The loaf end-on, as wide as its place: for paper and for a strip. Nothing in it can be moved. */
export function LoafDrawing({ letters, of }: LoafDrawingProps) {
  const { computed } = useDrawn(...SEEN);
  const facts = of ?? computed;
  return <MouldDrawing of={facts} bodies={bodiesOf(facts)} letters={letters} />;
}
