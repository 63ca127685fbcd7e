import * as v from 'valibot';
import { ok, type Result } from '../result/result.ts';
import { storedSchema, type Stored } from '../stores/schema.ts';
import { listOf } from '../validate/fields.ts';
import { readHead } from './head.ts';
import { faultOf } from './schemaFaults.ts';

const STORES_FORMAT = 'drip-line/stores';
const STORES_VERSION = 1;

export const STORES_FILE = 'stores.dripline-stores.json';

const body = v.strictObject({ things: listOf(storedSchema, 2000, 'at most 2000 things') });

/** Read the text of a stores file: fragrances, jars, jugs, cutters, beginnings. Never throws; the fault names the field. */
export function readStoresFile(text: string): Result<readonly Stored[]> {
  const head = readHead(text, 'stores', { format: STORES_FORMAT, version: STORES_VERSION });
  if (!head.ok) return head;
  const parsed = v.safeParse(body, head.value.body);
  return parsed.success ? ok(parsed.output.things) : { ok: false, fault: faultOf(parsed.issues[0]) };
}

export const writeStoresFile = (things: readonly Stored[]): string =>
  `${JSON.stringify({ format: STORES_FORMAT, version: STORES_VERSION, things }, null, 2)}\n`;
