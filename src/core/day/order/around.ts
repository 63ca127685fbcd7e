import { columnsIn } from '../../mould/column.ts';
import { FIRST, usesOf } from '../../plan/moulds.ts';
import type { Plan } from '../../plan/planSchema.ts';
import type { DayAct } from '../act.ts';

const suffix = (mould: string): string => (mould === FIRST ? '' : `:${mould}`);

/** Before anything: what to wear and to read, and what to lay out. */
export const before = (plan: Plan): readonly DayAct[] => [
  { id: 'safety', does: 'protect', chapter: 'safety' },
  { id: 'data-sheets', does: 'read-data-sheets', chapter: 'safety' },
  ...usesOf(plan).flatMap(({ id, mould }): readonly DayAct[] => {
    const out = (what: string) =>
      ({ id: `lay-out:${what}${suffix(id)}`, chapter: 'lay-out', mould: id }) as const;
    return [
      { ...out('mould'), does: 'lay-out-mould' },
      ...(mould.mat ? [{ ...out('mat'), does: 'lay-mat' } as const] : []),
      ...(mould.divider ? [{ ...out('divider'), does: 'set-divider' } as const] : []),
      ...(columnsIn(mould).length > 0 ? [{ ...out('columns'), does: 'stand-columns' } as const] : []),
    ];
  }),
  { id: 'lay-out:jugs', does: 'lay-out-jugs', chapter: 'lay-out' },
  { id: 'lay-out:scale', does: 'lay-out-scales', chapter: 'lay-out' },
  { id: 'lay-out:tools', does: 'lay-out-tools', chapter: 'lay-out' },
  { id: 'lay-out:fragrance', does: 'lay-out-fragrance', chapter: 'lay-out' },
];

/** After the pour: what is done to the loaf, out of the mould, and the cut. */
export const after = (plan: Plan): readonly DayAct[] => [
  ...plan.steps.flatMap((step): readonly DayAct[] =>
    step.kind === 'finish' ? [{ id: step.id, does: 'finish', chapter: 'finish', step }] : [],
  ),
  { id: 'unmould', does: 'unmould', chapter: 'cut' },
  ...usesOf(plan).map(({ id: mould }): DayAct => ({
    id: `cut${suffix(mould)}`,
    does: 'cut',
    chapter: 'cut',
    mould,
  })),
];
