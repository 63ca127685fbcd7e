import type { Minutes, Stage } from '../units/quantity.ts';
import type { Course } from './course.ts';
import type { Normals } from './normals.ts';
import { drawing, type Keeping } from './odds.ts';
import { bearsAs, stageAt, type ThickeningBatter } from './batter.ts';
import { Run } from './run.ts';

/** Between which two stages something is eight times of ten, through time. NaN before it is there. */
export interface Haze {
  readonly low: readonly Stage[];
  readonly high: readonly Stage[];
}

/** The stage at a minute, of all states that it was in: NaN before the first. */
const stateAt = (states: readonly ThickeningBatter[], at: Minutes): ThickeningBatter | undefined =>
  states.findLast((s) => s.since <= at + 1e-9);

/** The stage that it flows as at a minute, of all states that it was in: NaN before the first. */
export function stageIn(states: readonly ThickeningBatter[], at: Minutes): Stage {
  const now = stateAt(states, at);
  return now ? stageAt(now, at) : NaN;
}

/** The stage that it bears as at a minute, lying still as its states have it. */
export function bearsIn(states: readonly ThickeningBatter[], at: Minutes, tcMin: Minutes): Stage {
  const now = stateAt(states, at);
  return now ? bearsAs(now, at, tcMin) : NaN;
}

/** As how thick each pot flows and each layer bears at these minutes, and how far that is in doubt. */
export function hazeOf(
  course: Course,
  normals: Normals,
  keeping: Keeping,
  times: readonly Minutes[],
): { readonly pots: readonly Haze[]; readonly layers: readonly Haze[] } {
  const run = new Run(course, { keeps: true });
  run.go();
  const { turns, draw } = drawing(course, normals, keeping, run.starts.slice());
  const seen = {
    pots: course.pots.map(() => times.map(() => [] as Stage[])),
    layers: Array.from({ length: course.layers }, () => times.map(() => [] as Stage[])),
  };
  for (let k = 0; k < normals.count; k += 1) {
    draw(k);
    run.go(turns);
    for (const what of ['pots', 'layers'] as const)
      for (const [p, states] of (run.kept?.[what] ?? []).entries())
        for (const [i, t] of times.entries()) {
          const stage = what === 'pots' ? stageIn(states, t) : bearsIn(states, t, run.restDoubles);
          if (!Number.isNaN(stage)) seen[what][p]?.[i]?.push(stage);
        }
  }
  const within = (all: readonly Stage[], share: number): Stage =>
    all.toSorted((a, b) => a - b)[Math.round((all.length - 1) * share)] ?? NaN;
  const haze = (what: 'pots' | 'layers'): readonly Haze[] =>
    seen[what].map((of) => ({
      low: of.map((stages) => within(stages, 0.1)),
      high: of.map((stages) => within(stages, 0.9)),
    }));
  return { pots: haze('pots'), layers: haze('layers') };
}
