import type { Pot } from '../../plan/planSchema.ts';
import type { Weight } from '../../weigh/ingredients.ts';
import type { Line, Task } from '../procedure.ts';

/** A task before it has its place in the whole job. */
export type Draft = Omit<Task, 'id' | 'lines'> & { readonly lines?: readonly Line[] };

export const coarse = (w: Weight): Line => ({ name: w.name, massG: w.massG, fine: false });

export const fine = (w: Weight): Line => ({ name: w.name, massG: w.massG, fine: true });

export const potName = (pot: Pot): string => `pot ${pot.letter}, ${pot.name}`;
