import type { Pot } from '../../plan/planSchema.ts';
import type { Line, Task } from '../procedure.ts';

/** A task before its lines are filled in where it has none. */
export type Draft = Omit<Task, 'lines'> & { readonly lines?: readonly Line[] };

export const potName = (pot: Pot): string => `pot ${pot.letter}, ${pot.name}`;
