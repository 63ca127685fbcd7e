/** Made when it is first asked for, and kept. */
export function once<T>(make: () => T): () => T {
  let known: { readonly made: T } | undefined;
  return () => (known ??= { made: make() }).made;
}
