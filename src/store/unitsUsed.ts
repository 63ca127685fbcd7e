import type { Units } from '../core/plan/planSchema.ts';
import { ask } from './ask.ts';
import { unitsKeeper } from './keeping/library.ts';
import { readRow, rowsOf, type Seen } from './tables/kind.ts';
import { UNITS } from './tables/settingKinds.ts';

async function seen(): Promise<Seen<Units> | null> {
  try {
    const row = await ask((db) => rowsOf(db, UNITS).get('units'));
    const value = row && readRow(UNITS, row);
    return row && value ? { value, revision: row.revision } : null;
  } catch {
    // where storage cannot be read the bar over the page says so; a new plan begins in the usual units
    return null;
  }
}

/**
 * The units and scales that were chosen last: a new plan begins with them. Undefined before any were chosen.
 */
export const unitsUsed = async (): Promise<Units | undefined> => (await seen())?.value;

export async function keepUnits(units: Units): Promise<void> {
  await unitsKeeper.change('units', await seen(), units);
}
