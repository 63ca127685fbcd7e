import type { Remedy } from './warning.ts';
import { remedy } from './/warning.ts';

export const portionsFirst: Remedy = remedy(
  'Make portions ready before the lye: each jug gets its own',
  (p) => ({ ...p, divide: { kind: 'before-lye', lye: 'together' } }),
);
