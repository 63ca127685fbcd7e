import { toJsonSchema } from '@valibot/to-json-schema';
import { writeFileSync } from 'node:fs';
import * as v from 'valibot';
import { PLAN_FORMAT, PLAN_VERSION } from '../src/core/exchange/planVersion.ts';
import { planSchema } from '../src/core/plan/planSchema.ts';

/** Writes docs/plan.schema.json from the one schema that the product reads plan files with. */
const file = v.strictObject({
  format: v.literal(PLAN_FORMAT),
  version: v.literal(PLAN_VERSION),
  ...planSchema.entries,
});
const schema = toJsonSchema(file, { target: 'draft-2020-12', errorMode: 'ignore' });
const text = JSON.stringify({ $id: 'plan.schema.json', title: 'Drip Line plan file', ...schema }, null, 2);
writeFileSync('docs/plan.schema.json', `${text}\n`);
