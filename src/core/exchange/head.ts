import { fail, ok, type Result } from '../result/result.ts';
import { isRecord } from '../validate/isRecord.ts';

/** Larger files are not ours: a full plan of 200 steps is about 60 kB. */
export const MOST_CHARACTERS = 2_000_000;

/** What is inside is not written out: it may go on for ever. */
export const shown = (value: unknown): string => {
  if (Array.isArray(value)) return value.length === 0 ? '[]' : `a list of ${value.length}`;
  if (isRecord(value)) {
    const keys = Object.keys(value);
    return keys.length === 0
      ? '{}'
      : `a record of ${keys
          .slice(0, 3)
          .map((k) => k.slice(0, 12))
          .join(', ')}${keys.length > 3 ? '...' : ''}`;
  }
  const text = JSON.stringify(value) as string | undefined;
  return text === undefined ? 'nothing' : text.length > 40 ? `${text.slice(0, 37)}...` : text;
};

/**
 * Read the text of one of our files down to its body: JSON, an object, the right format, a version we know.
 * Never throws; `what` names the kind of file in messages.
 */
export function readHead(
  text: string,
  what: string,
  wanted: { readonly format: string; readonly version: number },
  most = MOST_CHARACTERS,
): Result<{ readonly version: number; readonly body: Record<string, unknown> }> {
  if (text.length > most)
    return fail('too-large', `${text.length} characters is more than a ${what} file has`, 'file');
  let value: unknown;
  try {
    value = JSON.parse(text.replace(/^\uFEFF/, ''));
  } catch (error) {
    return fail(
      'not-json',
      `this is not JSON: ${error instanceof Error ? error.message : 'unreadable'}`,
      'file',
    );
  }
  if (!isRecord(value)) return fail(`not-a-${what}`, `a ${what} is an object, not ${shown(value)}`, 'file');
  const { format, version, ...body } = value;
  if (format !== wanted.format)
    return fail('wrong-format', `"${wanted.format}" is wanted, not ${shown(format)}`, 'format');
  if (typeof version !== 'number' || !Number.isInteger(version) || version < 1)
    return fail('bad-version', `a version number is wanted, not ${shown(version)}`, 'version');
  if (version > wanted.version)
    return fail(
      'newer-version',
      `this file is version ${version}; this Drip Line reads up to ${wanted.version}. Update Drip Line to open it`,
      'version',
    );
  return ok({ version, body });
}
