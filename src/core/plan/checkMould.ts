import { insideOf, type Inside } from '../mould/inside.ts';
import { boxAbout } from '../flow/box.ts';
import { gapBetween } from '../geometry/star.ts';
import { columnOutline, columnsIn, hasEye } from '../mould/column.ts';
import { repeats } from './faults.ts';
import type { Mould } from '../mould/schema.ts';
import type { Fault } from '../result/result.ts';
import { isRound, liesRound, standsOnEnd } from '../mould/round.ts';

const leastInside = ({ floor, rim, heightMm }: Inside): number =>
  Math.min(floor.width, floor.length, rim.width, rim.length, heightMm);

/** Floor of the lined inside, mm: what a divider or a column has to fit into. */
function floorOf(mould: Mould): {
  readonly width: number;
  readonly length: number;
  readonly least: number;
  /** a tube's that stands */
  readonly round: boolean;
} {
  const { shape, linerMm } = mould;
  if (!isRound(shape)) {
    const inside = insideOf(shape, mould);
    return { ...inside.floor, least: leastInside(inside), round: false };
  }
  const width = shape.diameterMm - 2 * linerMm;
  const length = shape.lengthMm - 2 * linerMm;
  const stands = standsOnEnd(shape);
  return { width, length: stands ? width : length, least: Math.min(width, length), round: stands };
}

const mm = (x: number): string => `${Number(x.toFixed(1))} mm`;

/**
 * Columns stand whole on the floor, clear of its edges and of each other, and their holes can be filled from
 * a middle.
 */
function checkColumns(
  mould: Mould,
  floor: { readonly width: number; readonly length: number; readonly round: boolean },
): Fault[] {
  const columns = columnsIn(mould);
  const own = columns.flatMap((column, i): Fault[] => {
    const at = `mould.columns.${i}`;
    if (!hasEye(column))
      return [
        {
          code: 'column-outline',
          message: `the outline of column ${i + 1} crosses itself, or turns back so far that no place inside sees all of it`,
          at: `${at}.points`,
        },
      ];
    const { x0, x1, y0, y1 } = boxAbout(columnOutline(column));
    const [wide, long] = [2 * Math.max(-x0, x1), 2 * Math.max(-y0, y1)];
    const far = 2 * Math.max(...columnOutline(column).map(([x, y]) => Math.hypot(x, y)));
    const name = columns.length > 1 ? `column ${i + 1}` : 'a column';
    const size = column.form === 'own' ? `${mm(x1 - x0)} x ${mm(y1 - y0)}` : `${mm(column.acrossMm)} across`;
    const field = `${at}.${column.form === 'own' ? 'points' : 'acrossMm'}`;
    const outside = (floorIs: string): Fault[] => [
      {
        code: 'column-outside',
        message: `${name} ${size} does not fit there: the floor is ${floorIs}`,
        at: field,
      },
    ];
    if (floor.round && far >= floor.width) return outside(`round, ${mm(floor.width)} across`);
    if (wide >= floor.width) return outside(`${mm(floor.width)} wide`);
    return long >= floor.length ? outside(`${mm(floor.length)} long`) : [];
  });
  if (own.length > 0) return own;
  const outlines = columns.map(columnOutline);
  const meeting = outlines.flatMap((o, i): Fault[] => {
    const other = outlines.findIndex((p, k) => k < i && gapBetween(p, o) <= 0);
    return other < 0
      ? []
      : [
          {
            code: 'columns-meet',
            message: `columns ${other + 1} and ${i + 1} stand in each other`,
            at: `mould.columns.${i}.xMm`,
          },
        ];
  });
  return [...repeats(columns, 'mould.columns'), ...meeting];
}

/** A compartment narrower than this is no compartment. */
const NARROWEST_MM = 8;

function checkDivider(
  { divider }: Mould,
  floor: { readonly width: number; readonly length: number },
): Fault[] {
  if (!divider) return [];
  const whole = divider.runs === 'lengthwise' ? floor.width : floor.length;
  let from = 0;
  for (const at of [...divider.atMm.toSorted((a, b) => a - b), whole + divider.thicknessMm / 2]) {
    if (at - divider.thicknessMm / 2 - from < NARROWEST_MM)
      return [
        {
          code: 'divider-outside',
          message: `walls at ${divider.atMm.map(mm).join(', ')} do not leave ${mm(NARROWEST_MM)} on each side in ${mm(whole)}`,
          at: 'mould.divider.atMm',
        },
      ];
    from = at + divider.thicknessMm / 2;
  }
  return [];
}

/** A mat lies on a flat floor, and its hollows end above it. */
function checkMat({ mat, shape }: Mould): Fault[] {
  if (!mat) return [];
  if (liesRound(shape))
    return [
      {
        code: 'mat-on-round',
        message: 'a mat lies on a flat floor, and this mould has a round one',
        at: 'mould.mat',
      },
    ];
  return mat.reliefMm > mat.thicknessMm
    ? [
        {
          code: 'mat-too-thin',
          message: `a relief of ${mm(mat.reliefMm)} does not go into a mat ${mm(mat.thicknessMm)} thick`,
          at: 'mould.mat.reliefMm',
        },
      ]
    : [];
}

/** What a schema cannot say about a mould: a liner, a divider, a column and a mat must leave room inside. */
export function checkMould(mould: Mould): Fault[] {
  const floor = floorOf(mould);
  if (floor.least < 5 && mould.mat && floorOf({ ...mould, mat: undefined }).least >= 5)
    return [
      {
        code: 'mould-closed',
        message: `a mat ${mm(mould.mat.thicknessMm)} thick leaves only ${mm(Math.max(0, floor.least))} of the mould; 5 mm at least is needed`,
        at: 'mould.mat.thicknessMm',
      },
    ];
  if (floor.least < 5)
    return [
      {
        code: 'mould-closed',
        message: `a ${mould.linerMm} mm liner leaves only ${floor.least.toFixed(1)} mm inside; 5 mm at least is needed`,
        at: 'mould.linerMm',
      },
    ];
  return [...checkDivider(mould, floor), ...checkColumns(mould, floor), ...checkMat(mould)];
}
