import type { MouldId, PotId } from '../../validate/ids.ts';
import type { MouldFacts } from '../../advice/facts.ts';
import { jugOfScrapings } from '../../fill/scrapings.ts';
import { strokePaths } from '../../pattern/blocks.ts';
import { depthAt } from '../../pattern/depthAt.ts';
import { wireLong } from '../../pattern/moves.ts';
import { toldOf } from '../../pattern/wireTold.ts';
import { mouldOfStep } from '../../plan/moulds.ts';
import { layerUnder } from '../../plan/scrapes.ts';
import type { MicaLine, Ridges, Scrape, Step, Wire } from '../../plan/stepSchema.ts';
import { stageToKeepRidges } from '../../setting/ridge.ts';
import { signedArea } from '../../geometry/star.ts';
import { columnOutline, columnsIn } from '../../mould/column.ts';
import { ACT, VESSEL } from '../../weigh/acts.ts';
import { clean } from '../../weigh/ingredients.ts';
import type { Grams } from '../../units/quantity.ts';
import type { Draft } from '../act.ts';
import { linesOf, sumOfLines } from '../lines.ts';
import { beforePour, thickened } from './stirring.ts';
import { factsOf, inNamed, madeReady, mouldsOf, named, type Going } from './going.ts';

type Pull = Extract<Step, { kind: 'pull' }>;

/** What of all that fills the holes goes into each column's in one mould, by their areas. */
function holesOf({ geometry, use }: MouldFacts, holeG: Grams): readonly Grams[] {
  const areas = geometry.rooms.flatMap((r) => r.columns.map((c) => signedArea(columnOutline(c))));
  const all = areas.reduce((s, a) => s + a, 0) * use.copies;
  return areas.map((a) => clean((holeG * a) / all));
}

/** The columns of one kind of mould out, and their holes filled with what is held back. */
function pullingOf(going: Going, step: Pull, facts: MouldFacts): Draft {
  const { computed, w } = going;
  const { use } = facts;
  const lines = linesOf(computed, w, ACT.pull(step.id))
    .filter((l) => l.to === VESSEL.mould(use.id))
    .map((l) => ({
      ...l,
      name: `Held back in pot ${computed.plan.pots.find((p) => p.id === l.pot)?.letter ?? ''}`,
    }));
  const holeG = sumOfLines(lines);
  return {
    id: use.id === mouldOfStep(step) ? step.id : `${step.id}:${use.id}`,
    chapter: 'pour',
    step: step.id,
    deed: {
      does: 'pull-columns',
      holeG,
      copies: use.copies,
      holesG: holesOf(facts, holeG),
      ...named(inNamed(going, use.id)),
    },
    lines,
  };
}

/** The columns out of every mould that the step is about. */
export function pulling(going: Going, step: Pull): Draft[] {
  const { computed, w } = going;
  const pulled = mouldsOf(going, step)
    .filter((m) => m.use.id === mouldOfStep(step) || columnsIn(m.use.mould).length > 0)
    .map((m) => pullingOf(going, step, m));
  const held = w.pots.filter((p) => pulled.some((d) => d.lines?.some((l) => l.pot === p.pot.id)));
  return [
    ...held.flatMap((p) => [
      ...madeReady(going, p),
      ...thickened(computed, w, p.pot, going.atTrace),
      ...beforePour(
        computed,
        w,
        { step: step.id, key: `${step.id}:${p.pot.id}`, pot: p.pot },
        'the hole of the column',
      ),
    ]),
    ...pulled,
  ];
}

type StrokeStep = Extract<Step, { kind: 'stroke' }>;

export const stroking = (going: Going, step: StrokeStep): Draft[] => [
  {
    id: step.id,
    chapter: 'pour',
    step: step.id,
    deed: {
      does: 'stroke',
      path: step.path,
      end: step.end,
      depthMm: step.depthMm,
      pieces: strokePaths(factsOf(going, step), step).length,
      ...named(inNamed(going, mouldOfStep(step))),
    },
  },
];

/** A wire through what is fluid, as its way is told. */
export function wiring(going: Going, step: Wire): Draft[] {
  const facts = factsOf(going, step);
  const told = toldOf(step, depthAt(facts, step));
  return [
    {
      id: step.id,
      chapter: 'pour',
      step: step.id,
      deed: {
        does: 'wire',
        lies: step.lies,
        girthMm: step.girthMm,
        longMm: wireLong(step, facts.geometry.floor),
        told,
        ...named(inNamed(going, mouldOfStep(step))),
      },
    },
  ];
}

/** The layer poured last scraped to its profile, and its scrapings where they go. */
export function scraping(going: Going, step: Scrape): Draft[] {
  const { computed, w } = going;
  const { plan } = computed;
  const pour = layerUnder(plan, step);
  const into = mouldsOf(going, step).flatMap((facts) => {
    const layer = facts.stack.layers.find((l) => l.pour.id === pour?.id);
    return layer?.scraping ? [{ facts, layer, scraping: layer.scraping }] : [];
  });
  const [own] = into;
  if (!pour || !own) return [];
  const offG = (mould: MouldId): Grams =>
    w.pots
      .flatMap((p) => p.pours.filter((q) => q.stepId === pour.id))
      .reduce((s, q) => s + (q.into.find((i) => i.mould === mould)?.offG ?? 0), 0);
  for (const { facts } of into) {
    const { id } = facts.use;
    going.inMouldG.set(id, clean((going.inMouldG.get(id) ?? 0) - offG(id)));
  }
  const jug = jugOfScrapings(plan, pour, step);
  const made = w.pots.find((p) => p.pot.id === jug);
  const jugByJug = plan.divide.kind === 'before-lye' && plan.divide.lye === 'jug-by-jug';
  const { pulled, edge, to } = step;
  // an edge drawn by hand need not come down as far as its tips may
  const { pouredMm, lowestMm, highestMm } = own.scraping;
  const letter = (id: PotId | undefined): string => plan.pots.find((p) => p.id === id)?.letter ?? '';
  const lines = linesOf(computed, w, ACT.scrape(step.id))
    .filter((l) => !computed.moulds.some((m) => l.to === VESSEL.mould(m.use.id)))
    .map((l) => ({
      ...l,
      name: jug === undefined ? 'Scrapings into a spare mould' : `Scrapings into jug ${letter(jug)}`,
    }));
  return [
    {
      id: ACT.scrape(step.id),
      chapter: 'pour',
      step: step.id,
      deed: {
        does: 'scrape',
        pulled,
        edge,
        reliefMm: step.reliefMm,
        depthMm: pouredMm - lowestMm,
        to,
        underRimMm: own.layer.room.heightMm - lowestMm,
        stage: stageToKeepRidges(highestMm - lowestMm, own.layer.densityGMl),
        ...(jug === undefined ? {} : { jug }),
        beforeLye: jugByJug && made !== undefined && !going.combined.has(made.pot.id),
        ...named(inNamed(going, mouldOfStep(step))),
      },
      lines,
      running: into.map(({ facts: { use } }) => {
        const name = inNamed(going, use.id);
        return {
          inMouldG: going.inMouldG.get(use.id) ?? 0,
          ofG: going.ofG.get(use.id) ?? 0,
          moulds: use.copies,
          ...(name === undefined ? {} : { name }),
        };
      }),
    },
  ];
}

/** As much oil as makes a colorant run off a spoon, ml to a gram; common practice, no source. */
const TRAILED_ML_PER_G = 3;

/** A line of colorant over the layer poured last. */
export function lining(going: Going, step: MicaLine): Draft[] {
  const { computed, w } = going;
  const colorant = computed.plan.colorants.find((c) => c.id === step.colorant);
  const copies = Math.max(1, ...mouldsOf(going, step).map((m) => m.use.copies));
  return [
    {
      id: ACT.mica(step.id),
      chapter: 'pour',
      step: step.id,
      deed: {
        does: 'mica',
        colorant: colorant?.name ?? step.colorant,
        how: step.how,
        oilMl: step.massG * TRAILED_ML_PER_G,
        ...named(inNamed(going, mouldOfStep(step))),
      },
      lines: linesOf(computed, w, ACT.mica(step.id)).map((l) => ({
        ...l,
        massG: clean((l.massG * l.times) / copies),
        times: copies,
        name: copies > 1 ? `${l.name}, on each of ${copies} moulds` : l.name,
      })),
    },
  ];
}

/** The hollows of a mat are filled first, out of a jug that is made ready for it. */
export function fillingRidges(going: Going, step: Ridges): Draft[] {
  const { computed, w } = going;
  const pot = w.pots.find((p) => p.pot.id === step.pot);
  const id = ACT.onTop(step.id);
  const lines = linesOf(computed, w, id);
  const matted = mouldsOf(going, step).filter((m) => m.use.mould.mat);
  const [own] = matted;
  if (!pot || !own?.use.mould.mat || lines.length === 0) return [];
  return [
    ...madeReady(going, pot),
    ...thickened(computed, w, pot.pot, going.atTrace),
    ...beforePour(computed, w, { step: step.id, key: step.id, pot: pot.pot }, 'the hollows of the mat'),
    {
      id,
      chapter: 'pour',
      step: step.id,
      pot: step.pot,
      deed: { does: 'fill-ridges', reliefMm: own.use.mould.mat.reliefMm },
      lines: lines.map((l) => {
        const into = matted.find((m) => VESSEL.mould(m.use.id) === l.to);
        const name = into && inNamed(going, into.use.id);
        const copies = into?.use.copies ?? 1;
        return name === undefined && copies === 1
          ? l
          : {
              ...l,
              name: `Batter into ${copies > 1 ? `all ${copies}` : name}${copies > 1 && name !== undefined ? `: ${name}` : ''}`,
            };
      }),
    },
  ];
}
