import { chromaOf, hueOf, labOfHex } from './lab.ts';

/** Less chroma is no hue that one would name. A judgement. */
const GREY = 7;

/** Up to these angles of CIE L*a*b* hue a colour is called so; judgements, no source. */
const HUES: readonly (readonly [number, string])[] = [
  [20, 'pink'],
  [45, 'red'],
  [78, 'orange'],
  [112, 'yellow'],
  [165, 'green'],
  [215, 'teal'],
  [310, 'blue'],
  [335, 'purple'],
  [361, 'pink'],
];

/** Dark orange is called brown, and dark yellow olive. */
const DARK: Readonly<Partial<Record<string, string>>> = { orange: 'brown', yellow: 'olive', pink: 'plum' };
const PALE: Readonly<Partial<Record<string, string>>> = { yellow: 'cream', orange: 'peach' };

/**
 * A colour in words, for who does not see it or has it printed in black: "dark red", "pale green", "brown".
 */
export function colourWord(hex: string): string {
  const lab = labOfHex(hex);
  const [light] = lab;
  if (chromaOf(lab) < GREY)
    return light > 88
      ? 'white'
      : light > 65
        ? 'pale grey'
        : light > 35
          ? 'grey'
          : light > 18
            ? 'dark grey'
            : 'black';
  const hue = HUES.find(([to]) => hueOf(lab) < to)?.[1] ?? 'red';
  if (light > 80) return PALE[hue] ?? `pale ${hue}`;
  if (light < 60 && DARK[hue] !== undefined) return light < 35 ? `dark ${DARK[hue]}` : DARK[hue];
  return light < 40 ? `dark ${hue}` : hue;
}
