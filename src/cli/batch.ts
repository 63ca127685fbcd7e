import { batchJson } from '../core/making/batchJson.ts';
import { readBatchFile } from '../core/exchange/batchFile.ts';
import { onStandardError, readText } from './readComputed.ts';

/** `npm run -s batch -- FILE.dripline-batch.json`: how it stands as JSON, or one line a fault and exit 2. */
function main(path: string | undefined): number {
  if (path === undefined) {
    onStandardError('usage: npm run -s batch -- FILE.dripline-batch.json');
    return 2;
  }
  const text = readText(path, onStandardError);
  if (text === undefined) return 2;
  const read = readBatchFile(text);
  if (!read.ok) {
    onStandardError(`${read.fault.at ?? 'file'}: ${read.fault.message}`);
    return 2;
  }
  process.stdout.write(`${JSON.stringify(batchJson(read.value), null, 2)}\n`);
  return 0;
}

process.exitCode = main(process.argv[2]);
