import { readFileSync } from 'node:fs';
import { readPlanFile } from '../core/exchange/planFile.ts';
import type { Plan } from '../core/plan/planSchema.ts';

export const onStandardError = (line: string): void => {
  process.stderr.write(`${line}\n`);
};

/** The plan in a file; otherwise a fault a line is said, and undefined. */
export function readPlan(path: string, say: (line: string) => void): Plan | undefined {
  let text: string;
  try {
    text = readFileSync(path, 'utf8');
  } catch (error) {
    say(`${path}: ${error instanceof Error ? error.message : 'cannot be read'}`);
    return undefined;
  }
  const read = readPlanFile(text);
  if (read.ok) return read.plan;
  for (const fault of read.faults) say(`${fault.at ?? 'file'}: ${fault.message}`);
  return undefined;
}
