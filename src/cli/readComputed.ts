import { readFileSync } from 'node:fs';
import { happenedIn } from '../core/batch/happened.ts';
import { computePlan, type Computed } from '../core/computed/compute.ts';
import { readShelfFile } from '../core/exchange/shelfFile.ts';

export const onStandardError = (line: string): void => {
  process.stderr.write(`${line}\n`);
};

/** The text of a file; otherwise why it cannot be read is said, and undefined. */
export function readText(path: string, say: (line: string) => void): string | undefined {
  try {
    return readFileSync(path, 'utf8');
  } catch (error) {
    say(`${path}: ${error instanceof Error ? error.message : 'cannot be read'}`);
    return undefined;
  }
}

/**
 * The plan in a file computed, with what was really done of it where the file says so; otherwise a fault a
 * line is said, and undefined.
 */
export function readComputed(path: string, say: (line: string) => void): Computed | undefined {
  const text = readText(path, say);
  if (text === undefined) return undefined;
  const read = readShelfFile(text);
  if (read.ok) {
    const plan = read.plan ?? read.batch?.plan;
    return plan && computePlan(plan, happenedIn(read.batch, plan));
  }
  for (const fault of read.faults) say(`${fault.at ?? 'file'}: ${fault.message}`);
  return undefined;
}
