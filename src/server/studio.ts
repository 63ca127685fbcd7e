import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';

/**
 * The plan files of the studio as one array, each as it is in its file, with its version: the page reads them
 * like any other.
 */
export const readStudio = (dir: string): readonly unknown[] =>
  readdirSync(dir)
    .filter((f) => f.endsWith('.dripline.json'))
    .map((f) => JSON.parse(readFileSync(join(dir, f), 'utf8')) as unknown);
