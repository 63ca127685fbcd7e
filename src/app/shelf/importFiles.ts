import type { Batch } from '../../core/batch/batchSchema.ts';
import type { ShelfRead } from '../../core/exchange/shelfFile.ts';
import type { Plan } from '../../core/plan/planSchema.ts';
import { bringFound } from '../../store/keeping/newPlans.ts';
import type { FoundPlan } from '../../store/tables/plans.ts';
import { readText } from '../parts/readText.ts';
import { readShelfText } from './readShelfText.ts';

export interface Refusal {
  readonly file: string;
  /** one line a fault, the field first */
  readonly faults: readonly string[];
}

interface Imported {
  readonly plans: readonly Plan[];
  readonly batches: readonly Batch[];
  readonly refused: readonly Refusal[];
}

/**
 * Read files of plans and batches and keep the good ones. A refused file changes nothing and says which
 * field.
 */
export async function importFiles(files: readonly File[]): Promise<Imported> {
  const good: FoundPlan[] = [];
  const refused: Refusal[] = [];
  for (const file of files) {
    const text = await readText(file);
    const read: ShelfRead = text.ok ? await readShelfText(text.value) : { ok: false, faults: [text.fault] };
    if (read.ok) good.push(read);
    else
      refused.push({
        file: file.name,
        faults: read.faults.slice(0, 8).map((f) => `${f.at ?? 'file'}: ${f.message}`),
      });
  }
  return {
    plans: good.length > 0 ? await bringFound(good) : [],
    batches: good.flatMap((g) => (g.plan ? [] : (g.batch ?? []))),
    refused,
  };
}
