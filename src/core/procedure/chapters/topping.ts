import { columnsIn } from '../../mould/column.ts';
import type { Computed } from '../../computed/compute.ts';
import { mouldNames } from '../../plan/moulds.ts';
import { potNamed } from '../../plan/sources.ts';
import { ACT, VESSEL } from '../../weigh/acts.ts';
import type { PotWeight, Weights } from '../../weigh/weights.ts';
import type { Draft, Line } from '../act.ts';
import { linesOf } from '../lines.ts';
import { madeUpLate } from './going.ts';
import { thickened } from './stirring.ts';

/** A line of the top, by its pot, and by its mould where there are several. */
export function topLine({ plan, moulds }: Computed, line: Line): Line {
  const pot = potNamed(plan, line.pot);
  const into = moulds.length > 1 ? moulds.find((m) => VESSEL.mould(m.use.id) === line.to) : undefined;
  const name = into ? (mouldNames(plan).get(into.use.id) ?? '') : '';
  const copies = into?.use.copies ?? 1;
  const where = into ? `, onto ${copies > 1 ? `all ${copies}: ${name}` : name}` : '';
  return { ...line, name: `Held back in pot ${pot?.letter ?? ''}, ${pot?.name ?? ''}${where}` };
}

/**
 * What is held back: jugs that were not wanted before are made up for it, and what is spread over the top goes on. `done` are the acts that the sheet
 * has by then: none is told twice, least of all lye that is weighed into a jug.
 */
export function topping(computed: Computed, w: Weights, done: ReadonlySet<string>): Draft[] {
  const { plan, moulds } = computed;
  const held = w.pots.filter((p) => p.heldBackG > 0);
  const lines = linesOf(computed, w, ACT.top);
  const pulled = plan.steps.some((s) => s.kind === 'pull');
  const madeReady = (p: PotWeight): readonly Draft[] => [
    ...madeUpLate(computed, w, p),
    ...thickened(computed, w, p.pot, new Set()),
  ];
  const spread: Draft = {
    id: ACT.top,
    chapter: 'top',
    deed: {
      does: 'top',
      columns: pulled ? 0 : Math.max(...moulds.map((m) => columnsIn(m.use.mould).length)),
    },
    lines: lines.map((l) => topLine(computed, l)),
  };
  return [
    ...held.flatMap(madeReady).flatMap((d) => (done.has(d.id) ? [] : [{ ...d, chapter: 'top' as const }])),
    ...(lines.length > 0 ? [spread] : []),
  ];
}
