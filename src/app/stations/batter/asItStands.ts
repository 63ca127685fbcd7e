import { oilOf } from '../../../core/batter/usedOils.ts';
import type { Batter, Dose } from '../../../core/batter/schema.ts';
import type { Computed } from '../../../core/computed/compute.ts';
import { formatPercent, formatShort } from '../../../core/units/format.ts';
import { lowerFirst } from '../../../core/units/words.ts';
import type { Show } from '../../parts/useShow.ts';

const nameOf = (line: Parameters<typeof oilOf>[0]): string => lowerFirst(oilOf(line)?.name ?? line.oil);

/** "40 % olive oil, 25 % coconut oil" */
export const oilsText = ({ oils }: Batter): string =>
  oils.length === 0
    ? 'no oils yet'
    : oils
        .toSorted((a, b) => b.percent - a.percent)
        .map((line) => `${formatPercent(line.percent)} ${nameOf(line)}`)
        .join(', ');

/** "with 378 g water, 30 % lye; superfat 5 %; oils at 38 °C, lye at 38 °C" */
export function lyeText(
  batter: Batter,
  { batch, recipe }: Pick<Computed, 'batch' | 'recipe'>,
  show: Show,
): string {
  const { oilsC, lyeC } = batter.temperatures;
  return [
    ...(batch && recipe
      ? [
          `with ${show.mass(batch.waterG)} water, ${formatPercent(recipe.schools.lyeConcentrationPercent)} lye`,
        ]
      : []),
    `superfat ${formatPercent(batter.superfatPercent)}`,
    `oils at ${show.temperature(oilsC)}, lye at ${show.temperature(lyeC)}`,
  ].join('; ');
}

const inAll = (doses: readonly Dose[]): number => doses.reduce((sum, d) => sum + d.gPerKgOils, 0);

const where = (doses: readonly Dose[]): string => (doses.some((d) => d.pots) ? ' in some pots' : '');

/** "3 % Wet Stone; 20 g/kg kaolin clay in some pots; milk for 20 % of the water; promised: vegan" */
export function addedText(batter: Batter): string {
  const list = [
    ...batter.fragrances.map((f) => `${formatPercent(inAll(f.doses) / 10)} ${f.name}${where(f.doses)}`),
    ...batter.additives.map(
      (a) => `${formatShort(inAll(a.doses), 1)} g/kg ${lowerFirst(a.name)}${where(a.doses)}`,
    ),
    ...batter.lateOils.map(
      (o) => `${formatShort(inAll(o.doses), 1)} g/kg ${nameOf(o)} late${where(o.doses)}`,
    ),
    ...batter.partLiquids.map(
      (l) => `${lowerFirst(l.name)} for ${formatPercent(l.percentOfWater)} of the water`,
    ),
  ];
  const promised = batter.promises ?? [];
  return [
    list.length === 0 ? 'nothing: no fragrance, no additive' : list.join('; '),
    ...(promised.length > 0 ? [`promised: ${promised.join(', ')}`] : []),
  ].join('; ');
}
