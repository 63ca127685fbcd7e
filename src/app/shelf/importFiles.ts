import type { Batch } from '../../core/batch/batchSchema.ts';
import type { ShelfRead } from '../../core/exchange/shelfFile.ts';
import { ARCHIVE_FORMAT, MOST_ARCHIVED, type ArchivedThing } from '../../core/exchange/archiveFile.ts';
import type { Fault } from '../../core/result/result.ts';
import type { Plan } from '../../core/plan/planSchema.ts';
import { bringLibrary, notHere, type Brought } from '../../store/keeping/archive.ts';
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
  /** things of the library that came with an archive */
  readonly library: Brought | undefined;
  readonly refused: readonly Refusal[];
}

/** An archive of everything may be larger than any other file, and says what it is at its beginning. */
const isArchive = async (file: File): Promise<boolean> => {
  try {
    return (await file.slice(0, 400).text()).includes(ARCHIVE_FORMAT);
  } catch {
    return false;
  }
};

const said = (faults: readonly Fault[]): readonly string[] =>
  faults.slice(0, 8).map((f) => `${f.at ?? 'file'}: ${f.message}`);

/**
 * Read files of plans, batches or everything and keep the good ones. A refused file changes nothing and says
 * which field.
 */
export async function importFiles(files: readonly File[]): Promise<Imported> {
  const good: FoundPlan[] = [];
  const refused: Refusal[] = [];
  const library: ArchivedThing[] = [];
  for (const file of files) {
    const text = await readText(file, (await isArchive(file)) ? MOST_ARCHIVED : undefined);
    const read: ShelfRead = text.ok ? await readShelfText(text.value) : { ok: false, faults: [text.fault] };
    if (read.ok && read.archive) {
      const { archive } = read;
      const plans = await notHere(archive.plans).catch(() => archive.plans);
      good.push(...plans.map((plan) => ({ plan })), ...archive.batches.map((batch) => ({ batch })));
      library.push(...archive.library);
      if (archive.faults.length > 0) refused.push({ file: file.name, faults: said(archive.faults) });
    } else if (read.ok) good.push(read);
    else
      refused.push({
        file: file.name,
        faults: said(read.faults),
      });
  }
  return {
    plans: good.length > 0 ? await bringFound(good) : [],
    batches: good.flatMap((g) => (g.plan ? [] : (g.batch ?? []))),
    library: library.length > 0 ? await bringLibrary(library) : undefined,
    refused,
  };
}
