import { sheetJson } from '../core/sheet/sheetJson.ts';
import { printJson } from './printJson.ts';
import { readComputed } from './readComputed.ts';

/** `npm run -s sheet -- FILE.dripline.json`: the computed sheet as JSON, or one line a fault and exit 2. */
process.exitCode = printJson('sheet -- FILE.dripline.json', process.argv[2], (path, say) => {
  const computed = readComputed(path, say);
  return computed && sheetJson(computed);
});
