import { everIn, transfersOf } from '../../ledger/ledger.ts';
import { VESSEL } from '../../day/vessel.ts';
import type { DayAct } from '../../day/act.ts';
import { propsFor } from '../../mould/props.ts';
import { isLevel } from '../../mould/tilt.ts';
import { wireLong } from '../../pattern/moves.ts';
import { habitsOf } from '../../plan/habits.ts';
import { potsIn } from '../../plan/sources.ts';
import type { Millimetres } from '../../units/quantity.ts';
import { clean } from '../../weigh/ingredients.ts';
import { SUBSTANCE } from '../../weigh/substances.ts';
import { toStep } from '../../units/scaleStep.ts';
import type { PlainTool, Tool } from '../deeds.ts';
import { linesOf } from '../lines.ts';
import { factsOf, mouldFacts, weightOf, type Telling } from '../telling.ts';

/** Acts that something comes of, those of the second batch among them as they are by themselves. */
const actsIn = ({ day }: Telling): readonly DayAct[] =>
  day.map((act) => (act.does === 'of-second' ? act.act : act));

/** One pot poured down two walls at once is poured out of two jugs: what of it is to be in the first. */
function secondJugs(telling: Telling): readonly Tool[] {
  const { plan } = telling.computed;
  return telling.day.flatMap((act): readonly Tool[] => {
    if (act.does !== 'pour' || act.step.pattern?.place.at !== 'two-walls') return [];
    const { firstPercent } = act.step.pattern.place;
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

/** Everything that is wanted at one act or another, beside jugs, scales and what is worn: made from the acts. */
export function toolsOf(telling: Telling): readonly Tool[] {
  const { computed, w } = telling;
  const { plan } = computed;
  const acts = actsIn(telling);
  const some = (is: (act: DayAct) => boolean): boolean => acts.some(is);
  const linesFor = (act: DayAct): number => transfersOf(w.ledger, act.id).length;
  const dispersed = acts.filter((a) => a.does === 'disperse' && linesFor(a) > 0);
  const stirred = acts.filter((a) => a.does === 'colour-pot' && linesFor(a) > 0).length;
  const { stirrer } = habitsOf(plan.clock);
  const landed = (how: string): boolean => some((a) => a.does === 'pour' && a.step.landing.how === how);
  const onTop = (top: string): boolean => some((a) => a.does === 'put-on-top' && a.step.way.top === top);
  const cups = telling.day.flatMap((a) =>
    a.does === 'stir-before' && linesOf(computed, w, a.id).some((l) => l.to.kind === 'cup')
      ? [a.pot.letter]
      : [],
  );
  const strained = [...everIn(w.ledger, VESSEL.lye).keys()].some(
    (id) => id !== SUBSTANCE.lye && id !== SUBSTANCE.water,
  );
  const plain = (tool: PlainTool, wanted: boolean): readonly Tool[] => (wanted ? [{ tool }] : []);
  return [
    ...(stirred > 0 ? [{ tool: 'stirrer', stirrer, count: stirred } as const] : []),
    ...(dispersed.length > 0 ? [{ tool: 'dispersing-cups', count: dispersed.length } as const] : []),
    ...(cups.length > 0 ? [{ tool: 'cups', letters: cups } as const] : []),
    ...secondJugs(telling),
    ...propsIn(telling),
    ...drawnThrough(telling),
    ...plain('spatula', landed('spatula')),
    ...plain(
      'spoon',
      landed('spoon') || onTop('mound') || onTop('dents') || some((a) => a.does === 'spread-top'),
    ),
    ...plain(
      'sieve',
      some((a) => a.does === 'line' && a.step.how === 'dry') ||
        plan.colorants.some(
          (c) =>
            c.nature?.carrier === 'none' &&
            dispersed.some((a) => a.does === 'disperse' && a.colorant === c.id),
        ),
    ),
    ...plain(
      'squeeze-bottle',
      some((a) => a.does === 'line' && a.step.how !== 'dry'),
    ),
    ...plain('lye-sieve', strained),
    ...plain(
      'ice-bowl',
      w.partLiquids.some((l) => l.massG > 0 && l.moment === 'frozen'),
    ),
    ...plain(
      'spare-mould',
      some(
        (a) => (a.does === 'keep-spare' && linesFor(a) > 0) || (a.does === 'scrape' && a.step.to === 'spare'),
      ),
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
