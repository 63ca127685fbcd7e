import type { ActId } from '../../day/act.ts';
import type { LaidMould, LaidPlan } from '../../fill/laid.ts';
import type { PouredLayer } from '../../fill/layers.ts';
import { habitsOf, type Habits } from '../../plan/habits.ts';
import { isAbout } from '../../plan/moulds.ts';
import type { Plan, Pot } from '../../plan/planSchema.ts';
import type { Step } from '../../plan/stepSchema.ts';
import type { CourseAct, CoursePot, Doubt } from '../../timing/course.ts';
import { SOFT } from '../../timing/estimates.ts';
import type { StageWindow } from '../../setting/window.ts';
import type { Millimetres, Stage } from '../../units/quantity.ts';
import type { MouldId, PotId } from '../../validate/ids.ts';

/** What an act of a course is of in its plan. */
export interface About {
  /** the acts of the day that it is: the last of them that hands do by then */
  readonly of: readonly ActId[];
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

/** Where layers lie one on another: a compartment of a kind of mould. */
export interface LyingIn {
  readonly mould: MouldId;
  readonly room: number;
}

/** A layer on its way into one kind of mould, and the compartment that it comes to lie in. */
export interface Landed {
  readonly mould: LaidMould;
  readonly layer: PouredLayer;
  readonly place: LyingIn;
}

/** What lies in a place: the layer poured last, and those that are still fluid together. */
interface Lying extends LyingIn {
  last: number;
  fluid: readonly number[];
}

/** What a layer is of, and from where to where it reaches, mm square to its surface. */
interface LayerAbout {
  /** of this pot alone, in its own colour */
  readonly plain?: PotId;
  readonly fromMm: Millimetres;
  readonly toMm: Millimetres;
}

/** A tool that goes into a layer by no more than this passes it by, mm. A judgement. */
const PASSED_MM: Millimetres = 1;

/** A course that is being written: its acts so far, and what lies where by then. */
export class CourseDraft {
  readonly plan: Plan;
  readonly laid: Laid;
  readonly habits: Habits;
  readonly acts: CourseAct[] = [];
  readonly about: About[] = [];
  readonly pots: PotAbout[] = [];
  readonly coursePots: CoursePot[] = [];
  readonly doubts: Doubt[] = [];
  /** the last act that was done to a mould, by its place; waits count from its end */
  lastOnMould = -1;
  private readonly layers: LayerAbout[] = [];
  private readonly lying: Lying[] = [];

  constructor(plan: Plan, laid: Laid) {
    this.plan = plan;
    this.laid = laid;
    this.habits = habitsOf(plan.clock);
  }

  /** An act more. What is done to jugs lets a wait go on. */
  add(act: Omit<CourseAct, 'key'>, about: About, to: 'mould' | 'jugs' = 'mould'): void {
    this.acts.push({ key: about.of[0] ?? `${act.does} ${this.acts.length}`, ...act });
    this.about.push(about);
    if (to === 'mould') this.lastOnMould = this.acts.length - 1;
  }

  /**
   * An act of the day is a part of what was added as one: the last, or at a place; each has its part of the
   * minutes.
   */
  also(id: ActId, place = this.about.length - 1): void {
    const about = this.about[place];
    if (about) this.about[place] = { ...about, of: [...about.of, id] };
  }

  /** The same step is done to another kind of mould. */
  alsoDone(step: Step, id: ActId): void {
    if (this.about.at(-1)?.step === step) this.also(id);
  }

  addPot(about: PotAbout, pot: CoursePot): void {
    this.pots.push(about);
    this.coursePots.push(pot);
  }

  /** The place of a pot in the course. Throws for one that nothing is poured of: a fault of the program. */
  numberOf(id: PotId, ofSecond = false): number {
    const number = this.pots.findIndex((p) => p.pot.id === id && p.ofSecond === ofSecond);
    if (number < 0) throw new Error(`pot ${id} has no place in the course`);
    return number;
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
      const place = layer && { mould: mould.use.id, room: mould.geometry.rooms.indexOf(layer.room) };
      return layer && place ? [{ mould, layer, place }] : [];
    });
  }

  private lyingIn(step: Step): readonly Lying[] {
    const moulds = new Set(this.mouldsOf(step).map((m) => m.use.id));
    return this.lying.filter((l) => moulds.has(l.mould));
  }

  get layerCount(): number {
    return this.layers.length;
  }

  /** What lies on top in the moulds that a step is about has to bear as so thick. */
  on(step: Step, stage: Stage): Pick<CourseAct, 'carried'> {
    const by = this.lyingIn(step).map((l) => l.last);
    return by.length > 0 ? { carried: { by, stage, breaks: stage - SOFT } } : {};
  }

  /** What is fluid in the moulds that a step is about. */
  fluidBy(step: Step): readonly number[] {
    return this.lyingIn(step).flatMap((l) => l.fluid);
  }

  /** What is fluid in them has to flow as something between the two. */
  whileFluid(step: Step, { least, most }: StageWindow): Pick<CourseAct, 'fluid'> {
    const layers = this.fluidBy(step);
    return layers.length > 0 ? { fluid: { layers, least, most } } : {};
  }

  /**
   * A tool goes down to a height above the floor, through what is fluid there: every layer that it passes is
   * asked, and moved.
   */
  goesThrough(
    step: Step,
    { least, most }: StageWindow,
    lowestMm: Millimetres,
  ): Pick<CourseAct, 'fluid' | 'moves'> {
    const layers = this.fluidBy(step).filter((l) => this.topOf(l) > lowestMm + PASSED_MM);
    return layers.length > 0 ? { fluid: { layers, least, most }, moves: layers } : {};
  }

  private topOf = (layer: number): Millimetres => this.layers[layer]?.toMm ?? 0;

  /** How high what lies in a step's moulds reaches. */
  surfaceOf = (step: Step): Millimetres => Math.max(0, ...this.lyingIn(step).map((l) => this.topOf(l.last)));

  thickness = (layer: number): Millimetres => {
    const { fromMm = 0, toMm = 0 } = this.layers[layer] ?? {};
    return toMm - fromMm;
  };

  /** How deep the batter is that is fluid in a place; what was poured last, where nothing is. */
  fluidDepth(place: LyingIn): Millimetres {
    const here = this.at(place);
    if (!here) return 0;
    return Math.max(
      this.thickness(here.last),
      here.fluid.reduce((s, l) => s + this.thickness(l), 0),
    );
  }

  /** A layer is of this pot alone: what is poured of it on top cannot break through to anything else. */
  isOf = (layer: number, pot: PotId): boolean => this.layers[layer]?.plain === pot;

  private at = ({ mould, room }: LyingIn): Lying | undefined =>
    this.lying.find((l) => l.mould === mould && l.room === room);

  lastIn = (places: readonly LyingIn[]): readonly number[] => places.flatMap((p) => this.at(p)?.last ?? []);

  fluidIn = (places: readonly LyingIn[]): readonly number[] => places.flatMap((p) => this.at(p)?.fluid ?? []);

  /** A layer more in a place, on top of what lies there; fluid together with what is. */
  layerIn(place: LyingIn, about: LayerAbout): number {
    const layer = this.layerCount;
    this.layers.push(about);
    const here = this.at(place);
    if (here) {
      here.last = layer;
      here.fluid = [...here.fluid, layer];
    } else this.lying.push({ ...place, last: layer, fluid: [layer] });
    return layer;
  }

  /** From here on what lies in a step's moulds is taken as set. */
  sets(step: Step): void {
    for (const l of this.lyingIn(step)) l.fluid = [];
  }
}
