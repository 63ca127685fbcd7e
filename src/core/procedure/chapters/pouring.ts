import type { MouldId } from '../../validate/ids.ts';
import type { MouldFacts } from '../../advice/facts.ts';
import type { Computed } from '../../computed/compute.ts';
import { bareWalls } from '../../fill/bareWall.ts';
import { batterIn } from '../../fill/batterIn.ts';
import type { PouredLayer } from '../../fill/layers.ts';
import { transfersOf } from '../../ledger/ledger.ts';
import type { PutUnder } from '../../mould/propped.ts';
import { propsFor } from '../../mould/props.ts';
import { isLevel } from '../../mould/tilt.ts';
import { pourNames } from '../../plan/deposits.ts';
import { isAbout, mouldNames, mouldOfStep } from '../../plan/moulds.ts';
import { leadPot } from '../../plan/sources.ts';
import type { Pour, Step, Wait } from '../../plan/stepSchema.ts';
import { ACT, VESSEL } from '../../weigh/acts.ts';
import { clean } from '../../weigh/ingredients.ts';
import type { PotWeight, Weights } from '../../weigh/weights.ts';
import type { Draft } from '../act.ts';
import type { Deed, Surface } from '../deeds.ts';
import { heldBefore, linesOf } from '../lines.ts';
import { beforePass } from './colours.ts';
import { waitsForJug, weighOut } from './oneBatch.ts';
import { combine } from './portions.ts';
import { beforePour, thickened } from './stirring.ts';

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

/** What is written into the sheet while the pours are gone through. */
interface Going {
  readonly computed: Computed;
  readonly w: Weights;
  readonly names: ReadonlyMap<string, string>;
  readonly combined: Set<string>;
  readonly atTrace: Set<string>;
  readonly pours: ReadonlyMap<string, string>;
  /** g in one of them so far, by mould */
  readonly inMouldG: Map<string, number>;
  /** g that one of them takes in all */
  readonly ofG: ReadonlyMap<string, number>;
}

/** Where there are several moulds, which one is meant. */
const inNamed = ({ computed, names }: Going, mouldId: MouldId): string | undefined =>
  computed.moulds.length > 1 ? names.get(mouldId) : undefined;

const named = (mould: string | undefined): { readonly mould?: string } =>
  mould === undefined ? {} : { mould };

/** The moulds that a step is about: its own, and with the first those that follow its design. */
const mouldsOf = ({ computed }: Going, step: Step): readonly MouldFacts[] =>
  computed.moulds.filter((m) => isAbout(m.use, step));

/** Each mould is tilted by itself: the same angle wants another prop under another mould. */
function tilting(going: Going, step: TiltStep): Draft[] {
  return mouldsOf(going, step).flatMap((m): Draft[] => {
    const tilt = m.plan.steps.find((s) => s.id === step.id);
    if (tilt?.kind !== 'tilt') return [];
    const mould = named(inNamed(going, m.use.id));
    const angles = [tilt.rollDeg, tilt.pitchDeg].filter((d) => d !== 0);
    const deed: Deed = isLevel(tilt)
      ? { does: 'set-level', ...mould }
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

/** A jug's lye solution, or its batter, where it is made up only now. */
function madeReady({ computed, w, combined }: Going, pot: PotWeight): Draft[] {
  const { plan } = computed;
  if (combined.has(pot.pot.id)) return [];
  const jugByJug = plan.divide.kind === 'before-lye' && plan.divide.lye === 'jug-by-jug';
  const drafts = jugByJug
    ? combine(computed, pot.pot, w)
    : plan.divide.kind === 'after-emulsion' && waitsForJug(plan, pot.pot)
      ? [weighOut(computed, w, pot)]
      : [];
  if (drafts.length > 0) combined.add(pot.pot.id);
  return drafts.map((d) => ({ ...d, chapter: 'pour' as const }));
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
  heightsMm: { left: layer.leftMm, right: layer.rightMm, near: layer.nearMm, far: layer.farMm },
  bare: bareWalls(layer.room, layer),
  ...named(mould),
});

function onePour(going: Going, step: Pour): Draft[] {
  const { computed, w, inMouldG } = going;
  const pot = w.pots.find((p) => p.pot.id === leadPot(step));
  const weight = pot?.pours.find((q) => q.stepId === step.id);
  const into = mouldsOf(going, step).flatMap((facts) => {
    const layer = facts.stack.layers.find((l) => l.pour.id === step.id);
    const each = weight?.into.find((i) => i.mould === facts.use.id);
    return layer && each ? [{ facts, layer, each, name: inNamed(going, facts.use.id) }] : [];
  });
  const [own] = into;
  if (!pot || !own) return [];
  const pour = going.pours.get(step.id) ?? 'pour';
  const before = [
    ...madeReady(going, pot),
    ...thickened(computed, w, pot.pot, going.atTrace),
    ...beforePass(computed, w, step.id),
    ...beforePour(computed, w, step.id, pot.pot, pour),
  ];
  for (const { facts, each } of into)
    inMouldG.set(facts.use.id, clean((inMouldG.get(facts.use.id) ?? 0) + each.eachG));
  const rooms = own.facts.geometry.rooms.length;
  const jug = scaleAfter(w, pot, step);
  const nameOfLine = (to: string): string | undefined => {
    const found = into.find((i) => VESSEL.mould(i.facts.use.id) === to);
    return found && (found.name !== undefined || found.each.copies > 1)
      ? `Batter into ${eachOf(found.each.copies, found.name)}`
      : undefined;
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
        ...(jug ? { jug } : {}),
      },
      lines: linesOf(computed, w, ACT.pour(step.id)).map((l) => ({ ...l, name: nameOfLine(l.to) ?? l.name })),
      running: into.map(({ facts: { use }, name }) => ({
        inMouldG: inMouldG.get(use.id) ?? 0,
        ofG: going.ofG.get(use.id) ?? 0,
        moulds: use.copies,
        ...(name === undefined ? {} : { name }),
      })),
    },
  ];
}

/** Every wait, tilt and pour in order, into whichever mould it is. */
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
  return computed.plan.steps.flatMap((step): Draft[] => {
    switch (step.kind) {
      case 'wait':
        return [waiting(going, step)];
      case 'tilt':
        return tilting(going, step);
      case 'pour':
        return onePour(going, step);
      case 'finish':
        return [];
    }
  });
}
