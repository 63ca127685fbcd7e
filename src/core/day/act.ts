import type { Into } from '../batter/moments.ts';
import type { Pot } from '../plan/planSchema.ts';
import type { MicaLine, Pour, Ridges, Scrape, Step, Stroke, Top, Wait, Wire } from '../plan/stepSchema.ts';
import type { Stage } from '../units/quantity.ts';
import type { ColorantId, MouldId, OmbreId, StepId } from '../validate/ids.ts';

/**
 * What an act is known by: the same however the rest of the plan changes. It is compared and printed, and
 * never taken apart.
 */
export type ActId = string & { readonly __id?: 'act' };

export type Chapter =
  | 'safety'
  | 'lay-out'
  | 'lye'
  | 'oils'
  | 'colour'
  | 'emulsify'
  | 'divide'
  | 'pour'
  | 'second'
  | 'top'
  | 'finish'
  | 'cut';

type OfKind<K extends Step['kind']> = Extract<Step, { kind: K }>;

/** Something taken of a pot: a pour, what fills the hollows of a mat, or what fills the holes of columns. */
export type Drawing = Pour | Ridges | OfKind<'pull'>;

/** What is done, and to what. */
type Done =
  // before anything
  | { readonly does: 'protect' | 'read-data-sheets' }
  | { readonly does: 'lay-out-mould' | 'lay-mat' | 'set-divider' | 'stand-columns'; readonly mould: MouldId }
  | { readonly does: 'lay-out-jugs' | 'lay-out-scales' | 'lay-out-tools' | 'lay-out-fragrance' }
  // lye, oils and colorants
  | { readonly does: 'weigh-water' | 'weigh-lye' | 'dissolve-lye' | 'strain-lye' }
  | { readonly does: 'stir-in'; readonly into: Into }
  | { readonly does: 'set-oil-aside' | 'weigh-oils' }
  | { readonly does: 'disperse'; readonly colorant: ColorantId }
  // batter and pots
  | { readonly does: 'emulsify' | 'keep-spare' }
  | { readonly does: 'make-stock'; readonly ombre: OmbreId; readonly which: 'first' | 'last' }
  /** out of the batch; `late`: once the jug that it goes into is empty; `coloured`: in the same breath */
  | {
      readonly does: 'weigh-out';
      readonly pot: Pot;
      readonly late: boolean;
      readonly coloured: boolean;
    }
  /** its oils, colour and scent, before any lye */
  | { readonly does: 'make-portion'; readonly pot: Pot }
  /** lye solution into a portion; `late`: right before it is wanted */
  | { readonly does: 'combine'; readonly pot: Pot; readonly late: boolean }
  | { readonly does: 'stir-at-emulsion' | 'keep-plain'; readonly pot: Pot; readonly late: boolean }
  | { readonly does: 'colour-pot' | 'stir-at-trace'; readonly pot: Pot }
  /** colour for one more pass of a pot that is coloured as it empties; `first`: its first colour */
  | { readonly does: 'stir-at-pass'; readonly step: Pour; readonly pot: Pot; readonly first: boolean }
  /** what goes into a pot just before something is taken of it, by the key of what is taken */
  | { readonly does: 'stir-before'; readonly step: Drawing; readonly pot: Pot; readonly key: string }
  /** blended on to a stage, or stirred loose, right before it is poured */
  | { readonly does: 'blend-jug'; readonly step: Pour; readonly pot: Pot; readonly to: Stage }
  | { readonly does: 'loosen-jug'; readonly step: Pour; readonly pot: Pot }
  // moulds
  | { readonly does: 'pour'; readonly step: Pour }
  | { readonly does: 'wait'; readonly step: Wait }
  | { readonly does: 'tilt'; readonly step: OfKind<'tilt'>; readonly mould: MouldId }
  | { readonly does: 'scrape'; readonly step: Scrape }
  | { readonly does: 'line'; readonly step: MicaLine }
  | { readonly does: 'stroke'; readonly step: Stroke }
  | { readonly does: 'wire'; readonly step: Wire }
  | { readonly does: 'pull'; readonly step: OfKind<'pull'>; readonly mould: MouldId }
  | { readonly does: 'fill-ridges'; readonly step: Ridges }
  | { readonly does: 'spread-top' }
  | { readonly does: 'put-on-top'; readonly step: Top; readonly mould: MouldId }
  // the batch that is piped on top
  | { readonly does: 'begin-second' }
  | { readonly does: 'fill-bags'; readonly steps: readonly Pour[] }
  | { readonly does: 'of-second'; readonly act: DayAct }
  // after the pour
  | { readonly does: 'finish'; readonly step: OfKind<'finish'> }
  | { readonly does: 'unmould' }
  | { readonly does: 'cut'; readonly mould: MouldId };

/** One thing done on the day: masses, minutes and words are filled in to it elsewhere. */
export type DayAct = Done & { readonly id: ActId; readonly chapter: Chapter };

type Doing<A extends DayAct, D> = A extends { readonly does: infer X }
  ? D extends X
    ? A & { readonly does: D }
    : never
  : never;

/** Acts that do this. */
export type ActOf<D extends DayAct['does']> = Doing<DayAct, D>;

/** How a pour is known among the acts. */
export const pourActId = (step: StepId): ActId => `pour:${step}`;

/** How an act of the second batch is known among those of the loaf's. */
export const secondId = (id: ActId): ActId => `second:${id}`;

/** Everything done on one day, in the order in which it is done. */
export type Day = readonly DayAct[];

/** The step of the plan that an act carries out, or makes something ready for. */
export const stepOfAct = (act: DayAct): Step | undefined => ('step' in act ? act.step : undefined);

/** The pot that an act works with, where it is one. */
export const potOfAct = (act: DayAct): Pot | undefined => ('pot' in act ? act.pot : undefined);
