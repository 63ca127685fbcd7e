import { updateStroke } from '../edit/pattern.ts';
import { TOP_MM } from '../pattern/knowHow.ts';
import { depthAt } from '../pattern/depthAt.ts';
import type { Stroke } from '../plan/stepSchema.ts';
import { formatLength } from '../units/format.ts';
import type { Facts } from './facts.ts';
import { setWarnings } from './inSet.ts';
import type { Warning } from './warning.ts';

/** What there is to say of a stick drawn through batter. */
export function strokeWarnings(facts: Facts, stroke: Stroke): Warning[] {
  const { plan } = facts;
  const { length } = plan.units;
  const about = { station: 'design', step: stroke.id } as const;
  const deepest = depthAt(facts, stroke);
  const deep: Warning[] =
    stroke.depthMm > deepest + 0.5
      ? [
          {
            ...about,
            code: 'stroke-deep',
            level: 'warn',
            message: `The stick goes ${formatLength(stroke.depthMm, length)} deep, and the batter is ${formatLength(deepest, length)} deep there: it scrapes along the floor.`,
            remedies: [
              {
                label: `${formatLength(Math.floor(deepest), length)} deep`,
                apply: (p) => updateStroke(p, stroke.id, { depthMm: Math.max(0.5, Math.floor(deepest)) }),
              },
            ],
          },
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
        {
          ...about,
          code: 'stroke-outside',
          level: 'refuse',
          message: `The stick's way leaves the mould: ${off.length === 1 ? 'a point' : `${off.length} points`} of it, the first ${formatLength(worst.xMm, length)} right of the middle and ${formatLength(worst.yMm, length)} beyond it.`,
        },
      ]
    : [];
  const below: Warning[] =
    stroke.forTop && stroke.depthMm > TOP_MM
      ? [
          {
            ...about,
            code: 'stroke-below-top',
            level: 'warn',
            message: `Meant for the top, the stick goes ${formatLength(stroke.depthMm, length)} deep: below ${formatLength(TOP_MM, length)} it draws the inside about, as the section shows.`,
            remedies: [
              {
                label: `${formatLength(TOP_MM, length)} deep`,
                apply: (p) => updateStroke(p, stroke.id, { depthMm: TOP_MM }),
              },
            ],
          },
        ]
      : [];
  return [...outside, ...deep, ...set, ...below];
}
