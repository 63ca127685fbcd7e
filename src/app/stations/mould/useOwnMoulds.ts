import * as v from 'valibot';
import { mouldSchema, type Mould } from '../../../core/mould/schema.ts';
import { checkMould } from '../../../core/plan/checkMould.ts';
import { database, type MouldRecord } from '../../../store/database.ts';
import { useThings, type Things } from '../../parts/useThings.ts';

const rows = (): Promise<readonly MouldRecord[]> => database.moulds.orderBy('name').toArray();
const nameOf = (row: MouldRecord): string => row.name;
const read = (row: MouldRecord): Mould | undefined => {
  const parsed = v.safeParse(mouldSchema, row.mould);
  return parsed.success && checkMould(parsed.output).length === 0 ? parsed.output : undefined;
};

/** The moulds kept in this browser, by name, and the names of those that cannot be read. */
export const useOwnMoulds = (): Things<Mould> => useThings('moulds', rows, nameOf, read);
