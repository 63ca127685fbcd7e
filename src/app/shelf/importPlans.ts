import { MOST_CHARACTERS } from '../../core/exchange/head.ts';
import { readPlanFile } from '../../core/exchange/planFile.ts';
import type { Plan } from '../../core/plan/planSchema.ts';
import { database } from '../../store/database.ts';
import { addPlans } from '../../store/planRecords.ts';
import { newPlanId, TAB_ID } from '../../store/tab.ts';

export interface Refusal {
  readonly file: string;
  /** one line a fault, the field first */
  readonly faults: readonly string[];
}

interface Imported {
  readonly added: readonly Plan[];
  readonly refused: readonly Refusal[];
}

/** Read plan files and put the good ones on the shelf. A refused file changes nothing and says which field. */
export async function importPlans(files: readonly File[]): Promise<Imported> {
  const good: Plan[] = [];
  const refused: Refusal[] = [];
  for (const file of files) {
    const text = file.size > MOST_CHARACTERS * 4 ? ' '.repeat(MOST_CHARACTERS + 1) : await file.text();
    const read = readPlanFile(text);
    if (read.ok) good.push(read.plan);
    else
      refused.push({
        file: file.name,
        faults: read.faults.slice(0, 8).map((f) => `${f.at ?? 'file'}: ${f.message}`),
      });
  }
  const added = await addPlans(database, good, newPlanId, TAB_ID);
  return { added, refused };
}
