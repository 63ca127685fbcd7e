import { MOST_SPELLS, type PlanClock, type PotHistory, type Reading } from '../plan/clockSchema.ts';
import type { Plan } from '../plan/planSchema.ts';
import { batterIn } from '../plan/recipes.ts';
import { lagOf, looseness, type ThickeningBatter } from '../timing/batter.ts';
import { Run } from '../timing/run.ts';
import type { Turns } from '../timing/turns.ts';
import type { Minutes, Stage } from '../units/quantity.ts';
import type { Laid } from './course/draft.ts';
import type { PlanCourse } from './planCourse.ts';
import { recipeRate } from './recipeRate.ts';
import { idOfScent, scentSpeed } from './scents.ts';
import { rateAt, speedOf } from './speed.ts';

type Spell = PotHistory['spells'][number];

/** By so much the logarithm of a rate is moved, to see what depends on it. */
const STEP = 1e-3;

/** So many figures are kept. */
const figures = (x: number): number => Number(x.toPrecision(8));

/** Every state of some batter, one after another. */
type States = readonly ThickeningBatter[];

/** The states of each pot, and of each layer: its jug's until it is poured, its own from then on. */
function statesOf(
  { course }: PlanCourse,
  went: Turns,
): (doubts: readonly number[]) => Record<Seen, readonly States[]> {
  const run = new Run(course, { keeps: true });
  return (doubts) => {
    run.go({ ...went, doubts });
    const copied = (all: readonly States[] = []): readonly States[] =>
      all.map((states) => states.map((s) => ({ ...s })));
    return { pots: copied(run.kept?.pots), layers: copied(run.kept?.layers) };
  };
}

type Seen = 'pots' | 'layers';

/** What was looked at: a pot in its jug, or the layer that was poured of it last. */
export type Looked = Pick<Reading, 'pot' | 'min' | 'lying'>;

/**
 * What is done to each pot of a plan until it is looked at, as it is taken to go before anything is learned,
 * or as far as it went already; undefined while it is not there.
 */
export function histories(
  plan: Plan,
  laid: Laid,
  of: PlanCourse,
  went: Turns = {},
): (looked: Looked) => PotHistory | undefined {
  const { course, pots } = of;
  const statesFor = statesOf(of, went);
  const none = course.doubts.map(() => 0);
  const plain = statesFor(none);
  const scents = course.doubts.flatMap(({ name }, j) => {
    const id = idOfScent(name);
    return id === undefined ? [] : [{ id, moved: statesFor(none.with(j, STEP)) }];
  });
  const factors = new Map(plan.batter.fragrances.map((f) => [f.id, scentSpeed(f).factor]));
  return ({ pot: id, min: until, lying }) => {
    const p = pots.findIndex(({ pot, ofSecond }) => pot.id === id && !ofSecond);
    const layer = lying ? layerBy(of, plain.layers, p, until) : undefined;
    if (lying && layer === undefined) return undefined;
    const seenIn = ({ pots: jugs, layers }: typeof plain): States => {
      const own = layer === undefined ? [] : (layers[layer] ?? []);
      const poured = own[0]?.since ?? Infinity;
      return [...(jugs[p] ?? []).filter((s) => s.since < poured), ...own];
    };
    const pot = pots[p]?.pot;
    const recipe = pot && laid.recipes.ofPot(pot.id);
    if (!recipe) return undefined;
    const batter = batterIn(plan, pot);
    const speed = speedOf(batter, recipe, plan.clock);
    const perMinute = recipeRate(batter);
    const states = seenIn(plain)
      .filter((s) => s.since < until)
      .slice(0, MOST_SPELLS);
    const [first, last] = [states[0], states.at(-1)];
    if (!speed || perMinute === undefined || !first || !last) return undefined;
    const scented = scents.map(({ id: scent, moved }) => ({ scent, states: seenIn(moved) }));
    const spells = states.map((state, i): Spell => {
      const before = states[i - 1] ?? state;
      const fragrances = scented.flatMap(({ scent, states: moved }): Spell['fragrances'] => {
        const ratio = (moved[i]?.perMinute ?? state.perMinute) / state.perMinute;
        const share = Number((Math.log(ratio) / STEP).toFixed(6));
        return share === 0 ? [] : [{ id: scent, ...(share === 1 ? {} : { share }) }];
      });
      const asScented = speedIn({ fragrances }, speed.perMinute, (f) => factors.get(f) ?? 1);
      return {
        min: figures(state.since),
        adds: figures(state.stage - before.stage - before.perMinute * (state.since - before.since)),
        fragrances,
        times: figures(state.perMinute / asScented),
      };
    });
    const thinner = figures(looseness(last, until));
    return {
      start: figures(Math.max(first.seen, first.stage)),
      batterC: figures(speed.batterC),
      lyePercent: figures(speed.lyePercent),
      perMinute: figures(perMinute),
      ...(thinner > 0 ? { thinner } : {}),
      ...(lying ? { restMin: figures(Math.max(0, until - last.rested)) } : {}),
      spells,
    };
  };
}

/** A speed with what is in the batter counted. */
const speedIn = (
  { fragrances }: Pick<Spell, 'fragrances'>,
  plain: number,
  factorOf: (fragrance: string) => number,
): number => fragrances.reduce((x, { id, share = 1 }) => x * factorOf(id) ** share, plain);

/** The layer that was poured last of a pot by a minute, of that pot alone. */
function layerBy(
  { course }: PlanCourse,
  layers: readonly States[],
  pot: number,
  until: Minutes,
): number | undefined {
  return course.acts
    .filter((a) => a.pots.length === 1 && a.pots[0] === pot)
    .flatMap((a) => a.lays ?? [])
    .findLast((l) => (layers[l]?.[0]?.since ?? Infinity) < until);
}

interface Grown {
  readonly grows: Stage;
  /** each fragrance's share of it */
  readonly shares: ReadonlyMap<string, Stage>;
}

/**
 * By how much a pot thickened by itself from one minute to another, as far as that is seen: near emulsion it
 * lags, and what is stirred or blended in takes that away first.
 */
export function grown(
  history: PotHistory,
  from: Minutes,
  to: Minutes,
  rate: number,
  factorOf: (fragrance: string) => number,
): Grown {
  const all = thickened(history, from, to, rate, factorOf);
  const until = thickened(history, history.spells[0]?.min ?? 0, from, rate, factorOf);
  const [before, between] = [added(history, -Infinity, from), added(history, from, to)];
  const hidden = Math.max(0, lagOf(history.start) - until.grows - before - between);
  const part = all.grows > 0 ? Math.max(0, all.grows - hidden) / all.grows : 0;
  return {
    grows: all.grows * part,
    shares: new Map([...all.shares].map(([f, s]) => [f, s * part])),
  };
}

/** By how much its line went on from one minute to another, seen or not. */
function thickened(
  { spells }: PotHistory,
  from: Minutes,
  to: Minutes,
  rate: number,
  factorOf: (fragrance: string) => number,
): Grown {
  let grows = 0;
  const shares = new Map<string, Stage>();
  for (const [i, spell] of spells.entries()) {
    const minutes = Math.min(to, spells[i + 1]?.min ?? Infinity) - Math.max(from, spell.min);
    if (minutes <= 0) continue;
    const part = speedIn(spell, minutes * rate * spell.times, factorOf);
    grows += part;
    for (const { id, share = 1 } of spell.fragrances) shares.set(id, (shares.get(id) ?? 0) + part * share);
  }
  return { grows, shares };
}

/** What stirring and blending added from one minute to another. */
export const added = ({ spells }: PotHistory, from: Minutes, to: Minutes): Stage =>
  spells.reduce((s, x, i) => (i > 0 && x.min > from && x.min <= to ? s + x.adds : s), 0);

/**
 * Of a fragrance that is gone nothing can be told any more: whether all that were in the pot are still known.
 */
export const isTold = (
  { spells }: PotHistory,
  known: { readonly has: (fragrance: string) => boolean },
): boolean => spells.every((s) => s.fragrances.every((f) => known.has(f.id)));

/**
 * How fast a pot thickened before any fragrance was in it, as it is taken to: stages a minute, at the
 * temperature and lye that it had.
 */
export const rateOf = (clock: PlanClock, { perMinute, batterC, lyePercent }: PotHistory): number =>
  rateAt(clock.perMinute ?? clock.known?.value ?? perMinute, batterC, lyePercent);

/** How thick it is taken to be at a minute; NaN before it is there. */
export function stageBy(
  history: PotHistory,
  min: Minutes,
  rate: number,
  factorOf: (fragrance: string) => number,
): Stage {
  const first = history.spells[0]?.min ?? 0;
  if (min < first) return NaN;
  const hidden = Math.min(lagOf(history.start), added(history, first, min));
  return (
    history.start + grown(history, first, min, rate, factorOf).grows + added(history, first, min) - hidden
  );
}
