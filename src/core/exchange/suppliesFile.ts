import * as v from 'valibot';
import { ok, type Result } from '../result/result.ts';
import { supplySchema, type Supply } from '../supplies/schema.ts';
import { listOf } from '../validate/fields.ts';
import { readHead } from './head.ts';
import { faultOf } from './schemaFaults.ts';

const FORMAT = 'drip-line/supplies';
const VERSION = 1;

/** What supplies were called in files before; they are written alike. */
const BEFORE = { format: 'drip-line/stores', version: 1 };

export const SUPPLIES_FILE = 'supplies.dripline-supplies.json';

const body = v.strictObject({ things: listOf(supplySchema, 2000, 'at most 2000 things') });

/**
 * Read the text of a file of supplies: fragrances, jars, jugs, cutters, beginnings. Never throws; the fault
 * names the field.
 */
export function readSuppliesFile(text: string): Result<readonly Supply[]> {
  const before = readHead(text, 'supplies', BEFORE);
  const head = before.ok ? before : readHead(text, 'supplies', { format: FORMAT, version: VERSION });
  if (!head.ok) return head;
  const parsed = v.safeParse(body, head.value.body);
  return parsed.success ? ok(parsed.output.things) : { ok: false, fault: faultOf(parsed.issues[0]) };
}

export const writeSuppliesFile = (things: readonly Supply[]): string =>
  `${JSON.stringify({ format: FORMAT, version: VERSION, things }, null, 2)}\n`;
