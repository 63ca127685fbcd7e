import { MOST_CHARACTERS } from '../../core/exchange/head.ts';
import { fail, ok, type Result } from '../../core/result/result.ts';

/** The most bytes of a file that is read at all: the most characters of one of ours, four bytes each. */
const MOST_BYTES = MOST_CHARACTERS * 4;

/**
 * The text of a chosen file. One that cannot be read, or is far too large, comes back as a fault that says
 * so.
 */
export async function readText(file: File, most = MOST_BYTES): Promise<Result<string>> {
  if (file.size > most)
    return fail('too-large', `${file.size} bytes is more than any file of Drip Line has`, 'file');
  try {
    return ok(await file.text());
  } catch {
    return fail(
      'unreadable',
      'the browser could not read it: it may be gone, or a folder, or not yours to read',
      'file',
    );
  }
}
