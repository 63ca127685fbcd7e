import { withAColumn } from '../edit/columns.ts';
import { addPull, setPlace } from '../edit/pattern.ts';
import { moveStep } from '../edit/pours.ts';
import type { PouredLayer } from '../fill/layers.ts';
import type { ScaledLayer } from '../weigh/scaled.ts';
import { isIn, edgesOf } from '../flow/outline.ts';
import { slice } from '../geometry/clip.ts';
import { formatLength, formatMass, formatShort } from '../units/format.ts';
import { turnsOf } from '../weigh/rounds.ts';
import { setAt } from '../pattern/depthAt.ts';
import { columnsIn } from '../mould/column.ts';
import { sinkOf, stageToSink } from '../setting/spike.ts';
import { stagePhrase, stageFigure } from '../setting/stage.ts';
import type { WayRemedy } from '../ways/way.ts';
import { isOneJug, wayOf, type Place } from '../ways/ways.ts';
import type { PotId } from '../validate/ids.ts';
import type { Stage } from '../units/quantity.ts';
import type { Facts } from './facts.ts';
import { matWarnings } from './mat.ts';
import { micaLineWarnings } from './micaLines.ts';
import { roughWarnings } from './rough.ts';
import { scrapeWarnings } from './scrapes.ts';
import { strokeWarnings } from './strokes.ts';
import type { Remedy, Warning } from './warning.ts';
import { topWarnings } from './tops.ts';
import { wireWarnings } from './wires.ts';
import { remedy, warn } from './/warning.ts';

/** A place of the plan lies in some compartment's surface, as it is filled. */
function isInside({ geometry, fill }: Facts, x: number, y: number): boolean {
  return geometry.rooms.some(({ solid }) => {
    const outline = slice(solid, { normal: [0, 0, 1], offset: Math.max(0.01, fill.heightMm - 0.01) });
    return outline.length > 2 && isIn(edgesOf(outline.map((p) => [p[0], p[1]] as const)), x, y);
  });
}

/** What is wrong with a pour where it goes in, as its way of pouring has it. */
function placeWarnings(facts: Facts, layer: PouredLayer): Warning[] {
  const { plan, geometry } = facts;
  const { pour, densityGMl } = layer;
  const place = pour.pattern?.place;
  if (!place) return [];
  const { fallMm } = pour.landing;
  const faults = wayOf(place).faults?.(place, {
    halfMm: { across: geometry.most.width / 2, along: geometry.most.length / 2 },
    isInside: (x, y) => isInside(facts, x, y),
    columns: {
      standing: columnsIn(plan.mould).length,
      inRoom: layer.room.columns,
      reached: layer.blocked.length > 0,
      onDivider: (c) => geometry.rooms.filter((r) => r.columns.includes(c)).length > 1,
    },
    pots: layer.pots,
    sinkOf: (stage) => sinkOf(stage, fallMm, densityGMl),
    stageToSink: (sinkMm) => stageToSink(sinkMm, fallMm, densityGMl),
    fluidMm: layer.offset - layer.riseMm - setAt(facts, pour),
    length: (mm) => formatLength(mm, plan.units.length),
  });
  const remedied = (r: WayRemedy<Place>): Remedy => {
    if ('place' in r) return remedy(r.label, (p) => setPlace(p, pour.id, r.place));
    return 'stand' in r ? remedy(r.label, withAColumn) : atStage(r.pots, r.stage);
  };
  return (faults ?? []).map(({ remedies, ...fault }) => ({
    ...fault,
    station: 'design',
    step: pour.id,
    ...(remedies ? { remedies: remedies.map(remedied) } : {}),
  }));
}

/** A turn that the scale does not show can only be poured by eye. */
function smallTurns({ plan }: Facts, layer: ScaledLayer): Warning[] {
  const { pour } = layer;
  const step = plan.units.scaleStepG;
  const parts = pour.pattern?.rounds ?? [];
  const all = parts.reduce((s, p) => s + p, 0);
  const turns = turnsOf(pour);
  const least = parts.reduce((at, p, i) => (p < (parts[at] ?? p) ? i : at), 0);
  const smallest = Math.min(
    ...layer.parts.map(({ pot, pouredG: massG }) => {
      const times = turns.filter((t) => t === pot.id).length;
      return (massG * (parts[least] ?? 0)) / all / Math.max(1, times);
    }),
  );
  if (smallest >= step) return [];
  return [
    warn(
      { station: 'design', step: pour.id },
      'round-too-small',
      `In round ${least + 1} a pot's turn is ${formatMass(smallest, plan.units.mass, 0.01)}: less than the ${formatMass(step, plan.units.mass, step)} that the scale shows. Fewer rounds, or a finer scale.`,
    ),
  ];
}

/** Some pots at another thickness. */
function atStage(pots: readonly PotId[], stage: Stage): Remedy {
  return remedy(`Pour it ${stagePhrase(stage)}`, (plan) => ({
    ...plan,
    pots: plan.pots.map((pot) => (pots.includes(pot.id) ? { ...pot, stage } : pot)),
  }));
}

function tooThick({ pour, pots }: PouredLayer): Warning[] {
  if (!pour.pattern) return [];
  const window = wayOf(pour.pattern.place).window(pour.landing.fallMm);
  const thick = pots.filter((p) => p.stage > window.most + 1e-9);
  if (thick.length === 0) return [];
  const most = Math.max(...thick.map((p) => p.stage));
  return [
    warn(
      { station: 'design', step: pour.id },
      'too-thick-to-spread',
      `${thick.length === 1 ? 'Pot' : 'Pots'} ${thick.map((p) => p.letter).join(', ')} ${thick.length === 1 ? 'is' : 'are'} planned ${stageFigure(most)}; this way of pouring spreads up to ${formatShort(window.most, 1)} (estimated). What is drawn is what thinner batter does.`,
      [
        atStage(
          thick.map((p) => p.id),
          window.most,
        ),
      ],
    ),
  ];
}

/** A column that something is poured over has to come out again. */
function unpulled({ plan, stack }: Facts): Warning[] {
  const several = columnsIn(plan.mould).length > 1;
  const over = stack.layers.some((l) => l.pour.pattern?.place.at === 'column' && l.room.columns.length > 0);
  if (!over || plan.steps.some((s) => s.kind === 'pull')) return [];
  return [
    warn(
      { station: 'design' },
      'column-stays',
      several
        ? 'The columns are not pulled: the loaf would set round them. The pictures show them filled.'
        : 'The column is not pulled: the loaf would set round it. The pictures show it filled.',
      [remedy(several ? 'Pull them once the pours are in' : 'Pull it once the pours are in', addPull)],
    ),
  ];
}

/**
 * What is poured once the columns are out would push what fills their holes about as well: that is not drawn.
 */
function afterPull({ plan, stack }: Facts): Warning[] {
  const pull = plan.steps.findIndex((s) => s.kind === 'pull');
  const pierced = stack.layers.some((l) => l.blocked.length > 0);
  if (pull < 0 || !pierced) return [];
  return plan.steps
    .slice(pull + 1)
    .flatMap((s): Warning[] =>
      s.kind === 'pour' && s.pattern && !isOneJug(s.pattern.place)
        ? [
            warn(
              { station: 'design', step: s.id },
              'poured-after-pull',
              'It is poured after the column is pulled: what it does to the filled hole is not known, and it is drawn as if what lies under it had set.',
              [remedy('Pull the column after it', (p) => moveStep(p, plan.steps[pull]?.id ?? '', s.id))],
            ),
          ]
        : [],
    );
}

/** What there is to say of pours that push others aside, and of the stick. */
export function patternWarnings(facts: Facts): Warning[] {
  const layers = facts.stack.layers.filter((l) => l.pour.pattern !== undefined);
  return [
    ...layers.flatMap((l) => [...placeWarnings(facts, l), ...smallTurns(facts, l), ...tooThick(l)]),
    ...unpulled(facts),
    ...afterPull(facts),
    ...facts.plan.steps.flatMap((s) => (s.kind === 'stroke' ? strokeWarnings(facts, s) : [])),
    ...facts.plan.steps.flatMap((s) => (s.kind === 'wire' ? wireWarnings(facts, s) : [])),
    ...scrapeWarnings(facts),
    ...roughWarnings(facts),
    ...micaLineWarnings(facts),
    ...topWarnings(facts),
    ...matWarnings(facts),
  ];
}
