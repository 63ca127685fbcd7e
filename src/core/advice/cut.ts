import { formatLength } from '../units/format.ts';
import type { Plan } from '../plan/planSchema.ts';
import type { Warning } from './warning.ts';
import type { Facts } from './facts.ts';

/** The cut changed, as a remedy. */
export const withCut =
  (change: Partial<Plan['cut']>) =>
  (p: Plan): Plan => ({ ...p, cut: { ...p.cut, ...change } });

export function cutWarnings({ plan, cut }: Facts): Warning[] {
  const { length } = plan.units;
  const longest = cut.bars.filter((b) => b.piece.lengthMm === cut.loafMm);
  const pieces = cut.pieces.filter((p) => p.lengthMm === cut.loafMm).length;
  const places = longest.length / pieces;
  if (cut.count === 0)
    return [
      {
        code: 'no-bars',
        level: 'warn',
        station: 'cut',
        message: `${cut.pieces[0]?.axis === 'z' ? 'A tube filled to' : 'A loaf of'} ${formatLength(cut.loafMm, length)} gives no bar of ${formatLength(plan.cut.thicknessMm, length)} between these trims.`,
      },
    ];
  if (cut.remainderMm < plan.cut.thicknessMm / 3) return [];
  const { same, more } = cut.evenThicknessMm;
  const strips = cut.pieces[0]?.axis === 'z' ? 1 : plan.cut.strips;
  const offers = [
    { count: places, mm: same },
    { count: places + 1, mm: more },
  ].flatMap(({ count, mm }) => {
    const tenth = mm === undefined ? 0 : Math.floor(mm * 10) / 10;
    return tenth >= 5 && tenth <= 300
      ? [
          {
            label: `${count * pieces * strips} bars of ${formatLength(tenth, length)}`,
            apply: withCut({ thicknessMm: tenth }),
          },
        ]
      : [];
  });
  return [
    {
      code: 'cut-remainder',
      level: 'note',
      station: 'cut',
      message: `${formatLength(cut.remainderMm, length)} is left over after ${cut.count} bars${plan.fill.copies > 1 ? ' of each mould' : ''}.`,
      remedies: offers,
    },
  ];
}
