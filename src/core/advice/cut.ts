import type { Sliced } from '../cut/bars.ts';
import { withWay } from '../cut/way.ts';
import { formatLength } from '../units/format.ts';
import type { Plan } from '../plan/planSchema.ts';
import type { Warning } from './warning.ts';
import type { Facts } from './facts.ts';
import { note, remedy, warn } from './/warning.ts';

/** The cut changed, as a remedy. */
export const withCut =
  (change: Partial<Plan['cut']>) =>
  (p: Plan): Plan => ({ ...p, cut: { ...p.cut, ...change } });

/** Blocks that are sliced: none in this length, no slice in this height or width, or much of it left over. */
function slicedWarnings({ plan, cut }: Facts, sliced: Sliced): Warning[] {
  const say = (mm: number): string => formatLength(mm, plan.units.length);
  const { by, longMm, blocks, slices, offcutMm } = sliced;
  const { thicknessMm } = plan.cut;
  const [size, which] = by === 'floor' ? ['height', 'high'] : ['width', 'wide'];
  const about = { station: 'cut', level: 'warn' } as const;
  if (blocks === 0)
    return [
      {
        ...about,
        code: 'no-bars',
        message: `A loaf of ${say(cut.loafMm)} gives no block of ${say(longMm)} between these trims: it is cut across.`,
        remedies: [remedy('Cut straight across', withWay(undefined))],
      },
    ];
  const { same, more } = cut.evenThicknessMm;
  const offers = [same, more].flatMap((mm) => {
    const tenth = mm === undefined ? 0 : Math.floor(mm * 10) / 10;
    return tenth >= 5 && tenth <= 300
      ? [remedy(`Slices of ${say(tenth)}`, withCut({ thicknessMm: tenth }))]
      : [];
  });
  if (slices === 0)
    return [
      {
        ...about,
        code: 'no-bars',
        message: `Its ${size} gives no slice of ${say(thicknessMm)}: a block is not as ${which} as that.`,
        remedies: offers,
      },
    ];
  if (offcutMm < thicknessMm / 3) return [];
  return [
    note(
      { station: 'cut' },
      'cut-remainder',
      `${say(offcutMm)} of the ${size} is left over beside ${slices} ${slices === 1 ? 'slice' : 'slices'} of ${say(thicknessMm)}.`,
      offers,
    ),
  ];
}

export function cutWarnings(facts: Facts): Warning[] {
  const { plan, cut } = facts;
  if (cut.sliced) return slicedWarnings(facts, cut.sliced);
  const { length } = plan.units;
  const longest = cut.bars.filter((b) => b.piece.lengthMm === cut.loafMm);
  const pieces = cut.pieces.filter((p) => p.lengthMm === cut.loafMm).length;
  const places = longest.length / pieces;
  if (cut.count === 0)
    return [
      warn(
        { station: 'cut' },
        'no-bars',
        `${cut.pieces[0]?.axis === 'z' ? 'A tube filled to' : 'A loaf of'} ${formatLength(cut.loafMm, length)} gives no bar of ${formatLength(plan.cut.thicknessMm, length)} between these trims.`,
      ),
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
          remedy(
            `${count * pieces * strips} bars of ${formatLength(tenth, length)}`,
            withCut({ thicknessMm: tenth }),
          ),
        ]
      : [];
  });
  return [
    note(
      { station: 'cut' },
      'cut-remainder',
      `${formatLength(cut.remainderMm, length)} is left over after ${cut.count} bars${plan.fill.copies > 1 ? ' of each mould' : ''}.`,
      offers,
    ),
  ];
}
