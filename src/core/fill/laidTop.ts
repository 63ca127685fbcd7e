import type { Thing } from '../flow/heap.ts';
import type { Ridges, Top } from '../plan/stepSchema.ts';
import type { Grams, Millilitres } from '../units/quantity.ts';
import type { PotId } from '../validate/ids.ts';

type OneThing<T extends Thing> = T extends Thing ? Omit<T, 'deposit'> : never;

/** A thing on top, before its deposit has a number; what of it is soap or batter. */
export type TopThing = OneThing<Thing> & { readonly room: number; readonly volumeMl: Millilitres };

/** What of a top is of one kind: of one pot, or bought or made ahead. */
export interface TopPart {
  /** the name that it has its colour by */
  readonly key: string;
  readonly pot?: PotId;
  /** how many there are; none of them is laid where more lie on the mould than are drawn */
  readonly count: number;
  readonly things: readonly TopThing[];
  /** of all of it in one mould */
  readonly volumeMl: Millilitres;
  /** where it is known without what it is made of */
  readonly massG?: Grams;
}

/**
 * Something on top as it lies on one mould; or the ridges under it, which are its top once it stands on them.
 */
export interface LaidTop {
  readonly step: Top | Ridges;
  readonly parts: readonly TopPart[];
}
