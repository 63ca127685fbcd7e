import * as v from 'valibot';
import { mergeFields } from '../../core/edit/mergeFields.ts';
import type { Thing } from '../../core/mould/propped.ts';
import { unitsSchema, type Units } from '../../core/plan/planSchema.ts';
import { lengthMm, listOf, name } from '../../core/validate/fields.ts';
import { BY_FIELD, readAs, WHOLE, type Kind } from './kind.ts';

const setting = { table: 'settings', key: 'key', version: 1 } as const;

/** The units that were chosen last: of two choices of one thing the later one is meant. */
export const UNITS: Kind<Units> = {
  ...setting,
  only: 'units',
  keyOf: () => 'units',
  nameOf: () => 'units',
  read: readAs(unitsSchema),
  merge: (base, mine, theirs) => (base === null ? mine : mergeFields(base, mine, theirs).value),
  apart: BY_FIELD.apart,
};

const things = listOf(
  v.strictObject({ name: name(60), heightMm: lengthMm(0.5, 400) }),
  60,
  'at most 60 things',
);

/** What there is to prop a mould on. */
export const PROPS: Kind<readonly Thing[]> = {
  ...setting,
  only: 'props',
  keyOf: () => 'props',
  nameOf: () => 'things to prop on',
  read: readAs(things),
  merge: (_base, mine) => mine,
  apart: WHOLE.apart,
};
