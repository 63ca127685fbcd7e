import { readBatchFile } from '../core/exchange/batchFile.ts';
import { batchJson } from '../core/making/batchJson.ts';
import { printJson } from './printJson.ts';
import { readText } from './readComputed.ts';

/** `npm run -s batch -- FILE.dripline-batch.json`: how it stands as JSON, or one line a fault and exit 2. */
process.exitCode = printJson('batch -- FILE.dripline-batch.json', process.argv[2], (path, say) => {
  const text = readText(path, say);
  if (text === undefined) return undefined;
  const read = readBatchFile(text);
  if (read.ok) return batchJson(read.value);
  say(`${read.fault.at ?? 'file'}: ${read.fault.message}`);
  return undefined;
});
