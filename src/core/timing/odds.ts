import { normalBelow } from '../numeric/normal.ts';
import type { Task } from '../task/task.ts';
import type { Minutes, Stage } from '../units/quantity.ts';
import type { Course } from './course.ts';
import { BLEND_SD, HANDS_SD, JUDGED_SD, JUG_SD, LANDS_SD, START_SD } from './estimates.ts';
import type { Normals } from './normals.ts';
import { Run } from './run.ts';
import { FAILS, type Turns } from './turns.ts';

/**
 * Kept by feel, each act waits until what is below carries it; by the clock, each begins at the minute that
 * was planned.
 */
export type Keeping = 'feel' | 'clock';

/** Of how many times, what held: shares of all, 0 to 1. */
export interface Odds {
  readonly samples: number;
  readonly seed: number;
  readonly whole: number;
  /** each act by its place: nothing of it failed */
  readonly acts: readonly number[];
  /** each act by its place: what lies below carried it */
  readonly carried: readonly number[];
  /** each pot by its place: it was right for its technique each time it was poured */
  readonly pots: readonly number[];
  /** middle and spread of when it was over: a tenth, half and nine tenths of all times, minutes */
  readonly total: { readonly early: Minutes; readonly middle: Minutes; readonly late: Minutes };
}

/** What holds still, or moves, while the rest is drawn: for telling what matters most. */
export interface Held {
  /** ln factor of one doubt, by its place */
  readonly doubt?: { readonly place: number; readonly z: number };
  readonly pace?: number;
  /** misjudged by so many stages at every act, on top of what is drawn */
  readonly judged?: number;
  readonly blended?: number;
  /** begun by so many stages thicker */
  readonly begun?: number;
  /** fat that may set stays melted, or sets */
  readonly melted?: boolean;
}

/** Samples between two reports of how far it is. */
const AT_ONCE = 250;

interface Drawn {
  readonly doubts: Float64Array;
  readonly jugs: Float64Array;
  readonly judged: Float64Array;
  readonly blended: Float64Array;
  readonly landed: Float64Array;
  readonly soft: Float64Array;
  begun: Stage;
  pace: number;
}

/** How far beyond its end a window still holds: all is as likely, but for the few at either end. */
const softly = (z: number): number => Math.min(1, Math.max(0, 0.5 + 0.25 * z));

/**
 * The draws of each time, act by act and doubt by doubt, read off columns that are the same for the same
 * names.
 */
function drawsOf(course: Course, normals: Normals): (k: number, held: Held, into: Drawn) => void {
  const doubts = course.doubts.map((d) => ({ sd: d.sd, column: normals.column(`doubt ${d.name}`) }));
  const [begun, hands] = [normals.column('begun'), normals.column('hands')];
  const jugs = course.pots.map((_, p) => normals.column(`jug ${p}`));
  const acts = course.acts.map(({ key, carried, lays, window, fluid, prepares }) => ({
    judged: carried || window || fluid ? normals.column(`judged ${key}`) : undefined,
    landed: carried && lays ? normals.column(`landed ${key}`) : undefined,
    soft: window || fluid ? normals.column(`soft ${key}`) : undefined,
    blended: prepares?.some((p) => p.blendTo !== undefined) ? normals.column(`blended ${key}`) : undefined,
  }));
  return (k, held, into) => {
    for (let d = 0; d < doubts.length; d += 1) {
      const { sd, column } = doubts[d] as (typeof doubts)[number];
      into.doubts[d] = sd * (held.doubt?.place === d ? held.doubt.z : (column[k] as number));
    }
    for (let i = 0; i < acts.length; i += 1) {
      const { judged, landed, soft, blended } = acts[i] as (typeof acts)[number];
      if (judged) into.judged[i] = JUDGED_SD * (judged[k] as number) + (held.judged ?? 0);
      if (landed) into.landed[i] = LANDS_SD * (landed[k] as number);
      if (soft) into.soft[i] = softly(soft[k] as number);
      if (blended) into.blended[i] = BLEND_SD * (blended[k] as number) + (held.blended ?? 0);
    }
    for (let p = 0; p < jugs.length; p += 1) into.jugs[p] = JUG_SD * ((jugs[p] as Float64Array)[k] as number);
    into.pace = held.pace ?? Math.exp(HANDS_SD * (hands[k] as number));
    into.begun = held.begun ?? START_SD * (begun[k] as number);
  };
}

/** How a course is drawn anew: `draw` fills what `turns` holds with the draws of one time. */
export function drawing(
  course: Course,
  normals: Normals,
  keeping: Keeping,
  starts: Float64Array,
  held: Held = {},
): { readonly turns: Turns; readonly draw: (k: number) => void } {
  const n = course.acts.length;
  const drawn: Drawn = {
    doubts: new Float64Array(course.doubts.length),
    jugs: new Float64Array(course.pots.length),
    judged: new Float64Array(n),
    blended: new Float64Array(n),
    landed: new Float64Array(n),
    soft: new Float64Array(n),
    begun: 0,
    pace: 1,
  };
  const draws = drawsOf(course, normals);
  const turns: Turns = Object.assign(drawn, keeping === 'clock' ? { kept: starts } : {});
  return {
    turns,
    draw: (k) => {
      draws(k, held, drawn);
    },
  };
}

/**
 * How a course turns out over and over, with all that is not known drawn anew each time: how often what
 * holds.
 */
export function* sampling(
  course: Course,
  normals: Normals,
  keeping: Keeping,
  held: Held = {},
): Task<never, Odds> {
  const { count: samples, seed } = normals;
  const run = new Run(course);
  run.go();
  const n = course.acts.length;
  const { turns, draw } = drawing(course, normals, keeping, run.starts.slice(), held);
  const acts = new Uint32Array(n);
  const carried = new Uint32Array(n);
  const pots = new Uint32Array(course.pots.length);
  const lasted = new Float64Array(samples);
  const failed = new Uint8Array(course.pots.length);
  const { falseTrace = 0 } = course;
  const sets = falseTrace > 0 && held.melted === undefined ? normals.column('false trace') : undefined;
  let whole = 0;
  for (let k = 0; k < samples; k += 1) {
    if (k > 0 && k % AT_ONCE === 0) yield { done: k / samples };
    draw(k);
    const holds = run.go(turns);
    lasted[k] = n > 0 ? (run.ends[n - 1] as number) : 0;
    if (held.melted === false || (sets && normalBelow(sets[k] as number) < falseTrace)) continue;
    if (holds) whole += 1;
    failed.fill(0);
    for (let i = 0; i < n; i += 1) {
      const fails = run.fails[i] as number;
      if (fails === 0) acts[i] = (acts[i] as number) + 1;
      if ((fails & FAILS.breaks) === 0) carried[i] = (carried[i] as number) + 1;
      if ((fails & (FAILS.tooThick | FAILS.tooThin)) !== 0)
        for (const p of course.acts[i]?.pots ?? []) failed[p] = 1;
    }
    for (let p = 0; p < pots.length; p += 1) if (failed[p] === 0) pots[p] = (pots[p] as number) + 1;
  }
  lasted.sort();
  const at = (share: number): Minutes => lasted[Math.round((samples - 1) * share)] ?? 0;
  const shares = (counts: Uint32Array): number[] => Array.from(counts, (c) => c / samples);
  return {
    samples,
    seed,
    whole: whole / samples,
    acts: shares(acts),
    carried: shares(carried),
    pots: shares(pots),
    total: { early: at(0.1), middle: at(0.5), late: at(0.9) },
  };
}
