/** So many are kept: what is edited, its second batch, and what it is compared with. */
const KEPT = 6;

const isSame = (a: readonly unknown[], b: readonly unknown[]): boolean =>
  a.length === b.length && a.every((x, i) => Object.is(x, b[i]));

/**
 * What was made of some inputs, kept by them: the same object comes back for the very same inputs, the ones
 * used last are kept. An edit leaves what it does not change as the same object; what is only alike (read
 * from a file once more) is made anew, so that whatever was made speaks of the objects of its own plan.
 */
export function keptByInputs<R>(): (inputs: readonly unknown[], make: () => R) => R {
  let kept: readonly { readonly inputs: readonly unknown[]; readonly made: R }[] = [];
  return (inputs, make) => {
    const known = kept.find((k) => isSame(k.inputs, inputs));
    const now = known ?? { inputs, made: make() };
    kept = [now, ...kept.filter((k) => k !== known)].slice(0, KEPT);
    return now.made;
  };
}

/** The fields of an object as inputs, with their names. */
export const fieldsOf = (of: object): readonly unknown[] => Object.entries(of).flat();
