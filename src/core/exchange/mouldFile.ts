import * as v from 'valibot';
import { mouldSchema, type Mould } from '../mould/schema.ts';
import { checkMould } from '../plan/checkPlan.ts';
import { ok, type Result } from '../result/result.ts';
import { readHead } from './head.ts';
import { fileStem } from './planFile.ts';
import { faultOf } from './schemaFaults.ts';

const MOULD_FORMAT = 'drip-line/mould';
const MOULD_VERSION = 1;

/** Read the text of a `.dripline-mould.json` file. Never throws; the fault names the field. */
export function readMouldFile(text: string): Result<Mould> {
  const body = readHead(text, 'mould', { format: MOULD_FORMAT, version: MOULD_VERSION });
  if (!body.ok) return body;
  const parsed = v.safeParse(v.strictObject({ mould: mouldSchema }), body.value);
  if (!parsed.success) return { ok: false, fault: faultOf(parsed.issues[0]) };
  const [fault] = checkMould(parsed.output.mould);
  return fault ? { ok: false, fault } : ok(parsed.output.mould);
}

export const writeMouldFile = (mould: Mould): string =>
  `${JSON.stringify({ format: MOULD_FORMAT, version: MOULD_VERSION, mould }, null, 2)}\n`;

export const mouldFileName = (mould: Mould): string => `${fileStem(mould.name, 'mould')}.dripline-mould.json`;
