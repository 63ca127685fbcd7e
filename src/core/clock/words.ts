import { pourNames } from '../plan/deposits.ts';
import type { Plan } from '../plan/planSchema.ts';
import { potsIn } from '../plan/sources.ts';
import { upperFirst } from '../units/words.ts';
import type { TimedAct } from './timetable.ts';

/** What each kind of act is called, where it is not a pour. */
const DOES = {
  scent: 'The batch is scented',
  divide: 'The batch is divided',
  make: 'Lye and blending',
  colour: 'Colour',
  pour: 'Pour',
  wait: 'Wait',
  tilt: 'The mould is turned',
  scrape: 'The scraper',
  stroke: 'The stick',
  wire: 'The wire',
  line: 'The line of colorant',
  pull: 'The column is pulled',
  ridges: 'The hollows of the mat',
  top: 'The top',
  pipe: 'Piping',
} as const;

/** What an act is called: "Pour 3 (pot C)", "Colour, pot B", "The wire". */
export function actName(plan: Plan, { act, about }: Pick<TimedAct, 'act' | 'about'>): string {
  const { step, pot } = about;
  if (step?.kind === 'pour' && act.does === 'pour') {
    const letters = potsIn(plan, step).map((p) => p.letter);
    return `${upperFirst(pourNames(plan).get(step.id) ?? 'pour')} (pot ${letters.join(', ')})`;
  }
  const name = DOES[act.does];
  if (act.does === 'tilt' && step?.kind === 'tilt' && step.fluid) return 'The mould is set level while fluid';
  return pot ? `${name}, pot ${pot.letter}` : name;
}
