import type { Plan } from './planSchema.ts';

/** What nothing is computed from: words, and when they were written. */
export const WORDS = ['name', 'notes', 'created', 'changed'] as const satisfies readonly (keyof Plan)[];

/** A plan with the words of another. */
export const withWordsOf = (plan: Plan, { name, notes, created, changed }: Plan): Plan => ({
  ...plan,
  name,
  notes,
  created,
  changed,
});
