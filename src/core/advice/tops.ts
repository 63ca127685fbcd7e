import { removeStep } from '../edit/pours.ts';
import { topLast } from '../edit/tops.ts';
import { MOST_THINGS, topsOf } from '../fill/tops.ts';
import type { Plan } from '../plan/planSchema.ts';
import type { Top } from '../plan/stepSchema.ts';
import { formatLength } from '../units/format.ts';
import type { Facts } from './facts.ts';
import { type About, clearOfCuts } from './top/clear.ts';
import { dented } from './top/dents.ts';
import { mounded } from './top/mound.ts';
import { piped } from './top/piping.ts';
import { strewn } from './top/salt.ts';
import { straws } from './top/straws.ts';
import type { Warning } from './warning.ts';

/** Slices parallel to the floor that do not come to the top leave it to what is cut off. */
function inOffcut(facts: Facts, about: About): Warning[] {
  const { plan, cut } = facts;
  const { sliced } = cut;
  if (sliced?.by !== 'floor' || sliced.slices === 0 || cut.bars.some((b) => b.slice?.last)) return [];
  const { same } = cut.evenThicknessMm;
  const say = (mm: number): string => formatLength(mm, plan.units.length);
  return [
    {
      ...about,
      code: 'top-in-offcut',
      level: 'warn',
      message: `Sliced parallel to the floor ${say(sliced.offcutMm)} is left over at the top, and what is put on it goes with that.`,
      remedies:
        same === undefined
          ? []
          : [
              {
                label: `Slices of ${say(Math.floor(same * 10) / 10)}: nothing is left over`,
                apply: (p) => ({ ...p, cut: { ...p.cut, thicknessMm: Math.floor(same * 10) / 10 } }),
              },
            ],
    },
  ];
}

/** What there is to say of one thing that is put on top. */
function ofTop(facts: Facts, step: Top): Warning[] {
  const { plan } = facts;
  const about = { station: 'design', step: step.id } as const;
  const at = plan.steps.indexOf(step);
  const isPour = (s: Plan['steps'][number]): boolean => s.kind === 'pour';
  const leave = { label: 'Leave it out', apply: (p: Plan) => removeStep(p, step.id) };
  if (!plan.steps.some(isPour))
    return [
      {
        ...about,
        code: 'top-on-nothing',
        level: 'refuse',
        message: 'Nothing is poured: there is no top to put it on.',
        remedies: [leave],
      },
    ];
  if (plan.steps.slice(at + 1).some(isPour))
    return [
      {
        ...about,
        code: 'top-buried',
        level: 'refuse',
        message: 'Batter is poured over it afterwards: what is put on top would be buried.',
        remedies: [{ label: 'Put it on last', apply: (p) => topLast(p, step.id) }, leave],
      },
    ];
  const laid = topsOf(facts).find((t) => t.step.id === step.id);
  if (laid?.parts.length === 0 && step.way.top !== 'dents')
    return [
      {
        ...about,
        code: 'top-too-many',
        level: 'refuse',
        message: `More than ${MOST_THINGS} of them on one mould: nobody puts on as many.`,
        remedies: [leave],
      },
    ];
  const first = plan.steps.find((s) => s.kind === 'top') === step;
  return [...(first ? inOffcut(facts, about) : []), ...ofWay(facts, step, about)];
}

function ofWay(facts: Facts, step: Top, about: About): Warning[] {
  const { way } = step;
  switch (way.top) {
    case 'mound':
      return mounded(facts, step, about, way);
    case 'dents':
      return dented(facts, step, about, way);
    case 'piping':
      return piped(facts, step, about, way);
    case 'pieces':
      return clearOfCuts(facts, step, about, way, 'pieces');
    case 'straws':
      return straws(facts, step, about, way);
    case 'salt':
      return strewn(facts, step, about, way);
  }
}

export const topWarnings = (facts: Facts): Warning[] =>
  facts.plan.steps.flatMap((s) => (s.kind === 'top' ? ofTop(facts, s) : []));
