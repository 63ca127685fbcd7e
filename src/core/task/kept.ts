import type { Task } from './task.ts';

/** So many are kept: what is edited, its second batch, and what it is compared with. */
const KEPT = 6;

const isSame = (a: readonly unknown[], b: readonly unknown[]): boolean =>
  a.length === b.length && a.every((x, i) => Object.is(x, b[i]));

/** What was made of some inputs, the ones used last first. */
class Shelf<R> {
  private kept: readonly { readonly inputs: readonly unknown[]; readonly made: R }[] = [];

  find(inputs: readonly unknown[]): { readonly made: R } | undefined {
    const known = this.kept.find((k) => isSame(k.inputs, inputs));
    if (known) this.kept = [known, ...this.kept.filter((k) => k !== known)];
    return known;
  }

  keep(inputs: readonly unknown[], made: R): R {
    this.kept = [{ inputs, made }, ...this.kept].slice(0, KEPT);
    return made;
  }
}

/**
 * What was made of some inputs, kept by them: the same object comes back for the very same inputs, the ones
 * used last are kept. An edit leaves what it does not change as the same object; what is only alike (read
 * from a file once more) is made anew, so that whatever was made speaks of the objects of its own plan.
 */
export function keptByInputs<R>(): (inputs: readonly unknown[], make: () => R) => R {
  const shelf = new Shelf<R>();
  return (inputs, make) => {
    const known = shelf.find(inputs);
    return known ? known.made : shelf.keep(inputs, make());
  };
}

/** The same of what is made by a task; one that is left off leaves nothing. */
export function keptTask<R>(): <P>(inputs: readonly unknown[], begin: () => Task<P, R>) => Task<P, R> {
  const shelf = new Shelf<R>();
  return function* (inputs, begin) {
    const known = shelf.find(inputs);
    return known ? known.made : shelf.keep(inputs, yield* begin());
  };
}

/** The fields of an object as inputs, with their names. */
export const fieldsOf = (of: object): readonly unknown[] => Object.entries(of).flat();
