import { pullBefore, updateStroke } from '../edit/pattern.ts';
import { isInStar, starOf } from '../flow/outline.ts';
import type { Spot } from '../flow/spec.ts';
import { columnOutline, columnsIn } from '../mould/column.ts';
import { strokePaths } from '../pattern/blocks.ts';
import { TOP_MM } from '../pattern/knowHow.ts';
import { depthAt } from '../pattern/depthAt.ts';
import type { Stroke } from '../plan/stepSchema.ts';
import { formatLength } from '../units/format.ts';
import type { Facts } from './facts.ts';
import { setWarnings } from './inSet.ts';
import type { Warning } from './warning.ts';
import { refuse, remedy, warn } from './/warning.ts';

/** A stick's way is looked at in steps of so much, mm. */
const LOOK_MM = 1;

const between = ([ax, ay]: Spot, [bx, by]: Spot): readonly Spot[] => {
  const steps = Math.max(1, Math.ceil(Math.hypot(bx - ax, by - ay) / LOOK_MM));
  return Array.from({ length: steps + 1 }, (_, i): Spot => [
    ax + ((bx - ax) * i) / steps,
    ay + ((by - ay) * i) / steps,
  ]);
};

/** A stick does not go through a column that stands. */
function atColumn(facts: Facts, stroke: Stroke): Warning[] {
  const { plan, geometry } = facts;
  const pulled = plan.steps.slice(0, plan.steps.indexOf(stroke)).some((s) => s.kind === 'pull');
  const columns = geometry.rooms.flatMap((r) => r.columns);
  if (pulled || columns.length === 0) return [];
  const ways = strokePaths(facts, stroke).flatMap((way) =>
    way.flatMap((p, i) => (i === 0 ? [p] : between(way[i - 1] as Spot, p))),
  );
  const met = columns.filter((c) => {
    const star = starOf(columnOutline(c));
    return ways.some(([x, y]) => isInStar(star, x, y));
  });
  const [first] = met;
  if (!first) return [];
  const name =
    columnsIn(plan.mould).length > 1 ? `column ${columnsIn(plan.mould).indexOf(first) + 1}` : 'the column';
  return [
    warn(
      { station: 'design', step: stroke.id },
      'stroke-at-column',
      `The stick's way goes through ${name}${met.length > 1 ? ' and others' : ''}, which still ${met.length > 1 ? 'stand' : 'stands'} then.`,
      [remedy('Pull it first', (p) => pullBefore(p, stroke.id))],
    ),
  ];
}

/** What there is to say of a stick drawn through batter. */
export function strokeWarnings(facts: Facts, stroke: Stroke): Warning[] {
  const { plan } = facts;
  const { length } = plan.units;
  const about = { station: 'design', step: stroke.id } as const;
  const deepest = depthAt(facts, stroke);
  const deep: Warning[] =
    stroke.depthMm > deepest + 0.5
      ? [
          warn(
            about,
            'stroke-deep',
            `The stick goes ${formatLength(stroke.depthMm, length)} deep, and the batter is ${formatLength(deepest, length)} deep there: it scrapes along the floor.`,
            [
              remedy(`${formatLength(Math.floor(deepest), length)} deep`, (p) =>
                updateStroke(p, stroke.id, { depthMm: Math.max(0.5, Math.floor(deepest)) }),
              ),
            ],
          ),
        ]
      : [];
  const set = setWarnings(facts, stroke, {
    code: 'stroke-in-set',
    lowestMm: Math.max(0, deepest - stroke.depthMm),
    what: `The stick goes ${formatLength(stroke.depthMm, length)} deep`,
  });
  const { path } = stroke;
  const spots = path.kind === 'free' ? path.points : path.kind === 'lines' ? [] : [path.about];
  const reach = facts.geometry.most;
  const off = spots.filter(
    (s) => Math.abs(s.xMm) > reach.width / 2 + 0.5 || Math.abs(s.yMm) > reach.length / 2 + 0.5,
  );
  const [worst] = off;
  const outside: Warning[] = worst
    ? [
        refuse(
          about,
          'stroke-outside',
          `The stick's way leaves the mould: ${off.length === 1 ? 'a point' : `${off.length} points`} of it, the first ${formatLength(worst.xMm, length)} right of the middle and ${formatLength(worst.yMm, length)} beyond it.`,
        ),
      ]
    : [];
  const below: Warning[] =
    stroke.forTop && stroke.depthMm > TOP_MM
      ? [
          warn(
            about,
            'stroke-below-top',
            `Meant for the top, the stick goes ${formatLength(stroke.depthMm, length)} deep: below ${formatLength(TOP_MM, length)} it draws the inside about, as the section shows.`,
            [
              remedy(`${formatLength(TOP_MM, length)} deep`, (p) =>
                updateStroke(p, stroke.id, { depthMm: TOP_MM }),
              ),
            ],
          ),
        ]
      : [];
  return [...outside, ...deep, ...set, ...below, ...atColumn(facts, stroke)];
}
