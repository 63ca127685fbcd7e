import type { PlanRead } from '../../core/exchange/planFile.ts';
import type { Plan } from '../../core/plan/planSchema.ts';
import { bringPlans } from '../../store/keeping/newPlans.ts';
import { readText } from '../parts/readText.ts';
import { readPlanText } from './readPlanText.ts';

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
    const text = await readText(file);
    const read: PlanRead = text.ok ? await readPlanText(text.value) : { ok: false, faults: [text.fault] };
    if (read.ok) good.push(read.plan);
    else
      refused.push({
        file: file.name,
        faults: read.faults.slice(0, 8).map((f) => `${f.at ?? 'file'}: ${f.message}`),
      });
  }
  const added = good.length > 0 ? await bringPlans(good) : [];
  return { added, refused };
}
