import { removeStep } from '../edit/pours.ts';
import { topLast } from '../edit/tops.ts';
import { MOST_DRAWN, MOST_THINGS, topsOf } from '../fill/tops.ts';
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
import { refuse, remedy, warn } from './/warning.ts';

/** Slices parallel to the floor that do not come to the top leave it to what is cut off. */
function inOffcut(facts: Facts, about: About): Warning[] {
  const { plan, cut } = facts;
  const { sliced } = cut;
  if (sliced?.by !== 'floor' || sliced.slices === 0 || cut.bars.some((b) => b.slice?.last)) return [];
  const { same } = cut.evenThicknessMm;
  const say = (mm: number): string => formatLength(mm, plan.units.length);
  return [
    warn(
      about,
      'top-in-offcut',
      `Sliced parallel to the floor ${say(sliced.offcutMm)} is left over at the top, and what is put on it goes with that.`,
      same === undefined
        ? []
        : [
            remedy(`Slices of ${say(Math.floor(same * 10) / 10)}: nothing is left over`, (p) => ({
              ...p,
              cut: { ...p.cut, thicknessMm: Math.floor(same * 10) / 10 },
            })),
          ],
    ),
  ];
}

/** What there is to say of one thing that is put on top. */
function ofTop(facts: Facts, step: Top): Warning[] {
  const { plan } = facts;
  const about = { station: 'design', step: step.id } as const;
  const at = plan.steps.indexOf(step);
  const isPour = (s: Plan['steps'][number]): boolean => s.kind === 'pour';
  const leave = remedy('Leave it out', (p: Plan) => removeStep(p, step.id));
  if (!plan.steps.some(isPour))
    return [refuse(about, 'top-on-nothing', 'Nothing is poured: there is no top to put it on.', [leave])];
  if (plan.steps.slice(at + 1).some(isPour))
    return [
      refuse(
        about,
        'top-buried',
        'Batter is poured over it afterwards: what is put on top would be buried.',
        [remedy('Put it on last', (p) => topLast(p, step.id)), leave],
      ),
    ];
  const laid = topsOf(facts).find((t) => t.step.id === step.id);
  if (laid?.parts.length === 0 && step.way.top !== 'dents')
    return [
      refuse(
        about,
        'top-too-many',
        `More than ${MOST_THINGS} of them on one mould: nobody puts on as many.`,
        [leave],
      ),
    ];
  const first = plan.steps.find((s) => s.kind === 'top') === step;
  const crowded = laid?.parts.some((p) => p.count > 0 && p.things.length === 0)
    ? [
        warn(
          about,
          'top-crowded',
          `More than ${MOST_DRAWN} things lie on one mould: these are weighed, and neither drawn nor counted in what a bar weighs.`,
          [leave],
        ),
      ]
    : [];
  return [...(first ? inOffcut(facts, about) : []), ...crowded, ...ofWay(facts, step, about)];
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
