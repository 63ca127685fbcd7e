import type { Pour } from '../../core/plan/stepSchema.ts';

/** "5 rounds". */
export const roundsWord = ({ pattern }: Pick<Pour, 'pattern'>): string => {
  const rounds = pattern?.rounds.length ?? 1;
  return rounds === 1 ? 'one round' : `${rounds} rounds`;
};
