import type { LaidMould, LaidPlan } from '../../fill/layPlan.ts';
import type { PouredLayer } from '../../fill/layers.ts';
import { isAbout } from '../../plan/moulds.ts';
import type { Plan, Pot } from '../../plan/planSchema.ts';
import type { Step } from '../../plan/stepSchema.ts';
import type { CourseAct, CoursePot, Doubt } from '../../timing/course.ts';
import type { Stage } from '../../units/quantity.ts';
import type { PotId } from '../../validate/ids.ts';
import { habitsOf, type Habits } from '../habits.ts';

/** What an act of a course is of in its plan. */
export interface About {
  readonly step?: Step;
  readonly pot?: Pot;
  /** of the batch that is piped on top */
  readonly ofSecond?: true;
}

/** A pot of a course, as it is in the plan. */
export interface PotAbout {
  readonly pot: Pot;
  readonly ofSecond: boolean;
}

export type Laid = Pick<LaidPlan, 'moulds' | 'recipes'>;

/** A layer on its way into one kind of mould, and the compartment that it comes to lie in. */
export interface Landed {
  readonly mould: LaidMould;
  readonly layer: PouredLayer;
  readonly place: string;
}

/** A course that is being written: its acts so far, and what lies where by then. */
export class Draft {
  readonly plan: Plan;
  readonly laid: Laid;
  readonly habits: Habits;
  readonly acts: CourseAct[] = [];
  readonly about: About[] = [];
  readonly pots: PotAbout[] = [];
  readonly coursePots: CoursePot[] = [];
  readonly doubts: Doubt[] = [];
  layerCount = 0;
  /** the last act that was done to a mould, by its place; waits count from its end */
  lastOnMould = -1;
  private readonly numbers = new Map<string, number>();
  /** layers of one pot alone, each in its own colour */
  private readonly plain = new Map<number, PotId>();
  /** the layer poured last in each place */
  private readonly last = new Map<string, number>();
  /** the layers in each place that are still fluid together */
  private readonly fluid = new Map<string, readonly number[]>();

  constructor(plan: Plan, laid: Laid) {
    this.plan = plan;
    this.laid = laid;
    this.habits = habitsOf(plan.clock);
  }

  /** An act more. What is done to jugs lets a wait go on. */
  add(act: CourseAct, about: About, to: 'mould' | 'jugs' = 'mould'): void {
    this.acts.push(act);
    this.about.push(about);
    if (to === 'mould') this.lastOnMould = this.acts.length - 1;
  }

  addPot(about: PotAbout, pot: Omit<CoursePot, 'key'>): void {
    const key = about.ofSecond ? `piping ${about.pot.id}` : about.pot.id;
    this.numbers.set(key, this.pots.length);
    this.pots.push(about);
    this.coursePots.push({ key, ...pot });
  }

  /** The place of a pot in the course. Throws for one that nothing is poured of: a fault of the program. */
  numberOf(id: PotId, ofSecond = false): number {
    const number = this.numbers.get(ofSecond ? `piping ${id}` : id);
    if (number === undefined) throw new Error(`pot ${id} has no place in the course`);
    return number;
  }

  pot(id: PotId): Pot | undefined {
    return this.plan.pots.find((p) => p.id === id);
  }

  mouldsOf(step: Step): readonly LaidMould[] {
    return this.laid.moulds.filter((m) => isAbout(m.use, step));
  }

  /** How many moulds a step is done to. */
  countOf(step: Step): number {
    return this.mouldsOf(step).reduce((s, m) => s + m.use.copies, 0);
  }

  /** Where a pour comes to lie. */
  landed(step: Step): readonly Landed[] {
    return this.mouldsOf(step).flatMap((mould) => {
      const layer = mould.stack.layers.find((l) => l.pour.id === step.id);
      return layer
        ? [{ mould, layer, place: `${mould.use.id} ${mould.geometry.rooms.indexOf(layer.room)}` }]
        : [];
    });
  }

  private inPlaces<T>(step: Step, of: ReadonlyMap<string, T>): readonly T[] {
    const starts = this.mouldsOf(step).map((m) => `${m.use.id} `);
    return [...of].filter(([place]) => starts.some((s) => place.startsWith(s))).map(([, value]) => value);
  }

  /** What lies on top in the moulds that a step is about has to be so thick. */
  on(step: Step, stage: Stage): Pick<CourseAct, 'carried'> {
    const by = this.inPlaces(step, this.last);
    return by.length > 0 ? { carried: { by, stage } } : {};
  }

  /** What is fluid in them has to be no thicker than this. */
  whileFluid(step: Step, most: Stage): Pick<CourseAct, 'fluid'> {
    const layers = this.inPlaces(step, this.fluid).flat();
    return layers.length > 0 ? { fluid: { layers, most } } : {};
  }

  /** A layer is of this pot alone: what is poured of it on top cannot break through to anything else. */
  isOf = (layer: number, pot: PotId): boolean => this.plain.get(layer) === pot;

  lastIn = (places: readonly string[]): readonly number[] => places.flatMap((p) => this.last.get(p) ?? []);

  fluidIn = (places: readonly string[]): readonly number[] => places.flatMap((p) => this.fluid.get(p) ?? []);

  /** A layer more in a place, on top of what lies there; fluid together with what is. `pot`: it is of that pot alone, in its own colour. */
  layerIn(place: string, pot?: PotId): number {
    const layer = this.layerCount;
    if (pot !== undefined) this.plain.set(layer, pot);
    this.layerCount += 1;
    this.last.set(place, layer);
    this.fluid.set(place, [...(this.fluid.get(place) ?? []), layer]);
    return layer;
  }

  /** From here on what lies in a step's moulds is taken as set. */
  sets(step: Step): void {
    for (const m of this.mouldsOf(step))
      for (const place of [...this.fluid.keys()])
        if (place.startsWith(`${m.use.id} `)) this.fluid.delete(place);
  }
}
