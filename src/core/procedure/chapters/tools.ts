import type { MouldFacts } from '../../advice/facts.ts';
import { VESSEL } from '../../day/vessel.ts';
import { jugOfScrapings } from '../../fill/scrapings.ts';
import { signedArea } from '../../geometry/star.ts';
import { heldBefore } from '../../ledger/ledger.ts';
import { columnOutline } from '../../mould/column.ts';
import { floorBox, strokePaths } from '../../pattern/blocks.ts';
import { depthAt } from '../../pattern/depthAt.ts';
import { wireLong } from '../../pattern/moves.ts';
import { toldOf } from '../../pattern/wireTold.ts';
import { mouldOfStep } from '../../plan/moulds.ts';
import { layerUnder } from '../../plan/scrapes.ts';
import { potNamed } from '../../plan/sources.ts';
import { stageToKeepRidges } from '../../setting/ridge.ts';
import type { Grams } from '../../units/quantity.ts';
import { clean } from '../../weigh/ingredients.ts';
import { SUBSTANCE } from '../../weigh/substances.ts';
import { linesInto, linesOf, sumOfLines } from '../lines.ts';
import { factsOf, inNamed, mouldFacts, mouldsOf, named, runningIn } from '../telling.ts';
import { ifWeighed, type TellFor } from './tells.ts';

/** What of all that fills the holes goes into each column's in one mould, by their areas. */
function holesOf({ geometry, use }: MouldFacts, holeG: Grams): readonly Grams[] {
  const areas = geometry.rooms.flatMap((r) => r.columns.map((c) => signedArea(columnOutline(c))));
  const all = areas.reduce((s, a) => s + a, 0) * use.copies;
  return areas.map((a) => clean((holeG * a) / all));
}

/** As much oil as makes a colorant run off a spoon, ml to a gram; common practice, no source. */
const TRAILED_ML_PER_G = 3;

export const tellTools: TellFor<'pull' | 'stroke' | 'wire' | 'scrape' | 'line' | 'fill-ridges'> = {
  // the columns of one kind of mould out, and their holes filled with what is held back
  pull: (telling, { id, mould }) => {
    const { computed, w } = telling;
    const facts = mouldFacts(telling, mould);
    const lines = linesOf(computed, w, id).map((l) => ({
      ...l,
      name: `Held back in pot ${potNamed(computed.plan, l.pot)?.letter ?? ''}`,
    }));
    const holeG = sumOfLines(lines);
    return {
      deed: {
        does: 'pull-columns',
        holeG,
        copies: facts.use.copies,
        holesG: holesOf(facts, holeG),
        ...named(inNamed(telling, mould)),
      },
      lines,
    };
  },
  stroke: (telling, { step }) => ({
    deed: {
      does: 'stroke',
      path: step.path,
      end: step.end,
      depthMm: step.depthMm,
      above: {
        floor: floorBox(factsOf(telling, step)),
        paths: strokePaths(factsOf(telling, step), step),
        spots: [],
      },
      ...named(inNamed(telling, mouldOfStep(step))),
    },
  }),
  // a wire through what is fluid, as its way is told
  wire: (telling, { step }) => {
    const facts = factsOf(telling, step);
    return {
      deed: {
        does: 'wire',
        lies: step.lies,
        girthMm: step.girthMm,
        longMm: wireLong(step, facts.geometry.floor),
        told: toldOf(step, depthAt(facts, step)),
        ...named(inNamed(telling, mouldOfStep(step))),
      },
    };
  },
  // the layer poured last scraped to its profile, and its scrapings where they go
  scrape: (telling, act) => {
    const { computed, w } = telling;
    const { plan } = computed;
    const { step, id } = act;
    const pour = layerUnder(plan, step);
    const into = mouldsOf(telling, step).flatMap((facts) => {
      const layer = facts.stack.layers.find((l) => l.pour.id === pour?.id);
      return layer?.scraping ? [{ facts, layer, scraping: layer.scraping }] : [];
    });
    const [own] = into;
    if (!pour || !own) return undefined;
    const jug = potNamed(plan, jugOfScrapings(plan, pour, step));
    const { pulled, edge, to } = step;
    // an edge drawn by hand need not come down as far as its tips may
    const { pouredMm, lowestMm, highestMm } = own.scraping;
    return {
      deed: {
        does: 'scrape',
        pulled,
        edge,
        reliefMm: step.reliefMm,
        depthMm: pouredMm - lowestMm,
        to,
        underRimMm: own.layer.room.heightMm - lowestMm,
        stage: stageToKeepRidges(highestMm - lowestMm, own.layer.densityGMl),
        ...(jug === undefined ? {} : { jug: jug.id }),
        beforeLye:
          plan.divide.kind === 'before-lye' &&
          jug !== undefined &&
          !heldBefore(w.ledger, id, VESSEL.pot(jug.id)).has(SUBSTANCE.lye),
        ...named(inNamed(telling, mouldOfStep(step))),
      },
      lines: linesOf(computed, w, id)
        .filter((l) => l.to.kind !== 'mould')
        .map((l) => ({
          ...l,
          name: jug === undefined ? 'Scrapings into a spare mould' : `Scrapings into jug ${jug.letter}`,
        })),
      running: runningIn(
        telling,
        act,
        into.map((i) => i.facts),
      ),
    };
  },
  // a line of colorant over the layer poured last
  line: (telling, { id, step }) => {
    const { computed, w } = telling;
    const colorant = computed.plan.colorants.find((c) => c.id === step.colorant);
    return {
      deed: {
        does: 'mica',
        colorant: colorant?.name ?? step.colorant,
        how: step.how,
        oilMl: step.massG * TRAILED_ML_PER_G,
        ...named(inNamed(telling, mouldOfStep(step))),
      },
      lines: linesInto(computed, w, id).map((l) => ({
        ...l,
        name: l.times > 1 ? `${l.name}, on each of ${l.times} moulds` : l.name,
      })),
    };
  },
  // the hollows of a mat are filled first
  'fill-ridges': (telling, act) => {
    const matted = mouldsOf(telling, act.step).filter((m) => m.use.mould.mat);
    const mat = matted[0]?.use.mould.mat;
    const told = mat && ifWeighed(telling, act, () => ({ does: 'fill-ridges', reliefMm: mat.reliefMm }));
    if (!told) return undefined;
    return {
      deed: told.deed,
      lines: told.lines.map((l) => {
        const to = l.to.kind === 'mould' ? l.to.mould : undefined;
        const into = matted.find((m) => m.use.id === to);
        const name = into && inNamed(telling, into.use.id);
        const copies = into?.use.copies ?? 1;
        if (name === undefined && copies === 1) return l;
        const all = copies > 1 ? `all ${copies}${name === undefined ? '' : `: ${name}`}` : name;
        return { ...l, name: `Batter into ${all}` };
      }),
    };
  },
};
