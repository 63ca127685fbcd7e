import { cutsOf, clearance, clearTrim, halvesAt, isOnGrid, onGrid } from '../cut/cutter.ts';
import { cutBars } from '../cut/bars.ts';
import { formatLength } from '../units/format.ts';
import { withCut } from './cut.ts';
import type { Facts } from './facts.ts';
import type { Warning } from './warning.ts';
import { note, warn, remedy } from './/warning.ts';

/** A cut nearer than this to a piece on top drags it along, mm. A judgement, no source. */
const CLEAR_MM = 2;

/** Bars that the cutter cannot make, a loaf that it does not take whole, cuts through what lies on top. */
export function cutterWarnings(facts: Facts): Warning[] {
  const { plan, cut } = facts;
  const { cutter, onTop } = plan.cut;
  const mm = (x: number): string => formatLength(x, plan.units.length);
  const warnings: Warning[] = [];
  if (cut.count === 0 || cut.pieces[0]?.axis === 'z') return warnings;
  if (cutter && !isOnGrid(plan.cut, cutter.pitchMm))
    warnings.push(
      warn(
        { station: 'cut' },
        'off-grid',
        `"${cutter.name}" cuts every ${mm(cutter.pitchMm)}: bars of ${mm(plan.cut.thicknessMm)} are not on its grid.`,
        onGrid(plan.cut, cutter.pitchMm).map((thicknessMm) =>
          remedy(`Bars of ${mm(thicknessMm)}`, withCut({ thicknessMm })),
        ),
      ),
    );
  if (cutter && cut.loafMm > cutter.longestMm) {
    const at = halvesAt(cut, plan.cut, cutter.longestMm);
    warnings.push(
      (at ? note : warn)(
        { station: 'cut' },
        'longer-than-cutter',
        at
          ? `The loaf is ${mm(cut.loafMm)} long, and "${cutter.name}" takes ${mm(cutter.longestMm)}: cut it first at ${at.map(mm).join(' and ')} from the near end, where a cut comes anyway.`
          : `The loaf is ${mm(cut.loafMm)} long, and "${cutter.name}" takes ${mm(cutter.longestMm)}: no cut between bars makes pieces short enough.`,
      ),
    );
  }
  if (onTop) {
    const clear = clearance(cutsOf(cut, plan.cut), onTop);
    if (clear < CLEAR_MM) {
      const cutsWith = (trimStartMm: number): readonly number[] => {
        const shifted = { ...plan.cut, trimStartMm };
        return cutsOf(cutBars(facts, { ...plan, cut: shifted }), shifted);
      };
      const room = cut.remainderMm + plan.cut.trimStartMm;
      const trim = clearTrim(plan.cut, onTop, room, cutsWith);
      const then = clearance(cutsWith(trim), onTop);
      warnings.push(
        warn(
          { station: 'cut' },
          'cut-through-top',
          clear < 0
            ? `A cut goes through a piece on top, ${mm(0 - clear)} into it.`
            : `A cut passes ${mm(clear)} from a piece on top.`,
          then > clear + 0.4
            ? [
                remedy(
                  `Trim ${mm(trim)} at the near end: the cuts stay ${mm(Math.max(0, then))} clear`,
                  withCut({ trimStartMm: trim }),
                ),
              ]
            : [],
        ),
      );
    }
  }
  return warnings;
}
