import type { MouldFacts } from '../../advice/facts.ts';
import type { Computed } from '../../computed/compute.ts';
import { bareWalls } from '../../fill/bareWall.ts';
import { batterIn } from '../../fill/batterIn.ts';
import type { PouredLayer } from '../../fill/layers.ts';
import { pouredHeights } from '../../fill/onWalls.ts';
import { stepsDone } from '../../fill/ridges.ts';
import { transfersOf } from '../../ledger/ledger.ts';
import type { PutUnder } from '../../mould/propped.ts';
import { columnsIn } from '../../mould/column.ts';
import { propsFor } from '../../mould/props.ts';
import { isLevel } from '../../mould/tilt.ts';
import { pourNames } from '../../plan/deposits.ts';
import { mouldNames, mouldOfStep } from '../../plan/moulds.ts';
import type { Place } from '../../plan/patternSchema.ts';
import { depositKey, potsOf } from '../../plan/sources.ts';
import type { Pour, Step, Wait } from '../../plan/stepSchema.ts';
import { ACT, VESSEL } from '../../weigh/acts.ts';
import { clean } from '../../weigh/ingredients.ts';
import type { PotWeight, Weights } from '../../weigh/weights.ts';
import type { Grams } from '../../units/quantity.ts';
import { roundsOf } from '../../weigh/rounds.ts';
import type { Draft, Line } from '../act.ts';
import type { Deed, PatternDeed, Surface } from '../deeds.ts';
import { heldBefore, linesOf } from '../lines.ts';
import { beforePass } from './colours.ts';
import { beforePour, thickened } from './stirring.ts';
import { inNamed, madeReady, mouldsOf, named, type Going } from './going.ts';
import { fillingRidges, lining, pulling, scraping, stroking, wiring } from './tools.ts';

type TiltStep = Extract<Step, { kind: 'tilt' }>;

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

/** Each mould is tilted by itself: the same angle wants another prop under another mould. */
function tilting(going: Going, step: TiltStep): Draft[] {
  return mouldsOf(going, step).flatMap((m): Draft[] => {
    const tilt = m.plan.steps.find((s) => s.id === step.id);
    if (tilt?.kind !== 'tilt') return [];
    const mould = named(inNamed(going, m.use.id));
    const angles = [tilt.rollDeg, tilt.pitchDeg].filter((d) => d !== 0);
    const deed: Deed = isLevel(tilt)
      ? { does: 'set-level', fluid: tilt.fluid === true, ...mould }
      : { does: 'prop', props: putUnder(m, tilt), angles, ...mould };
    const id = m.use.design === 'as-first' ? `${step.id}:${m.use.id}` : step.id;
    return [{ id, chapter: 'pour', step: step.id, deed }];
  });
}

/** A wait is for one mould's layers, and named where the moulds are poured differently. */
function waiting(going: Going, step: Wait): Draft {
  const apart = going.computed.moulds.filter((m) => m.use.design === 'own').length > 1;
  const mould = named(apart ? inNamed(going, mouldOfStep(step)) : undefined);
  return { id: step.id, chapter: 'pour', step: step.id, deed: { does: 'wait', until: step.until, ...mould } };
}

/** "each of 6 moulds", with its name where there are several kinds. */
const eachOf = (copies: number, name: string | undefined): string =>
  name === undefined ? `each of ${copies} moulds` : copies > 1 ? `each of ${copies}: ${name}` : name;

/** What a jug of known weight then reads on the scale: how much is left in it can be seen. */
function scaleAfter(w: Weights, { pot }: PotWeight, step: Pour): Extract<Deed, { does: 'pour' }>['jug'] {
  if (!pot.jug) return undefined;
  const act = ACT.pour(step.id);
  const vessel = VESSEL.pot(pot.id);
  const poured = transfersOf(w.ledger, act)
    .filter((t) => t.from === vessel)
    .reduce((s, t) => s + t.massG, 0);
  const leftG = Math.max(0, clean(heldBefore(w, act, vessel) - poured));
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

const eachIn = ({ parts }: Into): Grams => clean(parts.reduce((s, p) => s + p.eachG, 0));

/** Round by round, what is poured into one mould and what should be left in each jug once all alike have had theirs. */
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

function patternOf(going: Going, step: Pour, into: Into): PatternDeed | undefined {
  const { w, computed } = going;
  if (!step.pattern) return undefined;
  const massOf = new Map(into.parts.map((p) => [p.pot.pot.id, p.eachG] as const));
  const held = new Map(
    into.parts.map(
      ({ pot }) => [pot.pot.id, heldBefore(w, ACT.pour(step.id), VESSEL.pot(pot.pot.id))] as const,
    ),
  );
  const letters = new Map(into.parts.map(({ pot }) => [pot.pot.id, pot.pot.letter] as const));
  let inMouldG = clean((going.inMouldG.get(into.facts.use.id) ?? 0) - eachIn(into));
  const rounds = roundsOf(step, (pot) => massOf.get(pot) ?? 0, computed.plan.units.scaleStepG).map(
    (round) => {
      inMouldG = clean(inMouldG + round.reduce((s, t) => s + t.massG, 0));
      return {
        inMouldG,
        turns: round.map((t) => ({
          letter: letters.get(t.pot) ?? '',
          massG: t.massG,
          leftG: Math.max(0, clean((held.get(t.pot) ?? 0) - t.pouredG * into.copies)),
        })),
      };
    },
  );
  const over = overColumns(into.facts, step, step.pattern.place);
  return { place: step.pattern.place, ...(over ? { over } : {}), fallMm: step.landing.fallMm, rounds };
}

/** A jug that is blended on, or stirred loose, right before it is poured. */
function workingJug(step: Pour, { pot }: PotWeight): Draft[] {
  const { blendTo, loosened } = pot;
  if (blendTo === undefined && !loosened) return [];
  const deed: Deed = {
    does: 'work-jug',
    ...(blendTo === undefined ? {} : { blendTo }),
    loosens: loosened === true,
  };
  return [{ id: `work:${step.id}:${pot.id}`, chapter: 'pour', step: step.id, pot: pot.id, deed }];
}

/** The pots of a pour, with what it takes of each. */
const weighedPots = ({ w }: Going, step: Pour): readonly PotWeight[] =>
  potsOf(step).flatMap((id) => w.pots.find((p) => p.pot.id === id) ?? []);

function onePour(going: Going, step: Pour): Draft[] {
  const { computed, w, inMouldG } = going;
  const pots = weighedPots(going, step);
  const into = mouldsOf(going, step).flatMap((facts): Into[] => {
    const layer = facts.stack.layers.find((l) => l.pour.id === step.id);
    const parts = pots.flatMap((pot) => {
      const each = pot.pours.find((q) => q.stepId === step.id)?.into.find((i) => i.mould === facts.use.id);
      return each ? [{ pot, eachG: each.eachG }] : [];
    });
    const { copies } = facts.use;
    return layer && parts.length > 0
      ? [{ facts, layer, parts, copies, name: inNamed(going, facts.use.id) }]
      : [];
  });
  const [own] = into;
  const [pot] = pots;
  if (!pot || !own) return [];
  const pour = going.pours.get(step.id) ?? 'pour';
  const before = [
    ...pots.flatMap((p) => [...madeReady(going, p), ...thickened(computed, w, p.pot, going.atTrace)]),
    ...beforePass(computed, w, step.id),
    ...pots.flatMap(({ pot: of }) =>
      beforePour(computed, w, { step: step.id, key: depositKey(step, of.id), pot: of }, pour),
    ),
    ...pots.flatMap((p) => workingJug(step, p)),
  ];
  for (const each of into)
    inMouldG.set(each.facts.use.id, clean((inMouldG.get(each.facts.use.id) ?? 0) + eachIn(each)));
  const rooms = own.facts.geometry.rooms.length;
  const jug = pots.length === 1 ? scaleAfter(w, pot, step) : undefined;
  const pattern = patternOf(going, step, own);
  const nameOfLine = ({ to, pot: from, name }: Line): string => {
    const found = into.find(({ facts: { use } }) =>
      [VESSEL.mould(use.id), VESSEL.layer(step.id, use.id)].includes(to),
    );
    const named = found && (found.name !== undefined || found.copies > 1);
    const what = pots.length > 1 ? `Pot ${pots.find((p) => p.pot.id === from)?.pot.letter ?? ''}` : 'Batter';
    return named ? `${what} into ${eachOf(found.copies, found.name)}` : pots.length > 1 ? what : name;
  };
  return [
    ...before,
    {
      id: ACT.pour(step.id),
      chapter: 'pour',
      step: step.id,
      pot: pot.pot.id,
      deed: {
        does: 'pour',
        pour,
        ...(rooms > 1 ? { compartment: Math.min(step.compartment + 1, rooms) } : {}),
        landing: step.landing.how,
        // a pour into one mould alone says so in its name
        surfaces: into.map(({ layer, name }) => surfaceOf(layer, into.length > 1 ? name : undefined)),
        ...(step.roughMm === undefined ? {} : { roughMm: step.roughMm }),
        ...(pattern ? { pattern } : {}),
        ...(jug ? { jug } : {}),
      },
      lines: linesOf(computed, w, ACT.pour(step.id)).map((l) => ({ ...l, name: nameOfLine(l) })),
      running: into.map(({ facts: { use }, name }) => ({
        inMouldG: inMouldG.get(use.id) ?? 0,
        ofG: going.ofG.get(use.id) ?? 0,
        moulds: use.copies,
        ...(name === undefined ? {} : { name }),
      })),
    },
  ];
}

/** Every wait, tilt, stroke and pour in order, into whichever mould it is. */
export function pouring(computed: Computed, w: Weights): Draft[] {
  const going: Going = {
    computed,
    w,
    names: mouldNames(computed.plan),
    combined: new Set(),
    atTrace: new Set(),
    pours: pourNames(computed.plan),
    inMouldG: new Map(),
    ofG: new Map(computed.moulds.map((m) => [m.use.id, clean(batterIn(m))])),
  };
  return stepsDone(computed.plan).flatMap((step): Draft[] => {
    switch (step.kind) {
      case 'wait':
        return [waiting(going, step)];
      case 'tilt':
        return tilting(going, step);
      case 'pour':
        return onePour(going, step);
      case 'stroke':
        return stroking(going, step);
      case 'wire':
        return wiring(going, step);
      case 'scrape':
        return scraping(going, step);
      case 'mica':
        return lining(going, step);
      case 'pull':
        return pulling(going, step);
      case 'ridges':
        return fillingRidges(going, step);
      case 'top':
      case 'finish':
        return [];
    }
  });
}
