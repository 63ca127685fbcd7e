import * as v from 'valibot';
import { mouldSchema, type Mould } from '../mould/schema.ts';
import { checkMould } from '../plan/checkMould.ts';
import { fail, ok, type Result } from '../result/result.ts';
import { readHead } from './head.ts';
import { manyColumns } from './migrate.ts';
import { fileStem } from './writePlan.ts';
import { faultOf } from './schemaFaults.ts';

const MOULD_FORMAT = 'drip-line/mould';
export const MOULD_VERSION = 2;

/** Check a value that claims to be a mould, as that version wrote moulds; the fault names its field. */
export function readMouldValue(value: unknown, version: number): Result<Mould> {
  const mould = version < 2 ? manyColumns(value) : value;
  const parsed = v.safeParse(v.strictObject({ mould: mouldSchema }), { mould });
  if (!parsed.success) return { ok: false, fault: faultOf(parsed.issues[0]) };
  const [fault] = checkMould(parsed.output.mould);
  return fault ? { ok: false, fault } : ok(parsed.output.mould);
}

/** Read the text of a `.dripline-mould.json` file. Never throws; the fault names the field. */
export function readMouldFile(text: string): Result<Mould> {
  const head = readHead(text, 'mould', { format: MOULD_FORMAT, version: MOULD_VERSION });
  if (!head.ok) return head;
  const { mould, ...others } = head.value.body;
  const [other] = Object.keys(others);
  return other === undefined
    ? readMouldValue(mould, head.value.version)
    : fail('bad-strict-object', `"${other}" is not a field here`, other);
}

export const writeMouldFile = (mould: Mould): string =>
  `${JSON.stringify({ format: MOULD_FORMAT, version: MOULD_VERSION, mould }, null, 2)}\n`;

export const mouldFileName = (mould: Mould): string => `${fileStem(mould.name, 'mould')}.dripline-mould.json`;
