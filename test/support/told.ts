import type { Computed } from '../../src/core/computed/compute.ts';
import type { Act } from '../../src/core/procedure/act.ts';
import { procedureOf } from '../../src/core/procedure/procedureOf.ts';
import type { Words } from '../../src/core/procedure/words/says.ts';
import { wordsOf } from '../../src/core/procedure/words/wordsOf.ts';

/** The procedure as a maker reads it: each act with its words. */
export const told = (computed: Computed): readonly (Act & Words)[] =>
  procedureOf(computed).map((act) => ({ ...act, ...wordsOf(act, computed.plan) }));
