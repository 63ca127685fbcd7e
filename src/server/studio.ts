import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { readSuppliesFile } from '../core/exchange/suppliesFile.ts';
import type { Fault } from '../core/result/result.ts';
import { readPlanFile } from '../core/exchange/planFile.ts';

/** What is wrong with a file of plans or supplies. */
function faultIn(file: string, text: string): Fault | undefined {
  if (file.endsWith(SUPPLIES)) {
    const read = readSuppliesFile(text);
    return read.ok ? undefined : read.fault;
  }
  const read = readPlanFile(text);
  return read.ok ? undefined : read.faults[0];
}

const SUPPLIES = '.dripline-supplies.json';

interface Studio {
  /** each file of plans or supplies as it is, with its version: the page reads them like any other */
  readonly files: readonly unknown[];
  /** a line for each file that is left out: which, where in it, and what is wrong */
  readonly broken: readonly string[];
}

/** The plans and the supplies of the studio; one that is broken does not keep the others from the shelf. */
export function readStudio(dir: string): Studio {
  const found: unknown[] = [];
  const broken: string[] = [];
  let files: readonly string[] = [];
  try {
    files = readdirSync(dir, { recursive: true, encoding: 'utf8' })
      .filter((f) => /\.dripline(-supplies)?\.json$/.test(f))
      .sort();
  } catch (error) {
    broken.push(`${dir}: ${error instanceof Error ? error.message : 'it cannot be read'}`);
  }
  for (const file of files) {
    const path = join(dir, file);
    try {
      const text = readFileSync(path, 'utf8');
      const fault = faultIn(file, text);
      if (!fault) found.push(JSON.parse(text));
      else broken.push(`${path}: ${fault.at ?? 'file'}: ${fault.message}`);
    } catch (error) {
      broken.push(`${path}: ${error instanceof Error ? error.message : 'it cannot be read'}`);
    }
  }
  return { files: found, broken };
}
