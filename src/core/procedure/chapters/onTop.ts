import type { MouldFacts } from '../../advice/facts.ts';
import type { Computed } from '../../computed/compute.ts';
import type { WeighedPart } from '../../fill/topMass.ts';
import { columnsIn } from '../../mould/column.ts';
import { potNamed } from '../../plan/sources.ts';
import { secondPot } from '../../plan/second.ts';
import type { Top } from '../../plan/stepSchema.ts';
import { toStep } from '../../units/scaleStep.ts';
import type { Line } from '../act.ts';
import type { Deed } from '../deeds.ts';
import { linesOf } from '../lines.ts';
import { inNamed, mouldFacts, named, type Telling } from '../telling.ts';
import { ifWeighed, type TellFor } from './tells.ts';

/** One thing on one mould, as it is told; nothing of a mould that it has no place on. */
function deedOn(
  { plan }: Computed,
  { tops, use }: MouldFacts,
  { id, way }: Top,
  mould: { readonly mould?: string },
): Deed | undefined {
  const own: readonly WeighedPart[] = tops.filter((t) => t.step.id === id);
  const all = own.reduce((s, t) => s + t.count, 0);
  const fineG = (g: number): number => toStep(g, plan.units.fineStepG);
  switch (way.top) {
    case 'mound': {
      const { runs, offMm, wideMm, heightMm } = way;
      return { does: 'mound', runs, offMm, wideMm, heightMm, copies: use.copies, ...mould };
    }
    case 'dents': {
      const { rows, perBar, acrossMm, depthMm } = way;
      return { does: 'dents', rows, perBar, acrossMm, depthMm, ...mould };
    }
    case 'piping':
      return {
        does: 'pipe',
        rows: way.rows.map((row, i) => ({
          letter: secondPot(plan, row.pot)?.letter ?? '',
          ...(row.perBar === undefined ? {} : { dollops: { perBar: row.perBar, all: own[i]?.count ?? 0 } }),
          acrossMm: row.acrossMm,
          heightMm: row.heightMm,
          offMm: row.offMm,
          massG: own[i]?.massG ?? 0,
        })),
        ...mould,
      };
    case 'pieces': {
      const { name, rows, perBar } = way;
      return { does: 'press-pieces', name, all, rows, perBar, massG: fineG(all * way.massG), ...mould };
    }
    case 'straws': {
      const { rows, perBar, acrossMm, deepMm } = way;
      return { does: 'stand-straws', all, rows, perBar, acrossMm, deepMm, ...mould };
    }
    case 'salt':
      return { does: 'strew-salt', massG: fineG(way.massG), ...mould };
  }
}

/** A line of the top, by its pot, and by its mould where there are several. */
function topLine({ computed: { plan, moulds }, names }: Telling, line: Line): Line {
  const pot = potNamed(plan, line.pot);
  const to = line.to.kind === 'mould' ? line.to.mould : undefined;
  const into = moulds.length > 1 ? moulds.find((m) => m.use.id === to) : undefined;
  const name = into ? (names.get(into.use.id) ?? '') : '';
  const copies = into?.use.copies ?? 1;
  const where = into ? `, onto ${copies > 1 ? `all ${copies}: ${name}` : name}` : '';
  return { ...line, name: `Held back in pot ${pot?.letter ?? ''}, ${pot?.name ?? ''}${where}` };
}

export const tellOnTop: TellFor<'spread-top' | 'put-on-top' | 'begin-second' | 'fill-bags'> = {
  'spread-top': (telling, act) => {
    const { plan, moulds } = telling.computed;
    const pulled = plan.steps.some((s) => s.kind === 'pull');
    const told = ifWeighed(telling, act, () => ({
      does: 'top',
      columns: pulled ? 0 : Math.max(...moulds.map((m) => columnsIn(m.use.mould).length)),
    }));
    return told && { ...told, lines: told.lines.map((l) => topLine(telling, l)) };
  },
  'put-on-top': (telling, { id, step, mould }) => {
    const { computed, w } = telling;
    const deed = deedOn(computed, mouldFacts(telling, mould), step, named(inNamed(telling, mould)));
    return deed && { deed, lines: linesOf(computed, w, id).map((l) => topLine(telling, l)) };
  },
  'begin-second': ({ w }) => ({
    deed: { does: 'begin-second', massG: w.batterG, superfatPercent: w.superfatPercent },
  }),
  'fill-bags': ({ computed, w }, { id }) => ({
    deed: {
      does: 'fill-bags',
      bags: w.pots
        .filter((p) => p.pours.length > 0)
        .map(({ pot }) => ({ letter: pot.letter, name: pot.name, stage: pot.stage })),
    },
    lines: linesOf(computed, w, id).map((l) => {
      const pot = potNamed(computed.plan, l.pot);
      return { ...l, name: `Bag ${pot?.letter ?? ''}, ${pot?.name ?? ''}` };
    }),
  }),
};
