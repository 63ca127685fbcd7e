/** The same inputs: what an edit leaves alone is the same object, so that hardly anything has to be looked into. */
function isSame(a: unknown, b: unknown): boolean {
  if (Object.is(a, b)) return true;
  if (typeof a !== 'object' || typeof b !== 'object' || a === null || b === null) return false;
  if (Array.isArray(a) !== Array.isArray(b)) return false;
  const keys = Object.keys(a);
  return (
    keys.length === Object.keys(b).length &&
    keys.every((k) => isSame((a as Record<string, unknown>)[k], (b as Record<string, unknown>)[k]))
  );
}

/** So many are kept: what is edited, its second batch, and what it is compared with. */
const KEPT = 6;

/**
 * What was made of some inputs, kept by what is in them: the same object comes back for inputs that are alike, the ones used last are
 * kept. Inputs are plain data, never changed.
 */
export function keptByInputs<R>(): (inputs: object, make: () => R) => R {
  let kept: readonly { readonly inputs: object; readonly made: R }[] = [];
  return (inputs, make) => {
    const known = kept.find((k) => isSame(k.inputs, inputs));
    const now = known ?? { inputs, made: make() };
    kept = [now, ...kept.filter((k) => k !== known)].slice(0, KEPT);
    return now.made;
  };
}
