import type { LaidMould } from '../fill/laid.ts';

/** A mould as it is seen cut; `hand`: 0 as drawn, 1 with the waver of a hand. */
export type LaidFace = Pick<LaidMould, 'plan' | 'geometry' | 'stack' | 'fill'> & { readonly hand?: number };
