import { sheetJson } from '../core/sheet/sheetJson.ts';
import { onStandardError, readComputed } from './readComputed.ts';

/** `npm run -s sheet -- FILE.dripline.json`: the computed sheet as JSON, or one line a fault and exit 2. */
function main(path: string | undefined): number {
  if (path === undefined) {
    onStandardError('usage: npm run -s sheet -- FILE.dripline.json');
    return 2;
  }
  const computed = readComputed(path, onStandardError);
  if (!computed) return 2;
  process.stdout.write(`${JSON.stringify(sheetJson(computed), null, 2)}\n`);
  return 0;
}

process.exitCode = main(process.argv[2]);
