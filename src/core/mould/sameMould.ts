import * as v from 'valibot';
import { mouldSchema, type Mould } from './schema.ts';

/** The fields in the schema's order, so that two equal moulds give the same text. */
const canonical = (mould: Mould): string => JSON.stringify(v.parse(mouldSchema, mould));

export const sameMould = (a: Mould, b: Mould): boolean => canonical(a) === canonical(b);
