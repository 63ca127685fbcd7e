import { toJsonSchema } from '@valibot/to-json-schema';
import * as v from 'valibot';
import { batchSchema } from '../src/core/batch/batchSchema.ts';
import { BATCH_FORMAT, BATCH_VERSION } from '../src/core/batch/batchVersion.ts';
import { planSchema } from '../src/core/plan/planSchema.ts';
import { PLAN_FORMAT, PLAN_VERSION } from '../src/core/plan/planVersion.ts';

type Parts = Record<string, v.GenericSchema>;

const plan = v.strictObject({
  format: v.literal(PLAN_FORMAT),
  version: v.literal(PLAN_VERSION),
  ...planSchema.entries,
});

const batch = v.strictObject({
  format: v.literal(BATCH_FORMAT),
  version: v.literal(BATCH_VERSION),
  ...batchSchema.entries,
});

const textOf = (name: string, title: string, file: v.GenericSchema, parts: Parts = {}): string => {
  const schema = toJsonSchema(file, { target: 'draft-2020-12', errorMode: 'ignore', definitions: parts });
  return `${JSON.stringify({ $id: name, title, ...schema }, null, 2)}\n`;
};

/** The published schemas, by their files in docs/, made of those that the product reads its files with. */
export const SCHEMAS = {
  'plan.schema.json': textOf('plan.schema.json', 'Drip Line plan file', plan),
  'batch.schema.json': textOf('batch.schema.json', 'Drip Line batch file', batch, { plan: planSchema }),
};
