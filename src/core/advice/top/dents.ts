import { removeStep } from '../../edit/pours.ts';
import { setTop } from '../../edit/tops.ts';
import { isLeftOut } from '../../fill/pressed.ts';
import type { Plan } from '../../plan/planSchema.ts';
import type { Top } from '../../plan/stepSchema.ts';
import type { TopWay } from '../../plan/topSchema.ts';
import { formatLength } from '../../units/format.ts';
import type { Facts } from '../facts.ts';
import { warn, refuse, remedy, type Warning } from '../warning.ts';
import { type About, TOUCH, clearOfCuts, floorHalf } from './clear.ts';

/** A spoon pressed in. */
export function dented(
  facts: Facts,
  step: Top,
  about: About,
  way: Extract<TopWay, { top: 'dents' }>,
): Warning[] {
  const { plan, geometry, stack, fill } = facts;
  const say = (mm: number): string => formatLength(mm, plan.units.length);
  const leave = remedy('Leave them out', (p: Plan) => removeStep(p, step.id));
  if (isLeftOut(plan, geometry, fill.heightMm, step))
    return [
      warn(
        about,
        'top-crowded',
        'More dents than a top has room for: these are left out, and what was pressed in before them is drawn.',
        [leave],
      ),
    ];
  const lasts = geometry.rooms.flatMap((room) => stack.layers.findLast((l) => l.room === room) ?? []);
  if (lasts.some((l) => !l.rough))
    return [
      refuse(
        about,
        'dents-slanted',
        lasts.some((l) => l.scraping)
          ? 'The last layer is scraped to a profile: no dents are pressed into that.'
          : 'The last layer slopes: dents are pressed into a level top.',
        [leave],
      ),
    ];
  const through = Math.max(0, ...lasts.map((l) => l.rough?.crossesMm ?? 0));
  // what is pushed aside raises the top in proportion: at this depth they come to the layer's foot
  const raised = Math.max(0, ...lasts.map((l) => l.rough?.dents?.raisedMm ?? 0));
  const less = floorHalf((way.depthMm * (way.depthMm - raised - through)) / (way.depthMm - raised));
  return [
    ...(through > TOUCH
      ? [
          warn(
            about,
            'dents-through',
            `Dents ${say(way.depthMm)} deep go ${say(through)} through the last layer.`,
            [
              ...(less >= 0.5
                ? [
                    remedy(`Only ${say(less)} deep`, (p: Plan) =>
                      setTop(p, step.id, { ...way, depthMm: less }),
                    ),
                  ]
                : []),
              leave,
            ],
          ),
        ]
      : []),
    ...clearOfCuts(facts, step, about, way, 'dents'),
  ];
}
