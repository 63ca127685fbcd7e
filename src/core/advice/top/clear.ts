import { setTop } from '../../edit/tops.ts';
import { type Footprint, barGrid } from '../../fill/barGrid.ts';
import type { Plan } from '../../plan/planSchema.ts';
import type { Top } from '../../plan/stepSchema.ts';
import type { TopWay } from '../../plan/topSchema.ts';
import { formatLength } from '../../units/format.ts';
import type { Facts } from '../facts.ts';
import { remedy, warn, type Remedy, type Warning } from '../warning.ts';

/** Lengths are known to this, mm. */
export const TOUCH = 0.05;

export type About = Pick<Warning, 'station' | 'step'>;

/** The narrowest of the bars, each way. */
export function narrowest(bars: readonly Footprint[]): { readonly wideMm: number; readonly deepMm: number } {
  return {
    wideMm: Math.min(...bars.map((b) => b.x1 - b.x0)),
    deepMm: Math.min(...bars.map((b) => b.y1 - b.y0)),
  };
}

export const barsOf = ({ plan, geometry, fill }: Facts): readonly Footprint[] =>
  barGrid(plan.mould, geometry, plan.cut, fill.heightMm);

export const floorHalf = (mm: number): number => Math.floor(mm * 2 + 1e-9) / 2;

/** So many of one size in a row take more than a bar has: they lie on its cuts, or on each other. */
export function overCut(
  facts: Facts,
  about: About,
  { count, acrossMm, roomMm, what }: { count: number; acrossMm: number; roomMm: number; what: string },
  remedies: { readonly fewer: (count: number) => Remedy; readonly smaller: (mm: number) => Remedy },
): Warning[] {
  if (count * acrossMm <= roomMm + TOUCH) return [];
  const say = (mm: number): string => formatLength(mm, facts.plan.units.length);
  const fits = Math.floor((roomMm + TOUCH) / acrossMm);
  const size = floorHalf(roomMm / count);
  return [
    warn(
      about,
      'top-over-cut',
      `${count} ${what} of ${say(acrossMm)} take ${say(count * acrossMm)}, and a bar has ${say(roomMm)} there: they lie on its cuts.`,
      [...(fits >= 1 ? [remedies.fewer(fits)] : []), ...(size >= 3 ? [remedies.smaller(size)] : [])],
    ),
  ];
}

export type EveryBar = Extract<TopWay, { rows: number }>;

/** What stands in rows on every bar keeps clear of its cuts, both ways. */
export function clearOfCuts(facts: Facts, step: Top, about: About, way: EveryBar, what: string): Warning[] {
  const bars = barsOf(facts);
  if (bars.length === 0) return [];
  const { wideMm, deepMm } = narrowest(bars);
  const { acrossMm } = way;
  const put = (change: Partial<Pick<EveryBar, 'rows' | 'perBar' | 'acrossMm'>>) => (p: Plan) =>
    setTop(p, step.id, { ...way, ...change });
  const say = (mm: number): string => formatLength(mm, facts.plan.units.length);
  const smaller = (mm: number): Remedy => remedy(`${say(mm)} across`, put({ acrossMm: mm }));
  return [
    ...overCut(
      facts,
      about,
      { count: way.perBar, acrossMm, roomMm: deepMm, what },
      { fewer: (n) => remedy(`${n} to a bar`, put({ perBar: n })), smaller },
    ),
    ...overCut(
      facts,
      about,
      { count: way.rows, acrossMm, roomMm: wideMm, what: `rows of ${what}` },
      { fewer: (n) => remedy(`${n} rows`, put({ rows: n })), smaller },
    ),
  ];
}
