import { coloursEach } from '../../plan/habits.ts';
import type { Plan, Pot } from '../../plan/planSchema.ts';
import { poursFrom } from '../../plan/sources.ts';
import type { PotId } from '../../validate/ids.ts';
import type { Chapter, DayAct } from '../act.ts';

/**
 * A pot that is mixed in the jug of another is weighed out once that one is empty, just before it is wanted.
 */
export const waitsForJug = (plan: Pick<Plan, 'steps'>, pot: Pot): boolean =>
  pot.jugOf !== undefined && poursFrom(plan, pot.id).length > 0;

/** A pot weighed out of the batch. */
export const weighOut = (plan: Plan, pot: Pot, chapter: Chapter): DayAct => ({
  id: `pot:${pot.id}`,
  does: 'weigh-out',
  chapter,
  pot,
  late: waitsForJug(plan, pot),
  coloured: !coloursEach(plan),
});

/**
 * A portion gets its lye, and what goes into it once that holds; plain batter is set aside before any colour
 * goes in.
 */
export const combined = (pot: Pot, late: boolean, chapter: Chapter): readonly DayAct[] => [
  { id: `combine:${pot.id}`, does: 'combine', chapter, pot, late },
  { id: `pot-emulsion:${pot.id}`, does: 'stir-at-emulsion', chapter, pot, late },
  { id: `plain:${pot.id}`, does: 'keep-plain', chapter, pot, late },
];

/**
 * What is done to jugs right before they are wanted, each thing once: batter or lye where a jug is made up
 * only then, its colour, and what it gets once it has thickened.
 */
export class Readying {
  private readonly plan: Plan;
  private readonly made: Set<PotId>;
  private readonly withColour = new Set<PotId>();
  private readonly atTrace = new Set<PotId>();

  /** `made`: pots that are there already */
  constructor(plan: Plan, made: readonly Pot[]) {
    this.plan = plan;
    this.made = new Set(made.map((p) => p.id));
  }

  /** Everything that has to be done to it before something is taken of it. */
  ready = (pot: Pot, chapter: Chapter): readonly DayAct[] => [
    ...this.coloured(pot, chapter),
    ...this.stirred(pot, chapter),
  ];

  /** It is there, and has its colour. */
  coloured = (pot: Pot, chapter: Chapter): readonly DayAct[] => [
    ...this.make(pot, chapter),
    ...this.colour(pot, chapter),
  ];

  /** It has what goes into it at trace: after it is blended on, where it is. */
  stirred(pot: Pot, chapter: Chapter): readonly DayAct[] {
    if (this.atTrace.has(pot.id)) return [];
    this.atTrace.add(pot.id);
    return [{ id: `pot-trace:${pot.id}`, does: 'stir-at-trace', chapter, pot }];
  }

  private make(pot: Pot, chapter: Chapter): readonly DayAct[] {
    if (this.made.has(pot.id)) return [];
    this.made.add(pot.id);
    return this.plan.divide.kind === 'before-lye'
      ? combined(pot, true, chapter)
      : [weighOut(this.plan, pot, chapter)];
  }

  private colour(pot: Pot, chapter: Chapter): readonly DayAct[] {
    if (!coloursEach(this.plan) || this.withColour.has(pot.id)) return [];
    this.withColour.add(pot.id);
    return [{ id: `pot-colour:${pot.id}`, does: 'colour-pot', chapter, pot }];
  }
}
