import type { Fault } from '../result/result.ts';
import { checkMould } from './checkMould.ts';
import { repeats, unknown } from './faults.ts';
import { FIRST, hasGivenBatch, isFollower, mouldOfStep } from './moulds.ts';
import type { Plan } from './planSchema.ts';

/**
 * Each mould must have room inside, each step name a mould that has steps of its own, and no more than one
 * take what is left.
 */
export function mouldFaults(plan: Plan): Fault[] {
  const ids = new Set([FIRST, ...plan.others.map((o) => o.id)]);
  const left = plan.others.flatMap((o, i) => (o.to.kind === 'left' ? [i] : []));
  const [, second] = left;
  const [first] = left;
  return [
    ...checkMould(plan.mould),
    ...plan.others.flatMap((o, i): Fault[] => [
      ...checkMould(o.mould).map((f) => ({ ...f, at: `others.${i}.${f.at ?? 'mould'}` })),
      ...(o.id === FIRST
        ? [{ code: 'repeated-id' as const, message: `"${FIRST}" is the first mould`, at: `others.${i}.id` }]
        : []),
    ]),
    ...repeats(plan.others, 'others'),
    ...plan.steps.flatMap((s, i): Fault[] => {
      const mould = mouldOfStep(s);
      if (!ids.has(mould)) return [unknown('mould', `steps.${i}.mould`, mould)];
      return isFollower(plan, mould)
        ? [
            {
              code: 'mould-follows' as const,
              message: `mould "${mould}" follows the first one's design and has no steps of its own`,
              at: `steps.${i}.mould`,
            },
          ]
        : [];
    }),
    ...(first !== undefined && !hasGivenBatch(plan)
      ? [
          {
            code: 'nothing-left' as const,
            message: 'nothing is left of a batch that is as large as its moulds want',
            at: `others.${first}.to`,
          },
        ]
      : []),
    ...(second !== undefined || (first !== undefined && !plan.fill.upTo)
      ? [
          {
            code: 'left-twice' as const,
            message: 'only one mould can take what is left of the batch',
            at: `others.${second ?? first ?? 0}.to`,
          },
        ]
      : []),
  ];
}
