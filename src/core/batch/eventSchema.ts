import * as v from 'valibot';
import { planSchema } from '../plan/planSchema.ts';
import { PLAN_VERSION } from '../plan/planVersion.ts';
import { colorantId, potId } from '../validate/ids.ts';
import { celsius, id, listOf, massG, minutes, name, stage, text } from '../validate/fields.ts';
import { whenSchema } from './when.ts';

const key = (what: string) =>
  v.pipe(v.string(), v.regex(/^[\w:~.-]{1,200}$/, `${what} is 1 to 200 letters, digits or : ~ . - _`));

/** An act, a line of one, a vessel: as the day of the plan names them. */
const act = key('an act');
const line = key('a line');
const vessel = key('a vessel');

const words = v.pipe(text, v.maxLength(4000, 'at most 4000 characters'));
const count = v.pipe(v.number(), v.integer('a whole number is wanted'), v.minValue(0));

/** Every event: whose it is, and where it stands among the others. */
const event = {
  id,
  /** the device that wrote it, and how many it had written in this batch by then */
  device: id,
  seq: count,
  /**
   * one more than the highest that the device had seen: what was known when it was written comes before it
   */
  counter: count,
  at: whenSchema,
};

/** A plan within a batch, whole, and which version of plans it is. */
export const wholePlan = { planVersion: v.literal(PLAN_VERSION), plan: planSchema };

/** What may be found to be as it should not. */
const TROUBLES = ['seized', 'broke-through', 'separated', 'forgotten', 'spilt', 'too-full', 'other'] as const;

/** What is done to a loaf after its day, and to its bars. */
const AFTER = ['unmoulded', 'cut', 'planed', 'weighed', 'tested', 'wrapped', 'sold', 'given'] as const;

const left = v.strictObject({ vessel, massG: massG(0, 500000) });

/**
 * Every kind of event that this version knows. Nothing written is changed: what was wrong is followed by what
 * is right.
 */
const KNOWN_EVENTS = [
  /** laid out; with a reason: passed over */
  v.strictObject({ ...event, does: v.literal('ready'), what: name(120), skipped: v.optional(words) }),
  v.strictObject({ ...event, does: v.literal('begun'), act }),
  v.strictObject({ ...event, does: v.literal('done'), act }),
  v.strictObject({ ...event, does: v.literal('undone'), act }),
  /** without a line: all that the act moves */
  v.strictObject({
    ...event,
    does: v.literal('weighed'),
    act,
    line: v.optional(line),
    massG: massG(0, 500000),
    by: v.picklist(['scale', 'typed']),
    /** the scale had come to rest */
    steady: v.optional(v.boolean()),
  }),
  /** all that was stirred in for the act, by colorant */
  v.strictObject({
    ...event,
    does: v.literal('added'),
    act,
    added: listOf(
      v.strictObject({ colorant: colorantId, massG: massG(0, 5000) }),
      12,
      'at most 12 colorants',
    ),
  }),
  /** what was written of it is taken back: it went as planned after all */
  v.strictObject({ ...event, does: v.literal('as-planned'), act, what: v.picklist(['weighed', 'added']) }),
  /** weighed back */
  v.strictObject({ ...event, does: v.literal('left'), ...left.entries }),
  v.strictObject({ ...event, does: v.literal('temperature'), vessel, celsius: celsius(-30, 150) }),
  /** how thick it was: a pot's jug, or the layer that an act poured */
  v.strictObject({
    ...event,
    does: v.literal('stage'),
    of: v.variant('is', [
      v.strictObject({ is: v.literal('jug'), pot: potId }),
      v.strictObject({ is: v.literal('layer'), act }),
    ]),
    stage: stage(0, 5),
  }),
  /** minute 0 */
  v.strictObject({ ...event, does: v.literal('divided') }),
  v.strictObject({
    ...event,
    does: v.literal('timer'),
    name: name(60),
    is: v.picklist(['started', 'stopped']),
    /** it is over after so long; absent: it only counts */
    minutes: v.optional(minutes(0, 1440)),
  }),
  /** the plan as it goes on */
  v.strictObject({ ...event, does: v.literal('amended'), ...wholePlan }),
  v.strictObject({
    ...event,
    does: v.literal('trouble'),
    what: v.picklist(TROUBLES),
    where: v.optional(words),
  }),
  v.strictObject({ ...event, does: v.literal('note'), text: words }),
  v.strictObject({ ...event, does: v.literal('photo'), photo: id }),
  v.strictObject({ ...event, does: v.literal('finished'), left: listOf(left, 100, 'at most 100 vessels') }),
  v.strictObject({ ...event, does: v.literal('thrown-away'), reason: words }),
  v.strictObject({
    ...event,
    does: v.literal('after'),
    what: v.picklist(AFTER),
    bars: v.optional(count),
    massG: v.optional(massG(0, 500000)),
    note: v.optional(words),
  }),
  v.strictObject({
    ...event,
    does: v.literal('verdict'),
    faults: listOf(words, 40, 'at most 40 faults'),
    change: v.optional(words),
  }),
  v.strictObject({
    ...event,
    does: v.literal('learned'),
    what: name(120),
    from: v.number(),
    to: v.number(),
    taken: v.boolean(),
  }),
] as const;

const KNOWN: ReadonlySet<string> = new Set(KNOWN_EVENTS.map((e) => e.entries.does.literal));

/** The kind of an event of a newer version: none of those known here. */
type Unknown = string & { readonly __kind: 'unknown' };

/** Of a newer version: kept as it is, told as such, and nothing is made of it. */
const unknownEvent = v.looseObject({
  ...event,
  does: v.pipe(
    v.string(),
    v.minLength(1),
    v.maxLength(60),
    v.notValues([...KNOWN]),
  ) as unknown as v.GenericSchema<string, Unknown>,
});

export const eventSchema = v.variant('does', [...KNOWN_EVENTS, unknownEvent]);

export type BatchEvent = v.InferOutput<typeof eventSchema>;
export type KnownEvent = v.InferOutput<(typeof KNOWN_EVENTS)[number]>;

/** An event of a kind that this version knows. */
export const isKnown = (event: BatchEvent): event is KnownEvent => KNOWN.has(event.does);

export type Added = Extract<KnownEvent, { does: 'added' }>['added'];
