import { onStandardError } from './readComputed.ts';

/**
 * What a command makes of the file it is given, as JSON on standard output; the exit code. 2: no file was
 * given, or `jsonOf` has said what is at fault in it.
 */
export function printJson(
  usage: string,
  path: string | undefined,
  jsonOf: (path: string, say: (line: string) => void) => object | undefined,
): number {
  if (path === undefined) {
    onStandardError(`usage: npm run -s ${usage}`);
    return 2;
  }
  const json = jsonOf(path, onStandardError);
  if (!json) return 2;
  process.stdout.write(`${JSON.stringify(json, null, 2)}\n`);
  return 0;
}
