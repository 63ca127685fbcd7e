import { MOULD_VERSION, readMouldValue } from '../../core/exchange/mouldFile.ts';
import type { Mould } from '../../core/mould/schema.ts';
import { WHOLE, type Kind } from './kind.ts';

export const MOULD: Kind<Mould> = {
  table: 'moulds',
  key: 'name',
  version: MOULD_VERSION,
  keyOf: (mould) => mould.name,
  nameOf: (mould) => mould.name,
  read: (value, version) => {
    const read = readMouldValue(value, version);
    return read.ok ? read.value : undefined;
  },
  ...WHOLE,
};
