import { LIGHTS } from '../flow/heap.ts';
import type { Content } from '../pattern/body.ts';

/** What is seen of a deposit in less light has a name of its own. */
const IN_LIGHT = '~';

/** A colour in less light: 1 all of it, 0 the least there is. */
export function darker(hex: string, light: number): string {
  const part = (at: number): string =>
    Math.round(Math.min(255, parseInt(hex.slice(at, at + 2), 16) * (0.42 + 0.58 * light)))
      .toString(16)
      .padStart(2, '0');
  return `#${part(1)}${part(3)}${part(5)}`;
}

/** Stands in where there is no colour to show. */
const NONE = '#808080';

/** "#rrggbb" of what a picture calls so: a deposit, or a deposit in some light. */
export function colourOf(colours: ReadonlyMap<string, string>, name: string): string {
  const at = name.lastIndexOf(IN_LIGHT);
  if (at < 0) return colours.get(name) ?? NONE;
  const light = Number(name.slice(at + 1)) / (LIGHTS - 1);
  return darker(colours.get(name.slice(0, at)) ?? NONE, light);
}

type Heaped = Extract<Content, { kind: 'heaped' }>;

/** The same heap, read with the light that falls on it. */
export const inRelief = ({ keys, key, heap }: Heaped): Heaped => ({
  kind: 'heaped',
  keys: keys.flatMap((k) => Array.from({ length: LIGHTS }, (_, i) => `${k}${IN_LIGHT}${i}`)),
  key: `${key} in relief`,
  heap: { ...heap, relief: true },
});
