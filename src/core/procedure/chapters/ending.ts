import type { MouldFacts } from '../../advice/facts.ts';
import type { Computed } from '../../computed/compute.ts';
import { isCavity } from '../../mould/schema.ts';
import { FIRST, mouldNames } from '../../plan/moulds.ts';
import { potNamed, pouredPots } from '../../plan/sources.ts';
import { ACT, VESSEL } from '../../weigh/acts.ts';
import type { Weights } from '../../weigh/weights.ts';
import type { Draft, Line } from '../act.ts';
import type { Deed } from '../deeds.ts';
import { linesOf } from '../lines.ts';
import { combine } from './portions.ts';

/** A line of the top, by its pot, and by its mould where there are several. */
function topLine({ plan, moulds }: Computed, line: Line): Line {
  const pot = potNamed(plan, line.pot);
  const into = moulds.length > 1 ? moulds.find((m) => VESSEL.mould(m.use.id) === line.to) : undefined;
  const name = into ? (mouldNames(plan).get(into.use.id) ?? '') : '';
  const copies = into?.use.copies ?? 1;
  const where = into ? `, onto ${copies > 1 ? `all ${copies}: ${name}` : name}` : '';
  return { ...line, name: `Held back in pot ${pot?.letter ?? ''}, ${pot?.name ?? ''}${where}` };
}

export function topping(computed: Computed, w: Weights): Draft[] {
  const { plan, moulds } = computed;
  const held = w.pots.filter((p) => p.heldBackG > 0);
  const lines = linesOf(computed, w, ACT.top);
  if (held.length === 0 || lines.length === 0) return [];
  const pulled = plan.steps.some((s) => s.kind === 'pull');
  const jugByJug = plan.divide.kind === 'before-lye' && plan.divide.lye === 'jug-by-jug';
  const poured = pouredPots(plan);
  const unpoured = jugByJug ? held.filter((p) => !poured.has(p.pot.id)) : [];
  return [
    ...unpoured.flatMap((p) => combine(computed, p.pot, w).map((d) => ({ ...d, chapter: 'top' as const }))),
    {
      id: ACT.top,
      chapter: 'top',
      deed: { does: 'top', column: !pulled && moulds.some((m) => m.use.mould.column) },
      lines: lines.map((l) => topLine(computed, l)),
    },
  ];
}

export function finishing({ plan }: Computed): Draft[] {
  return plan.steps.flatMap((s): Draft[] =>
    s.kind === 'finish'
      ? [{ id: s.id, chapter: 'finish', step: s.id, deed: { does: 'finish', what: s.what } }]
      : [],
  );
}

/** A cavity's bar is only taken out. */
function cutDeed({ plan, cut, use }: MouldFacts, mould: { readonly mould?: string }): Deed {
  if (isCavity(use.mould)) return { does: 'press-out', bars: use.copies, ...mould };
  return {
    does: 'cut',
    bars: cut.count,
    discs: cut.pieces[0]?.axis === 'z',
    thickMm: plan.cut.thicknessMm,
    moulds: plan.fill.copies,
    pieces: cut.pieces.length,
    strips: plan.cut.strips,
    ...(cut.sliced && cut.sliced.blocks > 0 ? { sliced: cut.sliced } : {}),
    onSide: plan.cut.onSide === true,
    trimStartMm: plan.cut.trimStartMm,
    trimEndMm: plan.cut.trimEndMm,
    planeMm: cut.planeMm ?? 0,
    ...mould,
  };
}

export const cutting = ({ plan, moulds }: Computed): Draft[] => [
  { id: 'unmould', chapter: 'cut', deed: { does: 'unmould' } },
  ...moulds.flatMap((m): Draft[] => {
    const mould = moulds.length > 1 ? { mould: mouldNames(plan).get(m.use.id) ?? '' } : {};
    const id = m.use.id === FIRST ? 'cut' : `cut:${m.use.id}`;
    return m.cut.count > 0 ? [{ id, chapter: 'cut', deed: cutDeed(m, mould) }] : [];
  }),
];
