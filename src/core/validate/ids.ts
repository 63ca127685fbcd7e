import type * as v from 'valibot';
import { id } from './fields.ts';

/**
 * A flavoured id accepts plain text, but the id of a pot handed to a function that wants a step's is a type
 * error.
 */
type Id<K extends string> = string & { readonly __of?: K };

export type PotId = Id<'pot'>;
export type StepId = Id<'step'>;
export type MouldId = Id<'mould'>;
export type ColumnId = Id<'column'>;
export type OmbreId = Id<'ombre'>;
export type ColorantId = Id<'colorant'>;
export type DoseId = Id<'dose'>;

/** The same schema for each: what differs is known to the compiler alone. */
const idOf = <T extends Id<string>>(): v.GenericSchema<string, T> =>
  id as unknown as v.GenericSchema<string, T>;

export const potId = idOf<PotId>();
export const stepId = idOf<StepId>();
export const mouldId = idOf<MouldId>();
export const columnId = idOf<ColumnId>();
export const ombreId = idOf<OmbreId>();
export const colorantId = idOf<ColorantId>();
export const doseId = idOf<DoseId>();
