import * as v from 'valibot';
import { mouldSchema, type Mould } from '../mould/schema.ts';
import { checkMould } from '../plan/checkMould.ts';
import { ok, type Result } from '../result/result.ts';
import { readHead } from './head.ts';
import { manyColumns } from './migrate.ts';
import { fileStem } from './writePlan.ts';
import { faultOf } from './schemaFaults.ts';

const MOULD_FORMAT = 'drip-line/mould';
const MOULD_VERSION = 2;

/** Read the text of a `.dripline-mould.json` file. Never throws; the fault names the field. */
export function readMouldFile(text: string): Result<Mould> {
  const head = readHead(text, 'mould', { format: MOULD_FORMAT, version: MOULD_VERSION });
  if (!head.ok) return head;
  const { body, version } = head.value;
  const now = version < 2 ? { ...body, mould: manyColumns(body['mould']) } : body;
  const parsed = v.safeParse(v.strictObject({ mould: mouldSchema }), now);
  if (!parsed.success) return { ok: false, fault: faultOf(parsed.issues[0]) };
  const [fault] = checkMould(parsed.output.mould);
  return fault ? { ok: false, fault } : ok(parsed.output.mould);
}

export const writeMouldFile = (mould: Mould): string =>
  `${JSON.stringify({ format: MOULD_FORMAT, version: MOULD_VERSION, mould }, null, 2)}\n`;

export const mouldFileName = (mould: Mould): string => `${fileStem(mould.name, 'mould')}.dripline-mould.json`;
