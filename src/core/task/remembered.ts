/**
 * What is made of an object, made once and kept for as long as the object is there. The mark on it and those
 * below lets a build leave out what is made by a call that nothing uses.
 */
/* @__NO_SIDE_EFFECTS__ */
export function remembered<K extends object, V>(make: (of: K) => V): (of: K) => V {
  const known = new WeakMap<K, { readonly made: V }>();
  return (of) => {
    const now = known.get(of) ?? { made: make(of) };
    known.set(of, now);
    return now.made;
  };
}

/** What is made of an object and of a word or a figure beside it. */
/* @__NO_SIDE_EFFECTS__ */
export function rememberedBy<V>(): (of: object, key: string | number, make: () => V) => V {
  const all = remembered((_of: object) => new Map<string | number, { readonly made: V }>());
  return (of, key, make) => {
    const byKey = all(of);
    const now = byKey.get(key) ?? { made: make() };
    byKey.set(key, now);
    return now.made;
  };
}

/** What was made last of an object and of some inputs beside it: made anew once one of them is another. */
/* @__NO_SIDE_EFFECTS__ */
export function rememberedLast<V>(): (of: object, inputs: readonly unknown[], make: () => V) => V {
  const known = new WeakMap<object, { readonly inputs: readonly unknown[]; readonly made: V }>();
  return (of, inputs, make) => {
    const before = known.get(of);
    const same =
      before?.inputs.length === inputs.length && before.inputs.every((x, i) => Object.is(x, inputs[i]));
    const now = before && same ? before : { inputs, made: make() };
    known.set(of, now);
    return now.made;
  };
}
