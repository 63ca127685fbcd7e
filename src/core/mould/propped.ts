import { fail, ok, type Result } from '../result/result.ts';
import type { Degrees, Millimetres } from '../units/quantity.ts';
import { CORNERS, tiltOfCorner, USUAL_FROM_CORNER_MM, type Corner } from './cornerProp.ts';
import { LEVEL, STEEPEST_DEG, tiltOfProp, type Tilt } from './tilt.ts';

/** Where something can be put under a mould: an edge, an end, or across a corner. */
export const EDGES = ['right-edge', 'left-edge', 'far-end', 'near-end'] as const;
export const UNDER = [...EDGES, ...CORNERS] as const;
export type Under = (typeof UNDER)[number];

/** Something put under the mould at one place. */
export interface PutUnder {
  /** what it is: "spoon" */
  readonly name?: string | undefined;
  readonly under: Under;
  readonly heightMm: Millimetres;
  /** across a corner: how far from it the rod meets the end and the long edge; 60 mm when absent */
  readonly fromCornerMm?: Millimetres | undefined;
}

/** Outside width and length of what the mould stands on. */
export interface Foot {
  readonly widthMm: Millimetres;
  readonly lengthMm: Millimetres;
}

export const isCorner = (under: Under): under is Corner => (CORNERS as readonly string[]).includes(under);

const overTurned = (degrees: Degrees | undefined): boolean =>
  degrees === undefined || Math.abs(degrees) > STEEPEST_DEG;

/**
 * The tilt that what is put under the mould gives: a rod across a corner by itself, or something under an
 * edge, an end, or both. Things under one place stand on one another. Refused: 'prop-too-high', 'prop-mixed'
 * (a corner and an edge), and what a corner refuses.
 */
export function tiltOfProps(foot: Foot, props: readonly PutUnder[]): Result<Tilt> {
  const corners = props.filter((p) => isCorner(p.under));
  const [first] = corners;
  if (first && isCorner(first.under)) {
    if (corners.length < props.length || corners.some((p) => p.under !== first.under))
      return fail(
        'prop-mixed',
        'a rod across a corner carries the mould by itself: nothing else goes under it',
      );
    const from = first.fromCornerMm ?? USUAL_FROM_CORNER_MM;
    return tiltOfCorner(foot, {
      corner: first.under,
      heightMm: corners.reduce((s, p) => s + p.heightMm, 0),
      alongEndMm: from,
      alongEdgeMm: from,
    });
  }
  const raised = (one: Under, other: Under): Millimetres =>
    props.reduce((s, p) => s + (p.under === one ? p.heightMm : p.under === other ? 0 - p.heightMm : 0), 0);
  const across = raised('right-edge', 'left-edge');
  const along = raised('far-end', 'near-end');
  const rollDeg = tiltOfProp(foot.widthMm, across);
  const pitchDeg = tiltOfProp(foot.lengthMm, along);
  if (overTurned(rollDeg))
    return fail(
      'prop-too-high',
      `${Math.abs(across).toFixed(0)} mm is too high under a mould ${foot.widthMm.toFixed(0)} mm wide`,
    );
  if (overTurned(pitchDeg))
    return fail(
      'prop-too-high',
      `${Math.abs(along).toFixed(0)} mm is too high under a mould ${foot.lengthMm.toFixed(0)} mm long`,
    );
  return ok({ rollDeg: rollDeg ?? LEVEL.rollDeg, pitchDeg: pitchDeg ?? LEVEL.pitchDeg });
}

/** A thing a maker has to put under a mould. */
export interface Thing {
  readonly name: string;
  readonly heightMm: Millimetres;
}

/** One way of making about a tilt from the things there are. */
export interface Suggestion {
  readonly props: readonly PutUnder[];
  readonly tilt: Tilt;
  /** how far the surface is from the one that is wanted, degrees */
  readonly offDeg: Degrees;
}

const offBy = (a: Tilt, b: Tilt): Degrees => Math.hypot(a.rollDeg - b.rollDeg, a.pitchDeg - b.pitchDeg);

/** A thing, or two of them together: the same one twice is not to be had. */
const piles = (things: readonly Thing[]): readonly (readonly Thing[])[] => [
  ...things.map((t) => [t]),
  ...things.flatMap((t, i) => things.slice(i + 1).map((other) => [t, other])),
];

/**
 * Ways of making about this tilt from the things there are: one of them, or two, the nearest first, single
 * ones before pairs that are hardly nearer. A tilt both ways is made by a rod across a corner, or by one
 * thing under an edge and another under an end.
 */
export function waysOfPropping(
  foot: Foot,
  wanted: Tilt,
  things: readonly Thing[],
  most = 3,
): readonly Suggestion[] {
  const edge: Under = wanted.rollDeg >= 0 ? 'right-edge' : 'left-edge';
  const end: Under = wanted.pitchDeg >= 0 ? 'far-end' : 'near-end';
  const put = (under: Under, thing: Thing): PutUnder => ({ ...thing, under });
  const both = wanted.rollDeg !== 0 && wanted.pitchDeg !== 0;
  const corner: Corner = `${wanted.rollDeg >= 0 ? 'right' : 'left'}-${wanted.pitchDeg >= 0 ? 'far' : 'near'}`;
  const trials: readonly (readonly PutUnder[])[] = both
    ? [
        ...things.map((t) => [put(corner, t)]),
        ...things.flatMap((t, i) =>
          things.flatMap((other, j) => (i === j ? [] : [[put(edge, t), put(end, other)]])),
        ),
      ]
    : piles(things).map((pile) => pile.map((t) => put(wanted.rollDeg !== 0 ? edge : end, t)));
  const hardly = 0.3;
  return trials
    .flatMap((props): Suggestion[] => {
      const tilt = tiltOfProps(foot, props);
      return tilt.ok ? [{ props, tilt: tilt.value, offDeg: offBy(tilt.value, wanted) }] : [];
    })
    .toSorted((a, b) => a.offDeg + a.props.length * hardly - (b.offDeg + b.props.length * hardly))
    .slice(0, most);
}
