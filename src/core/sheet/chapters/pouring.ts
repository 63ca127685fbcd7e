import { propsFor } from '../../mould/props.ts';
import { isLevel, type Tilt } from '../../mould/tilt.ts';
import type { Landing, Wait } from '../../plan/stepSchema.ts';
import { stagePhrase } from '../../setting/stage.ts';
import { formatLength, formatShort } from '../../units/format.ts';
import { ACT } from '../../weigh/acts.ts';
import { clean } from '../../weigh/ingredients.ts';
import type { Weights } from '../../weigh/weights.ts';
import type { Computed } from '../compute.ts';
import { linesOf } from '../lines.ts';
import { surfaceText } from '../surfaceText.ts';
import { beforePass } from './colours.ts';
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

/** What to put under which edge, in mm and inches: that is what lies on the bench. */
function tiltText({ plan, geometry }: Computed, tilt: Tilt): string {
  if (isLevel(tilt)) return 'Take the prop away and set the mould level.';
  const props = propsFor(plan.mould, geometry, tilt).map(
    (p) => `${formatLength(p.heightMm, 'mm')} (${formatLength(p.heightMm, 'in')}) under the ${p.under}`,
  );
  const angles = [tilt.rollDeg, tilt.pitchDeg]
    .filter((d) => d !== 0)
    .map((d) => `${formatShort(Math.abs(d), 1)}°`);
  return `Prop the mould: ${props.join(' and ')}, ${angles.join(' and ')}. Wedge it so that it cannot slip.`;
}

export function pouring(computed: Computed, w: Weights): Draft[] {
  const { plan, stack } = computed;
  const { length } = plan.units;
  const jugByJug = plan.divide.kind === 'before-lye' && plan.divide.lye === 'jug-by-jug';
  const byStep = new Map(
    w.pots.flatMap((p) => p.pours.map((q) => [q.stepId, { ...q, pot: p.pot }] as const)),
  );
  const { copies } = plan.fill;
  const ofG = clean([...byStep.values()].reduce((s, q) => s + q.eachG, 0));
  const combined = new Set<string>();
  const drafts: Draft[] = [];
  let inMouldG = 0;
  let nth = 0;
  for (const step of plan.steps) {
    if (step.kind === 'wait')
      drafts.push({
        id: step.id,
        chapter: 'pour',
        step: step.id,
        text: waitText(step),
      });
    if (step.kind === 'tilt')
      drafts.push({ id: step.id, chapter: 'pour', step: step.id, text: tiltText(computed, step) });
    if (step.kind !== 'pour') continue;
    const weight = byStep.get(step.id);
    const layer = stack.layers.find((l) => l.pour.id === step.id);
    if (!weight || !layer) continue;
    if (jugByJug && !combined.has(weight.pot.id)) {
      combined.add(weight.pot.id);
      drafts.push({ ...combine(computed, weight.pot, w), chapter: 'pour' });
    }
    const pot = w.pots.find((p) => p.pot.id === weight.pot.id);
    if (
      pot &&
      plan.divide.kind === 'after-emulsion' &&
      waitsForJug(plan, pot.pot) &&
      !combined.has(pot.pot.id)
    ) {
      combined.add(pot.pot.id);
      drafts.push({ ...weighOut(computed, w, pot), chapter: 'pour' });
    }
    drafts.push(...beforePass(computed, w, step.id));
    nth += 1;
    inMouldG = clean(inMouldG + weight.eachG);
    const rooms = computed.geometry.rooms.length;
    const room = rooms > 1 ? `, compartment ${Math.min(step.compartment + 1, rooms)}` : '';
    drafts.push({
      id: ACT.pour(step.id),
      chapter: 'pour',
      step: step.id,
      pot: weight.pot.id,
      text: `Pour ${nth}: ${potName(weight.pot)}${room}, ${LANDING_WORDS[step.landing.how]}, ${surfaceText(layer, length)}.`,
      lines: linesOf(computed, w, ACT.pour(step.id)).map((l) =>
        copies > 1 ? { ...l, name: `Batter into each of ${copies} moulds` } : l,
      ),
      running: { inMouldG, ofG, moulds: copies },
    });
  }
  return drafts;
}
