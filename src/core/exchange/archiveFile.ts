import type { Batch } from '../batch/batchSchema.ts';
import type { Plan } from '../plan/planSchema.ts';
import { fail, ok, type Fault, type Result } from '../result/result.ts';
import { readBatchFile, writeBatchFile } from './batchFile.ts';
import { isRecord } from '../validate/isRecord.ts';
import { readHead } from './head.ts';
import { readPlanFile } from './planFile.ts';
import { writePlanFile } from './writePlan.ts';

export const ARCHIVE_FORMAT = 'drip-line/archive';
const ARCHIVE_VERSION = 1;

/** An archive of more characters is not ours: some thousand full plans with their batches. */
export const MOST_ARCHIVED = 200_000_000;

/** A thing of the library as it is stored, not checked: by whoever knows its table. */
export interface ArchivedThing {
  readonly table: string;
  readonly version: number;
  readonly value: unknown;
}

/** Everything a maker keeps. */
export interface Archive {
  readonly plans: readonly Plan[];
  readonly batches: readonly Batch[];
  readonly library: readonly ArchivedThing[];
}

/** An archive as it was read: what could be, and what was wrong with the rest, each with its place. */
export interface ArchiveRead extends Archive {
  readonly faults: readonly Fault[];
}

/**
 * The text of an archive, in parts that are one text after another: each plan and each batch stands in it as
 * in a file of its own.
 */
export function writeArchive({ plans, batches, library }: Archive): readonly string[] {
  const list = (texts: readonly string[]): readonly string[] =>
    texts.map((text, i) => `${i > 0 ? ',' : ''}${text.trimEnd()}\n`);
  return [
    `{"format": "${ARCHIVE_FORMAT}", "version": ${ARCHIVE_VERSION},\n"plans": [\n`,
    ...list(plans.map(writePlanFile)),
    '],\n"batches": [\n',
    ...list(batches.map(writeBatchFile)),
    '],\n"library": [\n',
    ...list(library.map((thing) => JSON.stringify(thing, null, 2))),
    ']}\n',
  ];
}

const listIn = (body: Record<string, unknown>, name: string): readonly unknown[] => {
  const value = body[name];
  return Array.isArray(value) ? value : [];
};

/**
 * Read the text of an archive. Never throws. What is at fault in it is named with its place, and does not
 * keep the rest from being read.
 */
export function readArchive(text: string): Result<ArchiveRead> {
  const head = readHead(text, 'archive', { format: ARCHIVE_FORMAT, version: ARCHIVE_VERSION }, MOST_ARCHIVED);
  if (!head.ok) return head;
  const { body } = head.value;
  const faults: Fault[] = [];
  const plans: Plan[] = [];
  const batches: Batch[] = [];
  const at = (place: string, fault: Fault): void => {
    faults.push({ ...fault, at: `${place}.${fault.at ?? ''}`.replace(/\.(file)?$/, '') });
  };
  listIn(body, 'plans').forEach((value, i) => {
    const read = readPlanFile(JSON.stringify(value));
    if (!read.ok) at(`plans.${i}`, read.faults[0]);
    else {
      plans.push(read.plan);
      if (read.batch) batches.push(read.batch);
    }
  });
  listIn(body, 'batches').forEach((value, i) => {
    const read = readBatchFile(JSON.stringify(value));
    if (read.ok) batches.push(read.value);
    else at(`batches.${i}`, read.fault);
  });
  const library = listIn(body, 'library').flatMap((thing, i): ArchivedThing[] => {
    if (isRecord(thing) && typeof thing['table'] === 'string' && typeof thing['version'] === 'number')
      return [{ table: thing['table'], version: thing['version'], value: thing['value'] }];
    const { fault } = fail('not-read', 'a thing of the library says its table and its version') as {
      fault: Fault;
    };
    at(`library.${i}`, fault);
    return [];
  });
  return ok({ plans, batches, library, faults });
}
