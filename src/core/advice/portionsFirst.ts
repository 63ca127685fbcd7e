import type { Remedy } from './warning.ts';

export const portionsFirst: Remedy = {
  label: 'Make portions ready before the lye: each jug gets its own',
  apply: (p) => ({ ...p, divide: { kind: 'before-lye', lye: 'together' } }),
};
