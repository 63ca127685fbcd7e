import { dequal } from 'dequal/lite';
import { isRecord } from '../validate/isRecord.ts';

type Fields = Readonly<Record<string, unknown>>;

export interface Merged<T> {
  readonly value: T;
  /** dotted paths of fields that both changed, and not to the same: `value` has mine there */
  readonly clashes: readonly string[];
}

/**
 * Bring together two changes of one record, field by field and into records inside it (lists are one field):
 * `mine` and `theirs` both made from `base`. A field that only one of them changed, added or left out is as
 * that one has it.
 */
export function mergeFields<T extends object>(base: T, mine: T, theirs: T, at = ''): Merged<T> {
  const [b, m, t] = [base, mine, theirs] as unknown as readonly [Fields, Fields, Fields];
  const clashes: string[] = [];
  const value: Record<string, unknown> = {};
  for (const key of new Set([...Object.keys(m), ...Object.keys(t)])) {
    const path = at === '' ? key : `${at}.${key}`;
    const [was, my, their] = [b[key], m[key], t[key]];
    let merged: unknown;
    if (dequal(my, was)) merged = their;
    else if (dequal(their, was) || dequal(my, their)) merged = my;
    else if (isRecord(was) && isRecord(my) && isRecord(their)) {
      const inner = mergeFields(was, my, their, path);
      clashes.push(...inner.clashes);
      merged = inner.value;
    } else {
      clashes.push(path);
      merged = my;
    }
    if (merged !== undefined) value[key] = merged;
  }
  return { value: value as T, clashes };
}
