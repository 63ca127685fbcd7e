import { once } from '../../task/once.ts';
import type { MouldFacts } from '../../advice/facts.ts';
import type { ActOf } from '../../day/act.ts';
import { VESSEL } from '../../day/vessel.ts';
import { bareWalls } from '../../fill/bareWall.ts';
import type { PouredLayer } from '../../fill/layers.ts';
import { pouredHeights } from '../../fill/onWalls.ts';
import { columnsIn } from '../../mould/column.ts';
import { floorBox, roughnessOf } from '../../pattern/blocks.ts';
import type { PutUnder } from '../../mould/propped.ts';
import { propsFor } from '../../mould/props.ts';
import { isLevel } from '../../mould/tilt.ts';
import { mouldOfStep } from '../../plan/moulds.ts';
import { wayOf, type Place } from '../../ways/ways.ts';
import { potsOf } from '../../plan/sources.ts';
import type { Pour } from '../../plan/stepSchema.ts';
import type { Grams, Stage } from '../../units/quantity.ts';
import { clean } from '../../weigh/ingredients.ts';
import { roundsOf } from '../../weigh/rounds.ts';
import type { PotWeight } from '../../weigh/weights.ts';
import type { Line } from '../act.ts';
import type { Deed, PatternDeed, Surface } from '../deeds.ts';
import { foundIn, leftAfter, linesInto } from '../lines.ts';
import {
  inMouldBefore,
  inNamed,
  mouldFacts,
  mouldsOf,
  named,
  runningIn,
  weightOf,
  type Telling,
} from '../telling.ts';
import type { TellFor } from './tells.ts';

type TiltStep = ActOf<'tilt'>['step'];

const UNDER = {
  'right edge': 'right-edge',
  'left edge': 'left-edge',
  'far end': 'far-end',
  'near end': 'near-end',
} as const;

/** What makes a tilt: what was put under the mould, or whatever is as high as it needs. */
const putUnder = ({ use, geometry }: MouldFacts, tilt: TiltStep): readonly PutUnder[] =>
  tilt.props ??
  propsFor(use.mould, geometry, tilt).map(({ under, heightMm }) => ({ under: UNDER[under], heightMm }));

/** "each of 6 moulds", with its name where there are several kinds. */
const eachOf = (copies: number, name: string | undefined): string =>
  name === undefined && copies === 1
    ? 'one mould'
    : name === undefined
      ? `each of ${copies} moulds`
      : copies > 1
        ? `each of ${copies}: ${name}`
        : name;

/** What a jug of known weight then reads on the scale: how much is left in it can be seen. */
function scaleAfter(
  { w }: Telling,
  { pot }: PotWeight,
  act: ActOf<'pour'>,
): Extract<Deed, { does: 'pour' }>['jug'] {
  if (!pot.jug) return undefined;
  const leftG = leftAfter(w, act.id, VESSEL.pot(pot.id));
  return { name: pot.jug.name, readsG: leftG + pot.jug.tareG, leftG };
}

const surfaceOf = (layer: PouredLayer, mould: string | undefined): Surface => ({
  heightsMm: pouredHeights(layer),
  bare: bareWalls(layer.room, layer),
  ...named(mould),
});

/** What a pour puts into one kind of mould, of each of its pots. */
interface Into {
  readonly facts: MouldFacts;
  readonly layer: PouredLayer;
  /** g into one of them, in the order of the pour's pots */
  readonly parts: readonly { readonly pot: PotWeight; readonly eachG: Grams }[];
  readonly copies: number;
  readonly name: string | undefined;
}

/** How many columns a pour goes over, and which of them where it is one. */
function overColumns(
  { geometry, use }: MouldFacts,
  { compartment }: Pour,
  place: Place,
): PatternDeed['over'] {
  if (place.at !== 'column') return undefined;
  const standing = (geometry.rooms[compartment] ?? geometry.rooms[0]).columns;
  const nth = columnsIn(use.mould).findIndex((c) => c.id === place.column);
  return { count: standing.length, ...(nth >= 0 ? { nth: nth + 1 } : {}) };
}

/**
 * Round by round, what is poured into one mould and what should be left in each jug once all alike have had
 * theirs.
 */
function patternOf(telling: Telling, act: ActOf<'pour'>, into: Into): PatternDeed | undefined {
  const { w, computed } = telling;
  const { step } = act;
  if (!step.pattern) return undefined;
  const own = new Map(
    into.parts.map(({ pot: { pot }, eachG }) => [
      pot.id,
      { letter: pot.letter, eachG, heldG: foundIn(w, act.id, VESSEL.pot(pot.id)) },
    ]),
  );
  const dealt = once(() => {
    let inMouldG = inMouldBefore(telling, act, into.facts);
    return roundsOf(step, (pot) => own.get(pot)?.eachG ?? 0, computed.plan.units.scaleStepG).map((round) => {
      inMouldG = clean(inMouldG + round.reduce((s, t) => s + t.massG, 0));
      return {
        inMouldG,
        turns: round.map((t) => {
          const { letter = '', heldG = 0 } = own.get(t.pot) ?? {};
          return { letter, massG: t.massG, leftG: Math.max(0, clean(heldG - t.pouredG * into.copies)) };
        }),
      };
    });
  });
  const { place } = step.pattern;
  const over = overColumns(into.facts, step, place);
  const above = wayOf(place).fromAbove?.(place, floorBox(into.facts));
  return {
    place,
    ...(over ? { over } : {}),
    fallMm: step.landing.fallMm,
    ...(above ? { above } : {}),
    roundCount: step.pattern.rounds.length,
    get rounds() {
      return dealt();
    },
  };
}

/** The pots of a pour, with what it takes of each. */
const weighedPots = (telling: Telling, step: Pour): readonly PotWeight[] =>
  potsOf(step).flatMap((id) => weightOf(telling, id) ?? []);

/** What a pour puts into each kind of mould that it comes to lie in. */
const intoMoulds = (telling: Telling, step: Pour, pots: readonly PotWeight[]): readonly Into[] =>
  mouldsOf(telling, step).flatMap((facts): Into[] => {
    const layer = facts.stack.layers.find((l) => l.pour.id === step.id);
    const parts = pots.flatMap((pot) => {
      const each = pot.pours.find((q) => q.stepId === step.id)?.into.find((i) => i.mould === facts.use.id);
      return each ? [{ pot, eachG: each.eachG }] : [];
    });
    const { copies } = facts.use;
    return layer && parts.length > 0
      ? [{ facts, layer, parts, copies, name: inNamed(telling, facts.use.id) }]
      : [];
  });

/**
 * What a line of a pour is called: its pot where there are several, its moulds where they are several or have
 * names.
 */
function lineName(
  into: readonly Into[],
  pots: readonly PotWeight[],
  { to, pot, name, times, last }: Line,
): string {
  const mould = to.kind === 'mould' || to.kind === 'layer' ? to.mould : undefined;
  const found = into.find(({ facts: { use } }) => use.id === mould);
  const letter = pots.find((p) => p.pot.id === pot)?.pot.letter ?? '';
  const what = pots.length > 1 ? `Pot ${letter}` : 'Batter';
  if (found && last) return `${what} into the last of them`;
  if (found && (found.name !== undefined || found.copies > 1))
    return `${what} into ${eachOf(times, found.name)}`;
  return pots.length > 1 ? what : name;
}

/** Batter of any thickness can be put where this is the most. */
const ANY_STAGE = 5;

/**
 * Stages are told by eye to about so much: a clock that differs by more is another plan. A judgement, no
 * source.
 */
const CLEARLY: Stage = 0.5;

/** How thick the pots of a pour are meant to be, and up to where the clock takes them to pour. */
function thickOf(
  { computed: { clock } }: Telling,
  { id }: ActOf<'pour'>,
  pots: readonly PotWeight[],
): Extract<Deed, { does: 'pour' }>['thick'] {
  const timed = clock?.acts.find((a) => a.about.of.includes(id));
  const most = timed?.act.window?.most;
  const meant = pots.map(({ pot }) => ({ letter: pot.letter, stage: pot.blendTo ?? pot.stage }));
  const { firstStage: from = NaN, stage: to = NaN } = timed ?? {};
  const other = meant.some(({ stage }) => stage < from - CLEARLY || stage > to + CLEARLY);
  return {
    meant,
    ...(most === undefined || most >= ANY_STAGE ? {} : { most }),
    ...(other ? { byClock: { from, to } } : {}),
  };
}

export const tellPouring: TellFor<'pour' | 'wait' | 'tilt'> = {
  pour: (telling, act) => {
    const { computed, w } = telling;
    const { step } = act;
    const pots = weighedPots(telling, step);
    const into = intoMoulds(telling, step, pots);
    const [own] = into;
    const [pot] = pots;
    if (!pot || !own) return undefined;
    const rooms = own.facts.geometry.rooms.length;
    const jug = pots.length === 1 ? scaleAfter(telling, pot, act) : undefined;
    const pattern = patternOf(telling, act, own);
    return {
      deed: {
        does: 'pour',
        pour: telling.pours.get(step.id) ?? 'pour',
        ...(rooms > 1 ? { compartment: Math.min(step.compartment + 1, rooms) } : {}),
        landing: step.landing.how,
        ...(step.onFluid
          ? { onFluidMm: Math.max(0, ...into.map(({ facts, layer }) => roughnessOf(facts, layer).roughMm)) }
          : {}),
        // a pour into one mould alone says so in its name
        surfaces: into.map(({ layer, name }) => surfaceOf(layer, into.length > 1 ? name : undefined)),
        thick: thickOf(telling, act, pots),
        ...(step.roughMm === undefined ? {} : { roughMm: step.roughMm }),
        ...(pattern ? { pattern } : {}),
        ...(jug ? { jug } : {}),
      },
      lines: linesInto(computed, w, act.id).map((l) => ({ ...l, name: lineName(into, pots, l) })),
      running: runningIn(
        telling,
        act,
        into.map((i) => i.facts),
      ),
    };
  },
  // named where the moulds are poured differently
  wait: (telling, { step }) => {
    const apart = telling.computed.moulds.filter((m) => m.use.design === 'own').length > 1;
    const mould = named(apart ? inNamed(telling, mouldOfStep(step)) : undefined);
    return { deed: { does: 'wait', until: step.until, ...mould } };
  },
  // each mould is tilted by itself: the same angle wants another prop under another mould
  tilt: (telling, act) => {
    const of = mouldFacts(telling, act.mould);
    const tilt = of.plan.steps.find((s) => s.id === act.step.id);
    if (tilt?.kind !== 'tilt') return undefined;
    const mould = named(inNamed(telling, act.mould));
    const angles = [tilt.rollDeg, tilt.pitchDeg].filter((d) => d !== 0);
    return {
      deed: isLevel(tilt)
        ? { does: 'set-level', fluid: tilt.fluid === true, ...mould }
        : { does: 'prop', props: putUnder(of, tilt), angles, ...mould },
    };
  },
};
