import { insideOf, type Inside } from '../mould/inside.ts';
import { columnOutline } from '../mould/rooms.ts';
import type { Mould } from '../mould/schema.ts';
import type { Fault } from '../result/result.ts';

const leastInside = ({ floor, rim, heightMm }: Inside): number =>
  Math.min(floor.width, floor.length, rim.width, rim.length, heightMm);

/** Floor of the lined inside, mm: what a divider or a column has to fit into. */
function floorOf(mould: Mould): { readonly width: number; readonly length: number; readonly least: number } {
  const { shape, linerMm } = mould;
  if (shape.kind !== 'half-round' && shape.kind !== 'tube') {
    const inside = insideOf(shape, mould);
    return { ...inside.floor, least: leastInside(inside) };
  }
  const width = shape.diameterMm - 2 * linerMm;
  const length = shape.lengthMm - 2 * linerMm;
  const stands = shape.kind === 'tube' && shape.stands === 'standing';
  return { width, length: stands ? width : length, least: Math.min(width, length) };
}

const mm = (x: number): string => `${Number(x.toFixed(1))} mm`;

function checkColumn({ column }: Mould, floor: { readonly width: number; readonly length: number }): Fault[] {
  if (!column) return [];
  const outline = columnOutline(column);
  const wide = 2 * Math.max(...outline.map(([x]) => Math.abs(x + column.xMm)));
  const long = 2 * Math.max(...outline.map(([, y]) => Math.abs(y + column.yMm)));
  const fault = (message: string): Fault[] => [
    { code: 'column-outside', message, at: 'mould.column.acrossMm' },
  ];
  if (wide >= floor.width)
    return fault(
      `a column ${mm(column.acrossMm)} across does not fit there: the floor is ${mm(floor.width)} wide`,
    );
  if (long >= floor.length)
    return fault(
      `a column ${mm(column.acrossMm)} across does not fit there: the floor is ${mm(floor.length)} long`,
    );
  return [];
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
  if (shape.kind === 'half-round' || (shape.kind === 'tube' && shape.stands === 'lying'))
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
  return [...checkDivider(mould, floor), ...checkColumn(mould, floor), ...checkMat(mould)];
}
