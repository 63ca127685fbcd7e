import type { Minutes, Stage } from '../units/quantity.ts';
import {
  advance,
  batter,
  bearsAs,
  bearsFrom,
  beginAt,
  copy,
  inCup,
  looseness,
  quicker,
  reaches,
  stageAt,
  type ThickeningBatter,
} from './batter.ts';
import type { Course, CourseAct, Prepares } from './course.ts';
import { FAILS, type Turns } from './turns.ts';
import { stiffening } from '../setting/rest.ts';
import { BLEND_MIN, BLENDED_FACTOR, LOOSENED, SOFT } from './estimates.ts';

/** Of two sums of minutes, what rounding makes. */
const ROUNDING_MIN: Minutes = 1e-6;

/**
 * A course carried out, act by act, as often as is wanted: one forward pass each time. Left alone, batter
 * only thickens, so for given acts in a given order every one of them is best begun as early as it can be,
 * and the pass is all there is to find the waits. What came of the last time is in the lists, by the act's
 * place. Times are minutes from the beginning, stages are 0 to 5 and beyond.
 */
export class Run {
  readonly course: Course;
  /** when an act begins, without what prepares it */
  readonly starts: Float64Array;
  readonly ends: Float64Array;
  /** when its pots could be ready, made so from the moment that hands are free */
  readonly soonest: Float64Array;
  /** when what prepares it begins; the start where nothing does */
  readonly prepared: Float64Array;
  /** hands had nothing to do for so long before it */
  readonly waited: Float64Array;
  /** when what is below carries it; -Infinity where nothing is waited for */
  readonly carriedFrom: Float64Array;
  /** the latest that it could begin for its pots; Infinity where it has none */
  readonly pourableUntil: Float64Array;
  /** until when what lies there is fluid enough for it; Infinity where it need not be */
  readonly fluidUntil: Float64Array;
  /** of the thickest of its pots when it is drawn on for the last time */
  readonly thickest: Float64Array;
  /** of the thinnest of its pots as it begins */
  readonly thinnest: Float64Array;
  /** of the thinnest of what it lies on as it begins, as that bears */
  readonly below: Float64Array;
  /** what fails, bits of FAILS */
  readonly fails: Uint8Array;
  /** every state that each pot and each layer was in, one after another, where they are kept */
  readonly kept: { readonly pots: ThickeningBatter[][]; readonly layers: ThickeningBatter[][] } | undefined;
  private readonly pots: readonly ThickeningBatter[];
  /** of each layer its slowest and its quickest batter */
  private readonly thin: readonly ThickeningBatter[];
  private readonly thick: readonly ThickeningBatter[];
  /** in which what lies still doubles its strength, this time */
  private tcMin: Minutes = Infinity;
  /** how many of what was seen have been taken, this time */
  private looked = 0;

  constructor(course: Course, { keeps = false } = {}) {
    this.course = course;
    const n = course.acts.length;
    const list = (): Float64Array => new Float64Array(n);
    this.starts = list();
    this.ends = list();
    this.soonest = list();
    this.prepared = list();
    this.waited = list();
    this.carriedFrom = list();
    this.pourableUntil = list();
    this.fluidUntil = list();
    this.thickest = list();
    this.thinnest = list();
    this.below = list();
    this.fails = new Uint8Array(n);
    this.kept = keeps
      ? { pots: course.pots.map(() => []), layers: Array.from({ length: course.layers }, () => []) }
      : undefined;
    this.pots = course.pots.map(batter);
    this.thin = Array.from({ length: course.layers }, batter);
    this.thick = Array.from({ length: course.layers }, batter);
  }

  /** Carry it out once. Whether all of it holds. */
  go(turns: Turns = {}): boolean {
    const { course, pots } = this;
    for (const states of this.kept?.pots ?? []) states.length = 0;
    for (const states of this.kept?.layers ?? []) states.length = 0;
    const { rest } = course;
    this.tcMin = rest ? rest.tcMin * Math.exp(turns.doubts?.[rest.doubt] ?? 0) : Infinity;
    for (let p = 0; p < pots.length; p += 1) {
      const own = course.pots[p] as (typeof course.pots)[number];
      const pot = pots[p] as ThickeningBatter;
      const main = own.doubt === 0;
      beginAt(pot, this.startOf(p, turns), 0);
      pot.perMinute =
        own.perMinute *
        Math.exp(
          (turns.doubts?.[own.doubt] ?? 0) +
            (own.warmth === undefined ? 0 : (turns.doubts?.[own.warmth] ?? 0)) +
            (turns.jugs?.[p] ?? 0),
        ) *
        (main ? (turns.faster ?? 1) : 1);
      if (own.there) this.note(p);
    }
    this.looked = 0;
    let free = 0;
    let holds = true;
    for (let i = 0; i < course.acts.length; i += 1) {
      free = this.act(i, course.acts[i] as CourseAct, free, turns);
      holds &&= this.fails[i] === 0;
    }
    return holds;
  }

  /** What was seen before a minute is so from then on. */
  private look(until: Minutes, { seen = [] }: Turns): void {
    for (let next = seen[this.looked]; next && next.min < until; next = seen[this.looked]) {
      this.looked += 1;
      const { of, nth, min, stage } = next;
      for (const b of of === 'pots' ? [this.pots[nth]] : [this.thin[nth], this.thick[nth]]) {
        // what came into its jug or its mould only later was not seen
        if (!b || b.since > min) continue;
        advance(b, min);
        b.stage = of === 'pots' ? stage + looseness(b, min) : stage - stiffening(min - b.rested, this.tcMin);
        b.seen = b.stage;
      }
    }
  }

  private note(p: number): void {
    this.kept?.pots[p]?.push({ ...(this.pots[p] as ThickeningBatter) });
  }

  private startOf(p: number, { from, begun = 0 }: Turns): Stage {
    const own = this.course.pots[p];
    return Math.max(0, (from !== undefined && own?.doubt === 0 ? from : (own?.start ?? 0)) + begun);
  }

  /** One act, begun as soon as it can be after hands are free; when they are free again. */
  private act(i: number, act: CourseAct, free: Minutes, turns: Turns): Minutes {
    const pace = turns.pace ?? 1;
    const ended = turns.ended?.[i] ?? NaN;
    this.look(Number.isNaN(ended) ? Infinity : ended, turns);
    this.carriedFrom[i] = this.carriedAt(act, 0);
    this.pourableUntil[i] = this.latest(act, pace);
    this.fluidUntil[i] = this.setsAt(act);
    if (!Number.isNaN(ended)) return this.happened(i, act, free, ended, turns);
    free = Math.max(free, turns.now ?? 0);
    const wanted = this.wanted(i, act, free, turns);
    const soonest = this.readyFrom(act, free, pace);
    const first = wanted > soonest ? Math.max(free, this.begunFor(act, wanted, pace)) : free;
    let ready = first;
    if (act.prepares) for (const p of act.prepares) ready = this.prepare(i, p, ready, turns);
    const start = Math.max(ready + (act.cup?.minutes ?? 0) * pace, wanted);
    this.soonest[i] = soonest;
    this.prepared[i] = first;
    this.starts[i] = start;
    this.waited[i] = first - free;
    return this.carryOut(i, act, start, start + act.minutes * pace, turns);
  }

  private carryOut(i: number, act: CourseAct, start: Minutes, end: Minutes, turns: Turns): Minutes {
    this.ends[i] = end;
    this.judge(i, act, start, end, turns);
    this.change(act, start, end, turns);
    return end;
  }

  /**
   * One that is done, as it was: hands took what they take for it as far as there was time, and what prepares
   * it was done by then. When hands are free after it: one done before another in the list frees none sooner.
   */
  private happened(i: number, act: CourseAct, free: Minutes, end: Minutes, turns: Turns): Minutes {
    const { pace = 1 } = turns;
    const usual = end - act.minutes * pace;
    const start = free > end ? usual : Math.max(usual, free);
    const begun = this.begunFor(act, start, pace);
    const inTime = begun > Math.min(free, start) - ROUNDING_MIN;
    let ready = inTime ? begun : start;
    for (const p of act.prepares ?? [])
      ready = this.prepare(i, p, ready, inTime ? turns : { ...turns, pace: 0 });
    this.soonest[i] = this.prepared[i] = this.starts[i] = start;
    this.waited[i] = Math.max(0, start - free);
    return Math.max(free, this.carryOut(i, act, start, end, turns));
  }

  /** A pot is blended on that would not be at a stage by itself at this minute. */
  private blends({ pot: p, blendTo }: Prepares, at: Minutes): boolean {
    return blendTo !== undefined && stageAt(this.pots[p] as ThickeningBatter, at) < blendTo;
  }

  /** How long that takes. */
  private blendMin(prepares: Prepares, at: Minutes, pace: number): Minutes {
    return this.blends(prepares, at) ? BLEND_MIN * pace : 0;
  }

  /** When what prepares an act is done, begun at a minute. */
  private readyFrom({ prepares = [], cup }: CourseAct, at: Minutes, pace: number): Minutes {
    let ready = at;
    for (const p of prepares) ready += this.blendMin(p, ready, pace) + p.minutes * pace;
    return ready + (cup?.minutes ?? 0) * pace;
  }

  /** When what prepares an act is begun, to be done at a minute. */
  private begunFor({ prepares = [], cup }: CourseAct, at: Minutes, pace: number): Minutes {
    let begun = at - (cup?.minutes ?? 0) * pace;
    for (const p of prepares.toReversed()) {
      begun -= p.minutes * pace;
      begun -= this.blendMin(p, begun - BLEND_MIN * pace, pace);
    }
    return begun;
  }

  /** When an act is to begin: kept by the clock, or once what it waits for is as it should be. */
  private wanted(i: number, act: CourseAct, free: Minutes, { kept, judged }: Turns): Minutes {
    if (kept) return kept[i] ?? 0;
    if (act.at !== undefined) return act.at;
    const misjudged = judged?.[i] ?? 0;
    let from = free;
    if (act.rest) from = Math.max(from, (this.ends[act.rest.after] ?? 0) + act.rest.minutes);
    from = Math.max(from, this.carriedAt(act, misjudged));
    const { fluid, window } = act;
    if (window && window.least > 0)
      for (const p of act.pots)
        if (!this.changes(act, p))
          from = Math.max(from, reaches(this.pots[p] as ThickeningBatter, window.least + misjudged));
    if (fluid && fluid.least > 0)
      for (const l of fluid.layers)
        from = Math.max(from, reaches(this.thin[l] as ThickeningBatter, fluid.least + misjudged));
    return from;
  }

  /** It is made, or blended on, right before the act: nothing to wait for. */
  private changes({ prepares, window }: CourseAct, p: number): boolean {
    return (
      prepares?.some((x) => x.pot === p && (x.makes === true || (x.blendTo ?? -1) >= (window?.least ?? 0))) ??
      false
    );
  }

  private carriedAt({ carried }: CourseAct, misjudged: Stage): Minutes {
    let from = -Infinity;
    if (carried?.stage !== undefined)
      for (const l of carried.by)
        from = Math.max(
          from,
          bearsFrom(this.thin[l] as ThickeningBatter, carried.stage + misjudged, this.tcMin),
        );
    return from;
  }

  private setsAt({ fluid }: CourseAct): Minutes {
    let until = Infinity;
    if (fluid)
      for (const l of fluid.layers)
        until = Math.min(until, reaches(this.thick[l] as ThickeningBatter, fluid.most));
    return until;
  }

  /** The latest that its pots can be poured, what prepares them counted. */
  private latest({ window, pots, prepares, minutes, cup, lastAt = 0 }: CourseAct, pace: number): Minutes {
    let until = Infinity;
    if (!window) return until;
    for (const p of pots) {
      const own = prepares?.find((x) => x.pot === p);
      if (own?.makes) continue;
      const pot = this.pots[p] as ThickeningBatter;
      const room = (own?.loosens ? LOOSENED : 0) - (own?.adds ?? 0) - inCup(cup, pot, pace, undefined);
      let rate = pot.perMinute;
      if (own) for (const q of own.quickens) rate *= q.factor;
      const during = minutes * pace * lastAt * rate;
      until = Math.min(until, reaches(pot, window.most + room - during));
    }
    return until;
  }

  /** What is done to one of its pots right before it; when that is done. */
  private prepare(i: number, prepares: Prepares, from: Minutes, turns: Turns): Minutes {
    const { pot: p, minutes, adds, quickens, blendTo = 0, loosens, makes } = prepares;
    const { doubts, blended, pace = 1 } = turns;
    const blends = this.blends(prepares, from);
    let ready = from + (blends ? BLEND_MIN * pace : 0);
    const pot = this.pots[p] as ThickeningBatter;
    // blended on first: what is stirred in after that is not torn by the stick, and a scent goes in last
    if (blends) {
      advance(pot, ready);
      pot.stage = Math.max(pot.stage, blendTo + (blended?.[i] ?? 0));
      pot.perMinute *= BLENDED_FACTOR;
    }
    ready += minutes * pace;
    if (makes) beginAt(pot, this.startOf(p, turns), ready);
    else advance(pot, ready);
    pot.stage += adds;
    for (const q of quickens) pot.perMinute *= quicker(q, doubts);
    if (loosens) pot.loosened = ready;
    this.note(p);
    return ready;
  }

  /**
   * What of it fails, and how thick everything is. A window is doubtful beyond its ends and fails half a
   * stage on.
   */
  private judge(i: number, act: CourseAct, start: Minutes, end: Minutes, turns: Turns): void {
    let fails = 0;
    let below = Infinity;
    const { carried, fluid, window } = act;
    const beyond = SOFT * (turns.soft?.[i] ?? 1);
    if (carried) {
      for (const l of carried.by)
        below = Math.min(below, bearsAs(this.thin[l] as ThickeningBatter, start, this.tcMin));
      if (below + (turns.landed?.[i] ?? 0) < carried.breaks) fails |= FAILS.breaks;
    }
    if (fluid)
      for (const l of fluid.layers) {
        if (stageAt(this.thick[l] as ThickeningBatter, start) > fluid.most + beyond)
          fails |= FAILS.setAlready;
        if (stageAt(this.thin[l] as ThickeningBatter, start) < fluid.least - beyond) fails |= FAILS.tooThin;
      }
    let thickest = -Infinity;
    let thinnest = Infinity;
    const last = start + (end - start) * (act.lastAt ?? 0);
    for (const p of act.pots) {
      const pot = this.pots[p] as ThickeningBatter;
      const more = inCup(act.cup, pot, turns.pace ?? 1, turns.doubts);
      thickest = Math.max(thickest, stageAt(pot, last) + more);
      thinnest = Math.min(thinnest, stageAt(pot, start) + more);
    }
    if (window && thickest > window.most + beyond) fails |= FAILS.tooThick;
    if (window && thinnest < window.least - beyond) fails |= FAILS.tooThin;
    this.below[i] = below;
    this.thickest[i] = thickest;
    this.thinnest[i] = thinnest;
    this.fails[i] = fails;
  }

  /** What it does to its pots, and the layers that it makes. */
  private change(act: CourseAct, start: Minutes, end: Minutes, turns: Turns): void {
    const { doubts } = turns;
    for (const p of act.pots) {
      const pot = this.pots[p] as ThickeningBatter;
      if (act.makes) beginAt(pot, this.startOf(p, turns), end);
      if (act.adds === undefined && !act.quickens) {
        if (act.makes) this.note(p);
        continue;
      }
      if (!act.makes) advance(pot, end);
      pot.stage += act.adds ?? 0;
      if (act.quickens) for (const q of act.quickens) pot.perMinute *= quicker(q, doubts);
      this.note(p);
    }
    if (act.lays) for (const l of act.lays) this.lay(act, l, start, end, turns);
    if (act.moves) for (const l of act.moves) this.move(l, end);
  }

  /** What a tool or a new tilt moves flows again, and rests from then on. */
  private move(l: number, at: Minutes): void {
    for (const b of [this.thin[l] as ThickeningBatter, this.thick[l] as ThickeningBatter]) {
      advance(b, at);
      b.rested = at;
    }
    this.kept?.layers[l]?.push({ ...(this.thin[l] as ThickeningBatter) });
  }

  private lay(
    { pots, cup }: CourseAct,
    l: number,
    at: Minutes,
    end: Minutes,
    { doubts, pace = 1 }: Turns,
  ): void {
    const thin = this.thin[l] as ThickeningBatter;
    const thick = this.thick[l] as ThickeningBatter;
    let least = Infinity;
    let most = -Infinity;
    for (const p of pots) {
      const pot = this.pots[p] as ThickeningBatter;
      const stage = stageAt(pot, at);
      if (stage < least) copy(pot, thin);
      if (stage > most) copy(pot, thick);
      least = Math.min(least, stage);
      most = Math.max(most, stage);
    }
    for (const b of [thin, thick]) {
      advance(b, at);
      b.stage += inCup(cup, b, pace, doubts);
      b.perMinute *= this.course.inMould;
      // poured and tapped level
      b.rested = end;
      if (cup) for (const q of cup.quickens) b.perMinute *= quicker(q, doubts);
    }
    this.kept?.layers[l]?.push({ ...thin });
  }

  /** The stages that a layer's thinnest batter flows and bears as, at a minute after it was poured. */
  layerFlows = (l: number, at: Minutes): Stage => stageAt(this.thin[l] as ThickeningBatter, at);
  layerBears = (l: number, at: Minutes): Stage => bearsAs(this.thin[l] as ThickeningBatter, at, this.tcMin);

  /** The minute from which on it flows as this stage. */
  layerFlowsFrom = (l: number, stage: Stage): Minutes => reaches(this.thin[l] as ThickeningBatter, stage);

  /** In which what lies still doubled its strength, this time; without end where it does not. */
  get restDoubles(): Minutes {
    return this.tcMin;
  }
}
