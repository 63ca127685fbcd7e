import { setTop } from '../../edit/tops.ts';
import type { Plan } from '../../plan/planSchema.ts';
import type { Top } from '../../plan/stepSchema.ts';
import type { TopWay } from '../../plan/topSchema.ts';
import { formatLength } from '../../units/format.ts';
import type { Facts } from '../facts.ts';
import { refuse, remedy, type Warning } from '../warning.ts';
import { type About, TOUCH, clearOfCuts, floorHalf } from './clear.ts';

/** Straws stuck in. */
export function straws(
  facts: Facts,
  step: Top,
  about: About,
  way: Extract<TopWay, { top: 'straws' }>,
): Warning[] {
  const { plan, fill } = facts;
  const say = (mm: number): string => formatLength(mm, plan.units.length);
  const most = Math.max(2, floorHalf(fill.heightMm - 5));
  return [
    ...(way.deepMm > fill.heightMm + TOUCH
      ? [
          refuse(
            about,
            'straws-deep',
            `Straws go ${say(way.deepMm)} deep, and the soap is ${say(fill.heightMm)} deep.`,
            [remedy(`${say(most)} deep`, (p: Plan) => setTop(p, step.id, { ...way, deepMm: most }))],
          ),
        ]
      : []),
    ...clearOfCuts(facts, step, about, way, 'straws'),
  ];
}
