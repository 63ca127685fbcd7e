import { formatLength } from '../units/format.ts';
import type { Plan } from '../plan/planSchema.ts';
import type { Warning } from './warning.ts';
import type { Facts } from './facts.ts';

const thickness =
  (thicknessMm: number) =>
  (p: Plan): Plan => ({ ...p, cut: { ...p.cut, thicknessMm } });

export function cutWarnings({ plan, cut }: Facts): Warning[] {
  const { length } = plan.units;
  if (cut.count === 0)
    return [
      {
        code: 'no-bars',
        level: 'warn',
        station: 'cut',
        message: `A loaf of ${formatLength(cut.loafMm, length)} gives no bar of ${formatLength(plan.cut.thicknessMm, length)} between these trims.`,
      },
    ];
  if (cut.remainderMm < plan.cut.thicknessMm / 3) return [];
  const { same, more } = cut.evenThicknessMm;
  const offers = [
    { count: cut.bars.length, mm: same },
    { count: cut.bars.length + 1, mm: more },
  ].flatMap(({ count, mm }) => {
    const tenth = mm === undefined ? 0 : Math.floor(mm * 10) / 10;
    return tenth >= 5 && tenth <= 300
      ? [
          {
            label: `${count * plan.cut.strips} bars of ${formatLength(tenth, length)}`,
            apply: thickness(tenth),
          },
        ]
      : [];
  });
  return [
    {
      code: 'cut-remainder',
      level: 'note',
      station: 'cut',
      message: `${formatLength(cut.remainderMm, length)} is left over after ${cut.count} bars.`,
      remedies: offers,
    },
  ];
}
