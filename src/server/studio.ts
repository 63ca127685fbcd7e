import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { readPlanFile } from '../core/exchange/planFile.ts';

interface Studio {
  /** each plan as it is in its file, with its version: the page reads them like any other */
  readonly plans: readonly unknown[];
  /** a line for each file that is left out: which, where in it, and what is wrong */
  readonly broken: readonly string[];
}

/** The plan files of the studio; one that is broken does not keep the others from the shelf. */
export function readStudio(dir: string): Studio {
  const plans: unknown[] = [];
  const broken: string[] = [];
  let files: readonly string[] = [];
  try {
    files = readdirSync(dir).filter((f) => f.endsWith('.dripline.json'));
  } catch (error) {
    broken.push(`${dir}: ${error instanceof Error ? error.message : 'it cannot be read'}`);
  }
  for (const file of files) {
    const path = join(dir, file);
    try {
      const text = readFileSync(path, 'utf8');
      const read = readPlanFile(text);
      if (read.ok) plans.push(JSON.parse(text));
      else broken.push(`${path}: ${read.faults[0].at ?? 'file'}: ${read.faults[0].message}`);
    } catch (error) {
      broken.push(`${path}: ${error instanceof Error ? error.message : 'it cannot be read'}`);
    }
  }
  return { plans, broken };
}
