import type { Grams } from '../units/quantity.ts';
import type { PouredStack } from './layers.ts';

/** Batter that lies in one mould as it is planned, g. */
export const batterIn = ({ stack }: { readonly stack: Pick<PouredStack, 'layers'> }): Grams =>
  stack.layers.reduce((s, l) => s + l.plannedG, 0);
