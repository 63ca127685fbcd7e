import { supplySchema, type Supply } from '../../core/supplies/schema.ts';
import { BY_FIELD, readAs, type Kind } from './kind.ts';

export const SUPPLY: Kind<Supply> = {
  table: 'supplies',
  key: 'id',
  version: 1,
  keyOf: (supply) => supply.id,
  nameOf: (supply) => supply.name,
  read: readAs(supplySchema),
  ...BY_FIELD,
};
