import { readFileSync } from 'node:fs';
import { readPlanFile } from '../core/exchange/planFile.ts';
import { computePlan } from '../core/computed/compute.ts';
import { sheetJson } from '../core/sheet/sheetJson.ts';

/** `npm run -s sheet -- FILE.dripline.json`: the computed sheet as JSON, or one line a fault and exit 2. */
function main(path: string | undefined): number {
  if (path === undefined) {
    process.stderr.write('usage: npm run -s sheet -- FILE.dripline.json\n');
    return 2;
  }
  let text: string;
  try {
    text = readFileSync(path, 'utf8');
  } catch (error) {
    process.stderr.write(`${path}: ${error instanceof Error ? error.message : 'cannot be read'}\n`);
    return 2;
  }
  const read = readPlanFile(text);
  if (!read.ok) {
    for (const fault of read.faults) process.stderr.write(`${fault.at ?? 'file'}: ${fault.message}\n`);
    return 2;
  }
  process.stdout.write(`${JSON.stringify(sheetJson(computePlan(read.plan)), null, 2)}\n`);
  return 0;
}

process.exitCode = main(process.argv[2]);
