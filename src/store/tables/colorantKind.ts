import { colorantSchema, type Colorant } from '../../core/colorant/schema.ts';
import { STARTER_COLORANTS } from '../../core/colorant/starters.ts';
import { BY_FIELD, readAs, type Kind } from './kind.ts';

export const COLORANT: Kind<Colorant> = {
  table: 'colorants',
  key: 'id',
  version: 1,
  keyOf: (colorant) => colorant.id,
  nameOf: (colorant) => colorant.name,
  read: readAs(colorantSchema),
  ...BY_FIELD,
  usual: (id) => STARTER_COLORANTS.find((c) => c.id === id),
};
