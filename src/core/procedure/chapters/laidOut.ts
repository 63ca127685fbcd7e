import type { DayAct } from '../../day/act.ts';
import { wayOf } from '../../ways/ways.ts';
import { propsFor } from '../../mould/props.ts';
import { isLevel } from '../../mould/tilt.ts';
import { wireLong } from '../../pattern/moves.ts';
import { habitsOf } from '../../plan/habits.ts';
import type { Stirrer } from '../../plan/clockSchema.ts';
import { potsIn } from '../../plan/sources.ts';
import type { Millimetres } from '../../units/quantity.ts';
import { clean } from '../../weigh/ingredients.ts';
import { toStep } from '../../units/scaleStep.ts';
import { batchesIn, strains, transfersIn, weighs, type Batch } from '../batches.ts';
import type { PlainTool, Tool } from '../deeds.ts';
import { factsOf, mouldFacts, weightOf, type Telling } from '../telling.ts';

/** Batter that colour is stirred into by hand: each jug, and each stock, with a stirrer of its own. */
function colouredByHand(batch: Batch): number {
  const coloured = batch.acts.flatMap((a) =>
    a.does === 'colour-pot' ||
    a.does === 'weigh-out' ||
    a.does === 'stir-at-pass' ||
    (a.does === 'make-stock' && batch.plan.divide.kind === 'after-emulsion')
      ? transfersIn(batch, a).filter((t) => t.from.kind === 'jar')
      : [],
  );
  return new Set(coloured.map((t) => t.to.key)).size;
}

/** Stirrers by their kind; cups for what is dispersed, and for what is stirred into one pour alone. */
function forBatches(batches: readonly Batch[]): readonly Tool[] {
  const stirrers = new Map<Stirrer, number>();
  for (const b of batches) {
    const { stirrer } = habitsOf(b.plan.clock);
    stirrers.set(stirrer, (stirrers.get(stirrer) ?? 0) + colouredByHand(b));
  }
  const dispersed = batches.reduce((s, b) => s + weighs(b, 'disperse').length, 0);
  const cups = batches.flatMap((b) =>
    weighs(b, 'stir-before').flatMap((a) =>
      transfersIn(b, a).some((t) => t.to.kind === 'cup') ? [a.pot.letter] : [],
    ),
  );
  return [
    ...[...stirrers].flatMap(([stirrer, count]) =>
      count > 0 ? [{ tool: 'stirrer', stirrer, count } as const] : [],
    ),
    ...(dispersed > 0 ? [{ tool: 'dispersing-cups', count: dispersed } as const] : []),
    ...(cups.length > 0 ? [{ tool: 'cups', letters: cups } as const] : []),
  ];
}

/** A colorant is sifted in dry. */
function sifts(batch: Batch): boolean {
  const dispersed = new Set(weighs(batch, 'disperse').map((a) => a.colorant));
  return batch.plan.colorants.some((c) => c.nature?.carrier === 'none' && dispersed.has(c.id));
}

const onIce = ({ w }: Batch): boolean => w.partLiquids.some((l) => l.massG > 0 && l.moment === 'frozen');

/** One pot poured out of two jugs at once: what of it is to be in the first. */
function secondJugs(telling: Telling): readonly Tool[] {
  const { plan } = telling.computed;
  return telling.day.flatMap((act): readonly Tool[] => {
    const place = act.does === 'pour' ? act.step.pattern?.place : undefined;
    const firstPercent = place && wayOf(place).firstJugPercent?.(place);
    if (act.does !== 'pour' || firstPercent === undefined) return [];
    const pots = potsIn(plan, act.step);
    const allG = pots.reduce(
      (s, p) =>
        s +
        (weightOf(telling, p.id)?.pours.reduce((t, q) => t + (q.stepId === act.step.id ? q.massG : 0), 0) ??
          0),
      0,
    );
    const firstG = toStep((allG * firstPercent) / 100, plan.units.scaleStepG);
    return [
      {
        tool: 'second-jug',
        pour: telling.pours.get(act.step.id) ?? '',
        letters: pots.map((p) => p.letter),
        firstPercent,
        firstG,
        secondG: clean(allG - firstG),
      },
    ];
  });
}

/** What is put under the moulds, each height once. */
function propsIn(telling: Telling): readonly Tool[] {
  const heights = telling.day.flatMap((act): readonly Millimetres[] => {
    if (act.does !== 'tilt') return [];
    const { use, geometry, plan } = mouldFacts(telling, act.mould);
    const tilt = plan.steps.find((s) => s.id === act.step.id);
    if (tilt?.kind !== 'tilt' || isLevel(tilt)) return [];
    return (tilt.props ?? propsFor(use.mould, geometry, tilt)).map((p) => p.heightMm);
  });
  const each = [...new Set(heights.map((h) => Math.round(h * 10) / 10))].toSorted((a, b) => a - b);
  return each.length > 0 ? [{ tool: 'prop', heightsMm: each }] : [];
}

/** Sticks, wires and scrapers that go through the batter or over it. */
function drawnThrough(telling: Telling): readonly Tool[] {
  const ends = new Set(telling.day.flatMap((a) => (a.does === 'stroke' ? [a.step.end] : [])));
  const wires = telling.day.flatMap((a): readonly Tool[] =>
    a.does === 'wire'
      ? [
          {
            tool: 'wire',
            girthMm: a.step.girthMm,
            longMm: wireLong(a.step, factsOf(telling, a.step).geometry.floor),
          },
        ]
      : [],
  );
  const edges = telling.day.flatMap((a) =>
    a.does === 'scrape' ? [{ edge: a.step.edge, reliefMm: a.step.reliefMm }] : [],
  );
  const once = [...new Map(edges.map((e) => [JSON.stringify(e), e] as const)).values()];
  const distinct = [...new Map(wires.map((w) => [JSON.stringify(w), w] as const)).values()];
  return [
    ...(ends.size > 0 ? [{ tool: 'stick', ends: [...ends] } as const] : []),
    ...distinct,
    ...(once.length > 0 ? [{ tool: 'scraper', edges: once } as const] : []),
  ];
}

/**
 * Everything that is wanted at one act or another, beside jugs, scales and what is worn: made from the acts.
 */
export function toolsOf(telling: Telling): readonly Tool[] {
  const { computed, day } = telling;
  const batches = batchesIn(telling);
  const [loaf] = batches;
  const some = (is: (act: DayAct) => boolean): boolean => day.some(is);
  const landed = (how: string): boolean => some((a) => a.does === 'pour' && a.step.landing.how === how);
  const onTop = (top: string): boolean => some((a) => a.does === 'put-on-top' && a.step.way.top === top);
  const plain = (tool: PlainTool, wanted: boolean): readonly Tool[] => (wanted ? [{ tool }] : []);
  return [
    ...forBatches(batches),
    ...secondJugs(telling),
    ...propsIn(telling),
    ...drawnThrough(telling),
    ...plain('spatula', landed('spatula')),
    ...plain(
      'spoon',
      landed('spoon') || onTop('mound') || onTop('dents') || weighs(loaf, 'spread-top').length > 0,
    ),
    ...plain('sieve', some((a) => a.does === 'line' && a.step.how === 'dry') || batches.some(sifts)),
    ...plain(
      'squeeze-bottle',
      some((a) => a.does === 'line' && a.step.how !== 'dry'),
    ),
    ...plain(
      'lye-sieve',
      batches.some(({ w }) => strains(w)),
    ),
    ...plain('ice-bowl', batches.some(onIce)),
    ...plain(
      'spare-mould',
      batches.some((b) => weighs(b, 'keep-spare').length > 0) ||
        some((a) => a.does === 'scrape' && a.step.to === 'spare'),
    ),
    ...plain(
      'scrap-bowl',
      some((a) => a.does === 'scrape' || a.does === 'pull'),
    ),
    ...plain(
      'flat-scraper',
      some((a) => a.does === 'fill-ridges'),
    ),
    ...plain('straws', onTop('straws')),
    ...(computed.second && onTop('piping')
      ? [{ tool: 'bags', letters: computed.second.plan.pots.map((p) => p.letter) } as const]
      : []),
    ...plain(
      'cutter',
      some((a) => a.does === 'cut'),
    ),
  ];
}
