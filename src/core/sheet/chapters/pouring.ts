import { leadPot } from '../../plan/sources.ts';
import { propsFor } from '../../mould/props.ts';
import { USUAL_FROM_CORNER_MM } from '../../mould/cornerProp.ts';
import { isCorner } from '../../mould/propped.ts';
import { UNDER_WORDS } from '../../mould/propWords.ts';
import { isLevel } from '../../mould/tilt.ts';
import { pourNames } from '../../plan/deposits.ts';
import { batterIn } from '../../fill/batterIn.ts';
import { isAbout, mouldNames, mouldOfStep } from '../../plan/moulds.ts';
import type { Landing, Pour, Step, Wait } from '../../plan/stepSchema.ts';
import { stagePhrase } from '../../setting/stage.ts';
import { formatLength, formatMass, formatShort } from '../../units/format.ts';
import { ACT, VESSEL } from '../../weigh/acts.ts';
import { clean } from '../../weigh/ingredients.ts';
import type { PotWeight, Weights } from '../../weigh/weights.ts';
import type { MouldFacts } from '../../advice/facts.ts';
import { lowerFirst, upperFirst } from '../../units/words.ts';
import type { Computed } from '../compute.ts';
import { transfersOf } from '../../ledger/ledger.ts';
import { heldBefore, linesOf } from '../lines.ts';
import { surfaceText } from '../surfaceText.ts';
import { beforePass } from './colours.ts';
import { beforePour, thickened } from './stirring.ts';
import { waitsForJug, weighOut } from './oneBatch.ts';
import { potName, type Draft } from './draft.ts';
import { combine } from './portions.ts';

const LANDING_WORDS: Readonly<Record<Landing['how'], string>> = {
  stream: 'in a stream',
  low: 'from low down',
  spatula: 'over a spatula held just above the surface',
  spoon: 'by the spoonful',
};

const waitText = ({ until }: Wait): string =>
  until.kind === 'minutes'
    ? `Wait ${formatShort(until.minutes, 1)} min.`
    : `Wait until the last layer is ${stagePhrase(until.stage)} (${formatShort(until.stage, 1)} of 5): it must not wobble.`;

type TiltStep = Extract<Step, { kind: 'tilt' }>;

/** What to put under which edge, in mm and inches: that is what lies on the bench. */
function tiltText({ use, geometry }: MouldFacts, tilt: TiltStep): string {
  if (isLevel(tilt)) return 'Take the prop away and set the mould level.';
  const both = (mm: number): string => `${formatLength(mm, 'mm')} (${formatLength(mm, 'in')})`;
  const props = tilt.props
    ? tilt.props.map(({ name, heightMm, under, fromCornerMm }) => {
        const what = name === undefined ? both(heightMm) : `${name}, ${both(heightMm)},`;
        return isCorner(under)
          ? `${what} across under ${UNDER_WORDS[under]}, ${formatLength(fromCornerMm ?? USUAL_FROM_CORNER_MM, 'mm')} from it each way`
          : `${what} under ${UNDER_WORDS[under]}`;
      })
    : propsFor(use.mould, geometry, tilt).map((p) => `${both(p.heightMm)} under the ${p.under}`);
  const angles = [tilt.rollDeg, tilt.pitchDeg]
    .filter((d) => d !== 0)
    .map((d) => `${formatShort(Math.abs(d), 1)}°`);
  return `Prop the mould: ${props.join(' and ')}, ${angles.join(' and ')}. Wedge it so that it cannot slip.`;
}

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
const inNamed = ({ computed, names }: Going, mouldId: string): string =>
  computed.moulds.length > 1 ? (names.get(mouldId) ?? '') : '';

/** The moulds that a step is about: its own, and with the first those that follow its design. */
const mouldsOf = ({ computed }: Going, step: Step): readonly MouldFacts[] =>
  computed.moulds.filter((m) => isAbout(m.use, step));

/** Each mould is tilted by itself: the same angle wants another prop under another mould. */
function tilting(going: Going, step: TiltStep): Draft[] {
  return mouldsOf(going, step).flatMap((m): Draft[] => {
    const tilt = m.plan.steps.find((s) => s.id === step.id);
    if (tilt?.kind !== 'tilt') return [];
    const name = inNamed(going, m.use.id);
    return [
      {
        id: m.use.design === 'as-first' ? `${step.id}:${m.use.id}` : step.id,
        chapter: 'pour',
        step: step.id,
        text: name === '' ? tiltText(m, tilt) : `${name}: ${lowerFirst(tiltText(m, tilt))}`,
      },
    ];
  });
}

/** A wait is for one mould's layers, and named where the moulds are poured differently. */
function waiting(going: Going, step: Wait): Draft {
  const { computed } = going;
  const own = computed.moulds.filter((m) => m.use.design === 'own').length > 1;
  return {
    id: step.id,
    chapter: 'pour',
    step: step.id,
    text: own ? `${inNamed(going, mouldOfStep(step))}: ${lowerFirst(waitText(step))}` : waitText(step),
  };
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
const eachOf = (copies: number, name: string): string =>
  name === '' ? `each of ${copies} moulds` : copies > 1 ? `each of ${copies}: ${name}` : name;

/** What a jug of known weight then reads on the scale: how much is left in it can be seen. */
function scaleAfter({ computed, w }: Going, { pot }: PotWeight, step: Pour): string {
  if (!pot.jug) return '';
  const act = ACT.pour(step.id);
  const vessel = VESSEL.pot(pot.id);
  const poured = transfersOf(w.ledger, act)
    .filter((t) => t.from === vessel)
    .reduce((s, t) => s + t.massG, 0);
  const leftG = Math.max(0, clean(heldBefore(w, act, vessel) - poured));
  const { mass, scaleStepG } = computed.plan.units;
  return ` ${pot.jug.name} then reads ${formatMass(leftG + pot.jug.tareG, mass, scaleStepG)}: ${formatMass(leftG, mass, scaleStepG)} left in it.`;
}

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
  const { length } = computed.plan.units;
  const alone = own.name !== '' && into.length === 1;
  const label = going.pours.get(step.id) ?? 'pour';
  const before = [
    ...madeReady(going, pot),
    ...thickened(computed, w, pot.pot, going.atTrace),
    ...beforePass(computed, w, step.id),
    ...beforePour(computed, w, step.id, pot.pot, label),
  ];
  for (const { facts, each } of into)
    inMouldG.set(facts.use.id, clean((inMouldG.get(facts.use.id) ?? 0) + each.eachG));
  const rooms = own.facts.geometry.rooms.length;
  const room = rooms > 1 ? `, compartment ${Math.min(step.compartment + 1, rooms)}` : '';
  const surfaces = into.map(({ layer, name }) =>
    name === '' || alone ? surfaceText(layer, length) : `${name} ${surfaceText(layer, length)}`,
  );
  const nameOfLine = (to: string): string | undefined => {
    const found = into.find((i) => VESSEL.mould(i.facts.use.id) === to);
    return found && (found.name !== '' || found.each.copies > 1)
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
      text: `${upperFirst(label)}: ${potName(pot.pot)}${room}, ${LANDING_WORDS[step.landing.how]}, ${surfaces.join('; ')}.${scaleAfter(going, pot, step)}`,
      lines: linesOf(computed, w, ACT.pour(step.id)).map((l) => ({ ...l, name: nameOfLine(l.to) ?? l.name })),
      running: into.map(({ facts: { use }, name }) => ({
        inMouldG: inMouldG.get(use.id) ?? 0,
        ofG: going.ofG.get(use.id) ?? 0,
        moulds: use.copies,
        ...(name === '' ? {} : { name }),
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
