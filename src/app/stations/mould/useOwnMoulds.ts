import type { Mould } from '../../../core/mould/schema.ts';
import { MOULD } from '../../../store/tables/mouldKind.ts';
import { allOf } from '../../../store/tables/kind.ts';
import { useThings, type Things } from '../../parts/useThings.ts';

const rows = allOf(MOULD);

/** The moulds kept in this browser, by name, and the names of those that cannot be read. */
export const useOwnMoulds = (): Things<Mould> => useThings(MOULD, rows);
