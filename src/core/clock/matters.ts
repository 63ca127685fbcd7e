import type { Plan } from '../plan/planSchema.ts';
import type { Task } from '../task/task.ts';
import { BLEND_SD, JUDGED_SD, REST, START_SD, WARMTH } from '../timing/estimates.ts';
import type { Normals } from '../timing/normals.ts';
import { sampling, type Held, type Keeping } from '../timing/odds.ts';
import type { PlanCourse } from './planCourse.ts';

/** One thing that is taken to be so and may be otherwise, and what the odds of the whole are then. */
export interface Matter {
  readonly name: string;
  /** what is otherwise, and the odds then, 0 to 1: one standard deviation one way and the other */
  readonly less: { readonly says: string; readonly whole: number };
  readonly more: { readonly says: string; readonly whole: number };
}

/** Hands that are so much quicker or slower. */
const PACE = 1.25;

/** What is in doubt by less makes no difference. */
const SURE = 0.02;

interface Asked {
  readonly name: string;
  readonly less: { readonly says: string; readonly held: Held };
  readonly more: { readonly says: string; readonly held: Held };
}

function asked(plan: Plan, { course }: PlanCourse): readonly Asked[] {
  const named = (name: string): string => {
    const id = name.replace(/^(piping )?fragrance /, '');
    const all = [...plan.batter.fragrances, ...(plan.second?.batter.fragrances ?? [])];
    const fragrance = all.find((f) => f.id === id);
    if (fragrance) return `How strongly “${fragrance.name}” quickens`;
    if (name === REST) return 'How soon it stiffens at rest';
    if (name === WARMTH) return 'What its temperature does';
    return name === 'recipe' ? 'How fast the recipe thickens' : 'How fast the piping thickens';
  };
  const doubts = course.doubts.flatMap(({ name, sd }, place): readonly Asked[] => {
    if (sd < SURE) return [];
    const times = Math.round((Math.exp(sd) - 1) * 100);
    return [
      {
        name: named(name),
        less: { says: `${times} % slower`, held: { doubt: { place, z: -1 } } },
        more: { says: `${times} % faster`, held: { doubt: { place, z: 1 } } },
      },
    ];
  });
  const { falseTrace = 0 } = course;
  const blends = course.acts.some((a) => a.prepares?.some((p) => p.blendTo !== undefined));
  return [
    ...doubts,
    ...(falseTrace > 0
      ? [
          {
            name: 'Whether fat sets in it',
            less: { says: 'always', held: { melted: false } },
            more: { says: 'never', held: { melted: true } },
          },
        ]
      : []),
    {
      name: 'Where the batch is stopped',
      less: { says: 'thinner by a little', held: { begun: 0 - START_SD } },
      more: { says: 'thicker by a little', held: { begun: START_SD } },
    },
    {
      name: 'Telling when it carries',
      less: { says: 'always too early', held: { judged: 0 - JUDGED_SD } },
      more: { says: 'always too late', held: { judged: JUDGED_SD } },
    },
    ...(blends
      ? [
          {
            name: 'Where blending ends',
            less: { says: 'always short', held: { blended: 0 - BLEND_SD } },
            more: { says: 'always too far', held: { blended: BLEND_SD } },
          },
        ]
      : []),
    {
      name: 'How quick your hands are',
      less: { says: 'a quarter quicker', held: { pace: 1 / PACE } },
      more: { says: 'a quarter slower', held: { pace: PACE } },
    },
  ];
}

/**
 * What matters most: each assumption out by its own doubt, everything else drawn as ever; the one whose
 * wrongness changes the odds most comes first.
 */
export function* weighing(
  plan: Plan,
  of: PlanCourse,
  normals: Normals,
  keeping: Keeping,
): Task<never, readonly Matter[]> {
  const all: Matter[] = [];
  const list = asked(plan, of);
  for (const [k, { name, less, more }] of list.entries()) {
    yield { done: k / list.length };
    const low = yield* sampling(of.course, normals, keeping, less.held);
    const high = yield* sampling(of.course, normals, keeping, more.held);
    all.push({
      name,
      less: { says: less.says, whole: low.whole },
      more: { says: more.says, whole: high.whole },
    });
  }
  const spread = ({ less, more }: Matter): number => Math.abs(less.whole - more.whole);
  return all.toSorted((a, b) => spread(b) - spread(a));
}
