import * as v from 'valibot';
import { unitsSchema, type Units } from '../core/plan/planSchema.ts';
import { database } from './database.ts';
import { unitsKeeper } from './keeping/library.ts';
import type { Seen } from './keeping/libraryKeeper.ts';
import { withStorage } from './keeping/storage.ts';

async function seen(): Promise<Seen<Units> | null> {
  try {
    const record = await withStorage(database, () => database.settings.get('units'));
    const read = v.safeParse(unitsSchema, record?.value);
    return record && read.success ? { value: read.output, revision: record.revision } : null;
  } catch {
    // where storage cannot be read the bar over the page says so; a new plan begins in the usual units
    return null;
  }
}

/** The units and scales that were chosen last: a new plan begins with them. Undefined before any were chosen. */
export const unitsUsed = async (): Promise<Units | undefined> => (await seen())?.value;

export async function keepUnits(units: Units): Promise<void> {
  await unitsKeeper.change('units', await seen(), units);
}
