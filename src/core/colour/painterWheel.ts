import { hueOf, type Lab } from './lab.ts';

/*
 * The painter's wheel: red, yellow and blue a third apart, their mixtures between them, opposites facing each
 * other. Common practice, no source for the angles: the anchors below put CIE L*a*b* hues of pigments where
 * painters put them. An earthen yellow (hue about 76) is a yellow there, not an orange.
 */
const ANCHORS: readonly (readonly [labHue: number, wheel: number])[] = [
  [-40, -60],
  [38, 0],
  [60, 60],
  [76, 115],
  [103, 128],
  [136, 180],
  [200, 210],
  [293, 240],
  [320, 300],
  [398, 360],
];

/**
 * Where a colour stands on the painter's wheel, degrees: red 0, orange 60, yellow 120, green 180, blue 240,
 * purple 300.
 */
export function wheelOf(lab: Lab): number {
  const hue = hueOf(lab);
  const i = Math.max(
    1,
    ANCHORS.findIndex(([at]) => hue <= at),
  );
  const [h0, w0] = ANCHORS[i - 1] as readonly [number, number];
  const [h1, w1] = ANCHORS[i] as readonly [number, number];
  return (w0 + ((hue - h0) / (h1 - h0)) * (w1 - w0) + 360) % 360;
}

/** How far apart two places of the wheel are, 0 to 180. */
export const wheelApart = (one: number, other: number): number => {
  const apart = Math.abs(one - other) % 360;
  return apart > 180 ? 360 - apart : apart;
};

/**
 * Colours further apart than this on the wheel are opposites: stirred together they are mud. A judgement, no
 * source.
 */
export const OPPOSITE = 150;

/**
 * Up to about a third of the wheel apart (and what the anchors leave unsure) colours make a clear one between
 * them.
 */
const THIRD = 130;

const NAMES = ['red', 'orange', 'yellow', 'green', 'blue', 'purple'] as const;

/** The name of a place on the wheel. */
export const wheelName = (wheel: number): string => NAMES[Math.round(wheel / 60) % 6] ?? 'red';

/**
 * What two colours become when they are stirred together, in words: by the painter's rule, not by idealised
 * curves.
 */
export function stirredName(one: number, other: number): string {
  const apart = wheelApart(one, other);
  if (apart >= OPPOSITE)
    return [one, other].some((w) => wheelName(w) === 'blue') ? 'a grey-brown' : 'a brown';
  const turn = ((other - one + 540) % 360) - 180;
  const between = wheelName((one + turn / 2 + 360) % 360);
  return `${apart > THIRD ? 'a dull ' : between === 'orange' ? 'an ' : 'a '}${between}`;
}
